import { expect, test } from '@playwright/test';
import { createPinia, setActivePinia } from 'pinia';
import { api, Refused } from '../../resources/ts/api';
import { useFaults } from '../../resources/ts/server/faults';
import { whileReading } from '../../resources/ts/stores/reading';
import { useSheet } from '../../resources/ts/stores/sheet';
import type { Artwork, BenchJob } from '../../resources/ts/types';

/** How saving behaves when answers are late, lost or refused: the store alone, with a server that is told what to do. */

interface Asked {
    method: string;
    path: string;
    key: string | null;
    body: { version?: number; artwork?: Artwork; operations?: { op: string }[] };
}

type Answer = (asked: Asked) => Response | Promise<Response>;

function artwork(title: string): Artwork {
    return { format: 'tallcrow.artwork/3', title, product: 'tee', side: 'front', method: 'dtg', rule: 'strict-300', sheet: { width: 900, height: 900, ppi: 300 }, garments: [], swatches: [], layers: [], distress: [], limits: { letterLost: 0.4, stroke: 0.012 } };
}

function bench(version: number, title: string): BenchJob {
    return { id: 7, title, version, revision: 100 + version, canUndo: version > 1, canRedo: false, area: { name: 'Small', width: 900, height: 900, ppi: 300, id: null }, artwork: artwork(title), measures: [], chosen: [] } as unknown as BenchJob;
}

const json = (body: unknown, status = 200): Response => new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } });

let asked: Asked[] = [];
let answers: Answer[] = [];
/** A channel between tabs, of which Node's own would keep the process waiting. */
class Channel extends EventTarget {
    static all = new Set<Channel>();
    constructor() {
        super();
        Channel.all.add(this);
    }
    postMessage(data: unknown): void {
        Channel.all.forEach((one) => one !== this && one.dispatchEvent(new MessageEvent('message', { data })));
    }
}

const before = { BroadcastChannel: globalThis.BroadcastChannel, fetch: globalThis.fetch, localStorage: globalThis.localStorage, document: globalThis.document, window: globalThis.window };

test.beforeEach(() => {
    setActivePinia(createPinia());
    asked = [];
    answers = [];
    Channel.all.clear();
    globalThis.BroadcastChannel = Channel as unknown as typeof BroadcastChannel;
    globalThis.document = { cookie: 'other=1; XSRF-TOKEN=abc%3D' } as Document;
    globalThis.window = { dispatchEvent: () => true } as unknown as typeof globalThis.window;
    globalThis.fetch = (async (url: string, init: RequestInit = {}) => {
        const headers = new Headers(init.headers);
        const one = { method: init.method ?? 'GET', path: url, key: headers.get('Idempotency-Key'), body: init.body ? (JSON.parse(String(init.body)) as Asked['body']) : {} };
        if (url.startsWith('/api/')) {
            // What only reads needs none.
            expect(headers.get('X-XSRF-TOKEN')).toBe(one.method === 'GET' ? null : 'abc=');
        }
        asked.push(one);
        const answer = answers.shift();
        if (!answer) {
            throw new Error(`Nobody expects ${one.method} ${one.path}.`);
        }
        return answer(one);
    }) as typeof fetch;
});

test.afterEach(() => {
    Object.assign(globalThis, before);
});

async function opened(): Promise<ReturnType<typeof useSheet>> {
    const sheet = useSheet();
    answers.push(() => json(bench(1, 'Kites')));
    await sheet.open(7);
    return sheet;
}

const saves: Answer = (one) => json(bench((one.body.version ?? 0) + 1, one.body.artwork?.title ?? 'operated'));
const lost: Answer = () => Promise.reject(new TypeError('the line is cut'));

