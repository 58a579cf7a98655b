import { released } from './hand';

/** What the server said was wrong, in words for the seller. */
export class Refused extends Error {
    constructor(
        message: string,
        readonly status: number,
        readonly fields: Record<string, string[]> = {},
        /** Whether a one-time code is wanted. */
        readonly code = false,
        /** What is wrong within a sheet, a house or a pattern, by its path: "places[0].least". */
        readonly faults: { path: string; reason: string }[] = [],
    ) {
        super(message);
    }
}

async function answer<T>(response: Response): Promise<T> {
    if (response.status === 204) {
        return undefined as T;
    }
    if (response.ok && response.headers.get('Content-Type')?.startsWith('image/')) {
        return (await response.blob()) as T;
    }
    const body: unknown = await response.json().catch(() => null);
    await released();
    if (!response.ok) {
        const said = (body ?? {}) as { message?: string; errors?: Record<string, string[]>; code?: boolean; faults?: { path: string; reason: string }[] };
        if (response.status === 401) {
            window.dispatchEvent(new Event('signed-out'));
        }
        throw new Refused(said.message ?? `The server answered ${response.status}. Try again in a moment.`, response.status, said.errors ?? {}, said.code ?? false, said.faults);
    }
    return body as T;
}

/** What the server answers where the token against forged requests is not that of the session. */
const STALE_TOKEN = 419;

/** The token against forged requests, which the server lays into a cookie beside the session's. What only reads needs none: the browser stands still while its cookies are read. */
function token(method = 'GET'): Record<string, string> {
    return method === 'GET' ? {} : { 'X-XSRF-TOKEN': decodeURIComponent(/(?:^|; )XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1] ?? '') };
}

async function ask<T>(path: string, init: RequestInit = {}, again = false): Promise<T> {
    let response: Response;
    try {
        response = await fetch(`/api/${path}`, { ...init, headers: { Accept: 'application/json', ...token(init.method), ...init.headers } });
    } catch (error) {
        if (error instanceof DOMException && error.name === 'AbortError') {
            throw error;
        }
        throw new Refused('Tall Crow cannot be reached. Is it still running? Nothing that was saved is lost.', 0);
    }
    if (response.status === STALE_TOKEN && !again) {
        // The session was changed or ended elsewhere: a page brings the token of the present one, and nothing was carried out.
        await fetch('/sign-in').catch(() => undefined);
        return ask<T>(path, init, true);
    }
    return answer<T>(response);
}

function send<T>(method: string, path: string, body?: unknown, key?: string): Promise<T> {
    return ask<T>(path, { method, headers: { 'Content-Type': 'application/json', ...(key ? { 'Idempotency-Key': key } : {}) }, body: JSON.stringify(body ?? {}) });
}

export const api = {
    get: <T>(path: string, signal?: AbortSignal): Promise<T> => ask<T>(path, signal ? { signal } : {}),
    post: <T>(path: string, body?: unknown): Promise<T> => send<T>('POST', path, body),
    put: <T>(path: string, body?: unknown): Promise<T> => send<T>('PUT', path, body),
    /** A save, by a key that stays the same when it is tried again: it is carried out once. */
    save: <T>(method: 'POST' | 'PUT', path: string, body: unknown, key: string): Promise<T> => send<T>(method, path, body, key),
    remove: <T>(path: string, body?: unknown): Promise<T> => send<T>('DELETE', path, body),
    /** A picture that is made of what is sent. */
    picture: (path: string, form: FormData): Promise<Blob> => ask<Blob>(path, { method: 'POST', body: form }),
    /** A picture that is made of what is sent, while nobody waits for another. */
    drawn: (path: string, body: unknown, signal: AbortSignal): Promise<Blob> => ask<Blob>(path, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body), signal }),
    upload: <T>(path: string, form: FormData): Promise<T> => ask<T>(path, { method: 'POST', body: form }),
};

/** Address of a revision's proof; a revision never changes, so neither does what lies there. */
export function proofUrl(revision: number, ppi: number, more: Record<string, string | number> = {}): string {
    const query = new URLSearchParams({ ppi: String(ppi), ...Object.fromEntries(Object.entries(more).map(([k, v]) => [k, String(v)])) });
    return `/api/revisions/${revision}/proof.png?${query}`;
}

export function said(error: unknown): string {
    return error instanceof Error ? error.message : 'Something went wrong.';
}
