import { expect, test } from '@playwright/test';
import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query';
import { createApp, effectScope, nextTick, ref, type EffectScope } from 'vue';
import { useSmallPicture } from '../../resources/ts/peg/useSmallPicture';
import { useRemoval } from '../../resources/ts/server/queries';

/** Small pictures that wait for one another, and what is taken away while the server is asked. */

class Loading {
    static all: Loading[] = [];
    src = '';
    private ends: { came: () => void; failed: () => void } = { came: () => undefined, failed: () => undefined };

    constructor() {
        Loading.all.push(this);
    }

    addEventListener(): void {}

    decode(): Promise<void> {
        return new Promise((came, failed) => (this.ends = { came, failed: () => failed(new Error('no picture')) }));
    }

    async comes(): Promise<void> {
        this.ends.came();
        await settled();
    }

    async fails(): Promise<void> {
        this.ends.failed();
        await settled();
    }
}

const settled = (): Promise<void> => new Promise((done) => setTimeout(done, 0));
const asked = (): string[] => Loading.all.map((one) => one.src);
const before = { Image: globalThis.Image, fetch: globalThis.fetch, document: globalThis.document };
let scopes: EffectScope[] = [];

function within<T>(scope: EffectScope, make: () => T): T {
    const made = scope.run(make);
    if (made === undefined) {
        throw new Error('The scope has ended.');
    }
    return made;
}

function picture(of: string): { shown: { value: string | null }; address: { value: string }; scope: EffectScope } {
    const scope = effectScope();
    scopes.push(scope);
    const address = ref(of);
    return { shown: within(scope, () => useSmallPicture(address, address)), address, scope };
}

test.beforeEach(() => {
    Loading.all = [];
    scopes = [];
    globalThis.Image = Loading as unknown as typeof Image;
});

test.afterEach(async () => {
    scopes.forEach((one) => one.stop());
    await settled();
    Object.assign(globalThis, before);
});

test.describe('small pictures', () => {
    test('are asked for one after another, and shown as they come', async () => {
        const [first, second] = [picture('/a.png'), picture('/b.png')];
        await settled();
        expect(asked()).toEqual(['/a.png']);
        expect(first.shown.value).toBeNull();
        await Loading.all[0]?.comes();
        expect(first.shown.value).toBe('/a.png');
        expect(asked()).toEqual(['/a.png', '/b.png']);
        await Loading.all[1]?.comes();
        expect(second.shown.value).toBe('/b.png');
    });

    test('one that cannot be had lets the next one come', async () => {
        const [first, second] = [picture('/gone.png'), picture('/b.png')];
        await settled();
        await Loading.all[0]?.fails();
        expect(first.shown.value).toBeNull();
        await Loading.all[1]?.comes();
        expect(second.shown.value).toBe('/b.png');
    });

    test('one whose place is gone is broken off, and the next one comes at once', async () => {
        const [first, second] = [picture('/a.png'), picture('/b.png')];
        await settled();
        first.scope.stop();
        await settled();
        expect(asked()).toEqual(['', '/b.png']);
        await Loading.all[1]?.comes();
        expect([first.shown.value, second.shown.value]).toEqual([null, '/b.png']);
    });

    test('one whose place is gone before its turn is never asked for', async () => {
        const [, second, third] = [picture('/a.png'), picture('/b.png'), picture('/c.png')];
        await settled();
        second.scope.stop();
        await Loading.all[0]?.comes();
        expect(asked()).toEqual(['/a.png', '/c.png']);
        await Loading.all[1]?.comes();
        expect(third.shown.value).toBe('/c.png');
    });

    test('the old one stays until the new one has come, and what came too late is not shown', async () => {
        const one = picture('/old.png');
        await settled();
        await Loading.all[0]?.comes();
        one.address.value = '/late.png';
        await nextTick();
        await settled();
        expect(one.shown.value).toBe('/old.png');
        one.address.value = '/new.png';
        await nextTick();
        await settled();
        expect(asked()).toEqual(['/old.png', '', '/new.png']);
        await Loading.all[1]?.comes();
        expect(one.shown.value).toBe('/old.png');
        await Loading.all[2]?.comes();
        expect(one.shown.value).toBe('/new.png');
    });
});

test.describe('taking away', () => {
    type Row = { id: number };

    /** A list of three, and a server that answers when it is told to. */
    function list(): { listed: () => number[]; remove: (id: number) => void; answer: (id: number, status: number) => Promise<void>; error: () => string | undefined; paths: string[] } {
        const answers = new Map<string, (answer: Response) => void>();
        const paths: string[] = [];
        globalThis.document = { cookie: 'XSRF-TOKEN=abc' } as unknown as Document;
        globalThis.fetch = ((path: string, init?: RequestInit) => {
            paths.push(`${init?.method ?? 'GET'} ${path}`);
            return new Promise<Response>((done) => answers.set(path, done));
        }) as typeof fetch;
        const app = createApp({});
        const client = new QueryClient({ defaultOptions: { mutations: { retry: false } } });
        app.use(VueQueryPlugin, { queryClient: client });
        const rows = ref<Row[] | undefined>([{ id: 1 }, { id: 2 }, { id: 3 }]);
        const scope = effectScope();
        scopes.push(scope);
        const removal = app.runWithContext(() => within(scope, () => useRemoval<Row>('recipes', rows, 'recipes')));
        return {
            listed: () => (removal.listed.value ?? []).map((one) => one.id),
            remove: (id) => removal.remove({ id }),
            answer: async (id, status) => {
                const done = answers.get(`/api/recipes/${id}`);
                if (status === 204) {
                    rows.value = rows.value?.filter((one) => one.id !== id);
                }
                done?.(new Response(status === 204 ? null : JSON.stringify({ message: 'It is in use.' }), { status }));
                await settled();
                await settled();
            },
            error: () => removal.error.value?.message,
            paths,
        };
    }

    test('what is going is not listed while the server is asked, nor afterwards', async () => {
        const rows = list();
        rows.remove(2);
        await settled();
        expect(rows.listed()).toEqual([1, 3]);
        expect(rows.paths).toEqual(['DELETE /api/recipes/2']);
        await rows.answer(2, 204);
        expect(rows.listed()).toEqual([1, 3]);
        expect(rows.error()).toBeUndefined();
    });

    test('what could not be taken away is listed again, and why is told', async () => {
        const rows = list();
        rows.remove(2);
        await settled();
        await rows.answer(2, 409);
        expect(rows.listed()).toEqual([1, 2, 3]);
        expect(rows.error()).toBe('It is in use.');
    });

    test('two may be going at once', async () => {
        const rows = list();
        rows.remove(1);
        rows.remove(3);
        await settled();
        expect(rows.listed()).toEqual([2]);
        await rows.answer(1, 409);
        expect(rows.listed()).toEqual([1, 2]);
        await rows.answer(3, 204);
        expect(rows.listed()).toEqual([1, 2]);
    });
});
