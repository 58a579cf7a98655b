import { released } from './hand';

/** An error reported by the server, with a message for the seller. */
export class Refused extends Error {
    constructor(
        message: string,
        readonly status: number,
        readonly fields: Record<string, string[]> = {},
        /** Whether a one-time code is required. */
        readonly code = false,
        /** Faults within a sheet, a house or a pattern, by path, such as "places[0].least". */
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

/** The server's status code if the CSRF token does not belong to the session. */
const STALE_TOKEN = 419;

/** The CSRF token, from a cookie beside the session's. Read-only requests need none; they skip it since reading cookies blocks the browser. */
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
        // The session was renewed or ended elsewhere: loading a page sets the new token. The refused request was not carried out.
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
    /** A save with an idempotency key that stays the same in retries, so that it is carried out once. */
    save: <T>(method: 'POST' | 'PUT', path: string, body: unknown, key: string): Promise<T> => send<T>(method, path, body, key),
    remove: <T>(path: string, body?: unknown): Promise<T> => send<T>('DELETE', path, body),
    /** A picture made from the data that is sent. */
    picture: (path: string, form: FormData): Promise<Blob> => ask<Blob>(path, { method: 'POST', body: form }),
    /** A picture made from the data that is sent; can be aborted. */
    drawn: (path: string, body: unknown, signal: AbortSignal): Promise<Blob> => ask<Blob>(path, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body), signal }),
    upload: <T>(path: string, form: FormData): Promise<T> => ask<T>(path, { method: 'POST', body: form }),
};

/** URL of a revision's proof; revisions are immutable, so it can be cached. */
export function proofUrl(revision: number, ppi: number, more: Record<string, string | number> = {}): string {
    const query = new URLSearchParams({ ppi: String(ppi), ...Object.fromEntries(Object.entries(more).map(([k, v]) => [k, String(v)])) });
    return `/api/revisions/${revision}/proof.png?${query}`;
}

export function said(error: unknown): string {
    return error instanceof Error ? error.message : 'Something went wrong.';
}