test('saves a value on the version that it started from, under a key', async () => {
    const sheet = await opened();
    answers.push(saves);
    const done = sheet.change((art) => ({ ...art, title: 'Moths' }));
    expect(sheet.artwork?.title).toBe('Moths');
    expect(sheet.saved).toBe(false);
    await done;
    expect(sheet.saved).toBe(true);
    expect(asked[1]).toMatchObject({ method: 'PUT', path: '/api/jobs/7/artwork', body: { version: 1, artwork: { title: 'Moths' } } });
    expect(asked[1]?.key).toMatch(/^[0-9a-f-]{36}$/);
});

test('keeps in the browser what was not saved when the page was left, and offers it when the job is opened again', async () => {
    const kept = new Map<string, string>();
    globalThis.localStorage = { getItem: (key: string) => kept.get(key) ?? null, setItem: (key: string, text: string) => kept.set(key, text), removeItem: (key: string) => kept.delete(key) } as unknown as Storage;
    const sheet = await opened();
    answers.push(saves);
    await sheet.change((art) => ({ ...art, title: 'Saved' }));
    expect([...kept.keys()]).toEqual([]);
    answers.push(lost);
    await sheet.change((art) => ({ ...art, title: 'Half typed' }));
    expect([...kept.keys()]).toEqual(['unsaved 7']);
    // The page is left, and opened anew; the server holds what was saved before.
    sheet.$dispose();
    setActivePinia(createPinia());
    const again = useSheet();
    answers.push(() => json(bench(2, 'Saved')));
    await again.open(7);
    expect(again.artwork?.title).toBe('Saved');
    expect(again.draft?.artwork.title).toBe('Half typed');
    answers.push(saves);
    await again.settleDraft(true);
    expect(asked[asked.length - 1]).toMatchObject({ method: 'PUT', body: { version: 2, artwork: { title: 'Half typed' } } });
    expect([again.saved, again.draft, kept.size]).toEqual([true, null, 0]);
    // Let go, it is offered no more.
    kept.set('unsaved 7', JSON.stringify({ version: 3, artwork: artwork('Other') }));
    answers.push(() => json(bench(3, 'Half typed')));
    await again.open(7);
    await again.settleDraft(false);
    expect([again.artwork?.title, kept.size]).toEqual(['Half typed', 0]);
});

test('sends a save whose answer was lost again as it was, by the same key, and only then what was set since', async () => {
    const sheet = await opened();
    answers.push(lost);
    await sheet.change((art) => ({ ...art, title: 'Moths' }));
    expect(sheet.saved).toBe(false);
    expect(sheet.trouble).toContain('cannot be reached');
    answers.push(saves, saves);
    await sheet.change((art) => ({ ...art, title: `${art.title} at night` }));
    expect(asked.slice(1).map((one) => [one.key === asked[1]?.key, one.body.version, one.body.artwork?.title])).toEqual([
        [true, 1, 'Moths'], [true, 1, 'Moths'], [false, 2, 'Moths at night'],
    ]);
    expect(sheet.saved).toBe(true);
    expect(sheet.trouble).toBeNull();
    expect(sheet.artwork?.title).toBe('Moths at night');
});

test('tries again by itself, later each time', async () => {
    const sheet = await opened();
    answers.push(lost, () => json({ message: 'busy' }, 503), saves);
    const began = performance.now();
    await sheet.change((art) => ({ ...art, title: 'Moths' }));
    await expect.poll(() => sheet.saved, { timeout: 8000 }).toBe(true);
    expect(performance.now() - began).toBeGreaterThan(2500);
    expect(new Set(asked.slice(1).map((one) => one.key)).size).toBe(1);
});

test('sends values that were set together in one request, and what follows one after another', async () => {
    const sheet = await opened();
    let release: (response: Response) => void = () => undefined;
    answers.push((one) => new Promise((resolve) => (release = () => resolve(saves(one) as Response))), saves, saves, saves);
    void sheet.change((art) => ({ ...art, title: 'a' }));
    void sheet.change((art) => ({ ...art, title: `${art.title}b` }));
    void sheet.change((art) => ({ ...art, title: `${art.title}c` }));
    void sheet.operate({ op: 'move', ids: [], dx: 1, dy: 0 } as never);
    const last = sheet.undo();
    await expect.poll(() => asked.length).toBe(2);
    release(json({}));
    await last;
    await expect.poll(() => sheet.saved).toBe(true);
    expect(asked.slice(1).map((one) => [one.path.split('/').pop(), one.body.version])).toEqual([['artwork', 1], ['artwork', 2], ['operations', 3], ['undo', 4]]);
    expect(asked[2]?.body.artwork?.title).toBe('abc');
});

test('takes back a value that the core refuses, says why, and keeps what was saved', async () => {
    const sheet = await opened();
    answers.push(() => json({ message: 'Nothing was saved. title: is too long' }, 422));
    await sheet.change((art) => ({ ...art, title: 'x'.repeat(500) }));
    expect(sheet.artwork?.title).toBe('Kites');
    expect(sheet.trouble).toContain('is too long');
    expect(sheet.saved).toBe(true);
    answers.push(saves);
    await sheet.change((art) => ({ ...art, title: 'Short' }));
    expect(asked[2]?.body).toMatchObject({ version: 1, artwork: { title: 'Short' } });
    expect(asked[2]?.key).not.toBe(asked[1]?.key);
});

test('stops at a version that another tab saved, and overwrites nothing unasked', async () => {
    const sheet = await opened();
    answers.push(() => json({ message: 'changed in another tab', version: 3 }, 409));
    await sheet.change((art) => ({ ...art, title: 'Mine' }));
    expect(sheet.stale).toContain('another tab');
    expect(sheet.saved).toBe(false);
    await sheet.undo();
    expect(asked).toHaveLength(2);
    // Kept as a further step on top of the other's.
    answers.push(() => json(bench(3, 'Theirs')), saves);
    await sheet.keepMine();
    expect(asked[3]?.body).toMatchObject({ version: 3, artwork: { title: 'Mine' } });
    expect(sheet.saved).toBe(true);
});

test('lets go of its own when the newer one is loaded', async () => {
    const sheet = await opened();
    answers.push(() => json({ message: 'changed in another tab', version: 3 }, 409), () => json(bench(3, 'Theirs')));
    await sheet.change((art) => ({ ...art, title: 'Mine' }));
    await sheet.loadNewer();
    expect(sheet.artwork?.title).toBe('Theirs');
    expect(sheet.saved).toBe(true);
    expect(sheet.stale).toBeNull();
});

test('shows at once what another tab saved, unless something waits here', async () => {
    const here = await opened();
    setActivePinia(createPinia());
    const there = await opened();
    answers.push(saves, () => json(bench(2, 'Theirs')));
    await there.change((art) => ({ ...art, title: 'Theirs' }));
    await expect.poll(() => here.artwork?.title).toBe('Theirs');
    expect(here.job?.version).toBe(2);
    // A tab with something of its own is told by its version, and loses nothing.
    answers.push(lost);
    await here.change((art) => ({ ...art, title: 'Mine' }));
    const count = asked.length;
    answers.push(saves);
    await there.change((art) => ({ ...art, title: 'Later' }));
    expect(asked).toHaveLength(count + 1);
    expect(here.artwork?.title).toBe('Mine');
});

test('lets go of nothing that is set while the other tab\'s sheet is fetched', async () => {
    const here = await opened();
    setActivePinia(createPinia());
    const there = await opened();
    let arrive: () => void = () => undefined;
    answers.push(saves, () => new Promise((resolve) => (arrive = () => resolve(json(bench(2, 'Theirs'))))), () => json({ message: 'changed in another tab', version: 2 }, 409));
    await there.change((art) => ({ ...art, title: 'Theirs' }));
    await here.change((art) => ({ ...art, title: 'Mine' }));
    arrive();
    await new Promise((done) => setTimeout(done, 50));
    expect(here.artwork?.title).toBe('Mine');
    expect(here.stale).toContain('another tab');
    expect(here.saved).toBe(false);
});

test('says that the newer sheet cannot be had, and keeps what is here', async () => {
    const sheet = await opened();
    answers.push(() => json({ message: 'changed in another tab', version: 3 }, 409), lost, lost);
    await sheet.change((art) => ({ ...art, title: 'Mine' }));
    await sheet.keepMine();
    expect(sheet.trouble).toContain('cannot be reached');
    expect(sheet.artwork?.title).toBe('Mine');
    expect(sheet.stale).toContain('another tab');
    await sheet.loadNewer();
    expect(sheet.trouble).toContain('cannot be reached');
    expect(sheet.saved).toBe(false);
    expect(sheet.artwork?.title).toBe('Mine');
});

test('carries out an operation once all that is typed has been read, on the line of which it was typed', async () => {
    const sheet = await opened();
    answers.push(saves, saves);
    let read = (): void => undefined;
    const typed = whileReading(async () => {
        await new Promise<void>((done) => (read = done));
        void sheet.change((art) => ({ ...art, title: 'Moths' }));
    });
    const moved = sheet.operate({ op: 'reorder-line', id: 'moth', list: 'effects', from: 1, to: 0 });
    await Promise.resolve();
    expect(asked).toHaveLength(1);
    read();
    await Promise.all([typed, moved]);
    expect(asked.slice(1).map((one) => one.path)).toEqual(['/api/jobs/7/artwork', '/api/jobs/7/operations']);
});

test('says what the server said, by field where it named one', async () => {
    answers.push(() => json({ message: 'The given data was invalid.', errors: { login: ['Type your sign-in name.'] } }, 422), () => json({ message: 'Type the code.', code: true }, 422), () => new Response('<html>', { status: 502 }));
    const error = await api.post('session', {}).catch((one: unknown) => one);
    expect(error).toBeInstanceOf(Refused);
    expect(useFaults(error, 'login').of('login')).toEqual(['Type your sign-in name.']);
    expect(useFaults(error, 'login').other).toBe('');
    // A field that the form does not show is told beside the form.
    expect(useFaults(error, 'password').other).toBe('Type your sign-in name.');
    expect(useFaults(new Refused('wrong', 422, { 'facts.credit': ['Say how.'], seats: ['Say how many.'] }), 'facts.*').other).toBe('Say how many.');
    const house = new Refused('Nothing was saved.', 422, {}, false, [{ path: 'places[0].least', reason: 'must lie between 10 and 1200' }, { path: 'kind', reason: 'is missing' }]);
    expect(useFaults(house, 'places[*').of('places[0].least')).toEqual(['Must lie between 10 and 1200.']);
    expect(useFaults(house, 'places[*').other).toBe('kind: is missing');
    expect(((await api.post('session', {}).catch((one: unknown) => one)) as Refused).code).toBe(true);
    expect(useFaults(await api.post('session', {}).catch((one: unknown) => one)).other).toContain('The server answered 502');
    expect(useFaults(undefined).other).toBe('');
});

test('fetches a new token once when its own is of an earlier session', async () => {
    answers.push(() => json({ message: 'too old' }, 419), () => new Response('<html>'), () => json({ id: 1 }));
    expect(await api.post('jobs', { title: 'Kites' })).toEqual({ id: 1 });
    expect(asked.map((one) => one.path)).toEqual(['/api/jobs', '/sign-in', '/api/jobs']);
    expect(asked[2]?.body).toEqual({ title: 'Kites' });
    answers.push(() => json({ message: 'too old' }, 419), () => new Response('<html>'), () => json({ message: 'too old' }, 419));
    await expect(api.post('jobs', {})).rejects.toThrow('too old');
});

test('tells the page when nobody is signed in any more', async () => {
    const told: string[] = [];
    globalThis.window = { dispatchEvent: (event: Event) => told.push(event.type) } as unknown as typeof globalThis.window;
    answers.push(() => json({ message: 'Sign in first.' }, 401));
    await expect(api.get('jobs')).rejects.toThrow('Sign in first.');
    expect(told).toEqual(['signed-out']);
});
