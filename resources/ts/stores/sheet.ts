import { useTimeoutFn } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { api, Refused, said } from '../api';
import { joined } from '../bench/joining';
import { replaceLayer } from '../bench/layers';
import type { Artwork, BenchJob, Layer, Measure, Operation } from '../types';
import { draftOf, dropDraft, keepDraft, type Draft } from './drafts';
import { allRead, reading } from './reading';
import { useSelection } from './selection';

type Change = (artwork: Artwork) => Artwork;

/** Back, forth, or to an older state. */
type Step = 'undo' | 'redo' | `versions/${number}`;

/** Something that waits to be sent: a value set here, an operation of the core, or a step among the saved states. */
type Task =
    | { kind: 'change'; by: Change }
    | { kind: 'operate'; operations: Operation[] }
    | { kind: 'step'; action: Step };

/** A request for the first tasks that wait. */
interface Attempt {
    key: string;
    job: number;
    sent: number;
    method: 'POST' | 'PUT';
    path: string;
    body: unknown;
}

/** Milliseconds after which a lost connection is tried again, longer each time. */
const AGAIN = [1000, 2000, 4000, 8000, 15_000];

/**
 * The job on the bench and its saving. Tasks are sent one after another, each on the version that the one before left.
 * What is shown is what the server holds with the values set since; operations show when the core has answered. What
 * another tab saved meanwhile is never overwritten unasked.
 */
export const useSheet = defineStore('sheet', () => {
    const job = shallowRef<BenchJob | null>(null);
    const artwork = shallowRef<Artwork | null>(null);
    const tasks = shallowRef<Task[]>([]);
    const sending = ref(false);
    const trouble = ref<string | null>(null);
    const stale = ref<string | null>(null);
    /** What was set in this browser and never saved, offered when the job is opened again. */
    const draft = shallowRef<Draft | null>(null);
    let tries = 0;
    // A request that was not answered is sent again as it was, under its key, whatever has been set since.
    let attempt: Attempt | null = null;
    let running: Promise<void> | null = null;

    const saving = computed(() => sending.value || reading.value > 0);
    const saved = computed(() => !saving.value && tasks.value.length === 0 && !stale.value);
    const measures = computed(() => new Map<string, Measure>((job.value?.measures ?? []).map((measure) => [measure.id, measure])));
    const again = useTimeoutFn(() => void settle(), () => AGAIN[Math.min(tries, AGAIN.length - 1)] ?? 0, { immediate: false });

    /** What the server holds, with all values set since. */
    function show(): void {
        const held = job.value?.artwork ?? null;
        artwork.value = held && tasks.value.reduce((sheet, task) => (task.kind === 'change' ? task.by(sheet) : sheet), held);
    }

    function take(answer: BenchJob): void {
        job.value = answer;
        trouble.value = null;
        tries = 0;
        show();
        useSelection().settle(answer.chosen);
    }

    async function open(id: number): Promise<void> {
        if (job.value?.id !== id) {
            job.value = artwork.value = null;
            tasks.value = [];
            useSelection().choose(null);
        }
        // What waits here is let go only once there is something in its place.
        const answer = await api.get<BenchJob>(`jobs/${id}`);
        tasks.value = [];
        attempt = null;
        stale.value = null;
        take(answer);
        draft.value = draftOf(answer.id, answer.artwork);
    }

    /** What was never saved is saved as a further step, or let go. */
    async function settleDraft(wanted: boolean): Promise<void> {
        const kept = draft.value;
        draft.value = null;
        if (wanted && kept) {
            await change(() => kept.artwork);
        } else if (job.value) {
            dropDraft(job.value.id);
        }
    }

    function queue(task: Task): Promise<void> {
        tasks.value = [...tasks.value, task];
        return settle();
    }

    /** Shows a value that was set, and saves it in its turn. */
    function change(by: Change): Promise<void> {
        if (!artwork.value) {
            return Promise.resolve();
        }
        artwork.value = by(artwork.value);
        if (job.value) {
            keepDraft(job.value.id, { version: job.value.version, artwork: artwork.value });
        }
        return queue({ kind: 'change', by });
    }

    function changeLayer(id: string, by: (layer: Layer) => Layer): Promise<void> {
        return change((sheet) => replaceLayer(sheet, id, (layer) => [by(layer)]));
    }

    /** Has the core carry out operations, once all that is typed has been read: it is written to a line by its number. Those that only wait are added to, so that held keys do not pile up. */
    function operate(...operations: Operation[]): Promise<void> {
        if (reading.value > 0) {
            return allRead().then(() => operate(...operations));
        }
        const last = tasks.value[tasks.value.length - 1];
        if (last?.kind === 'operate' && tasks.value.length > 1) {
            tasks.value = [...tasks.value.slice(0, -1), { kind: 'operate', operations: joined(last.operations, operations) }];
            return settle();
        }
        return queue({ kind: 'operate', operations });
    }

    function settle(): Promise<void> {
        running ??= send().finally(() => {
            running = null;
        });
        return running;
    }

    /** As many of the first tasks as go in one request. */
    function first(held: BenchJob): Attempt {
        const [task] = tasks.value;
        const version = held.version;
        const key = crypto.randomUUID();
        if (task?.kind === 'operate') {
            return { key, job: held.id, sent: 1, method: 'POST', path: 'operations', body: { version, operations: task.operations } };
        }
        if (task?.kind === 'step') {
            return { key, job: held.id, sent: 1, method: 'POST', path: task.action, body: { version } };
        }
        let sheet = held.artwork;
        let sent = 0;
        for (const one of tasks.value) {
            if (one.kind !== 'change') {
                break;
            }
            sheet = one.by(sheet);
            sent++;
        }
        return { key, job: held.id, sent, method: 'PUT', path: 'artwork', body: { version, artwork: sheet } };
    }

    async function send(): Promise<void> {
        sending.value = true;
        again.stop();
        try {
            while (tasks.value.length > 0 && job.value && !stale.value) {
                const held = job.value;
                const now = (attempt ??= first(held));
                const answer = await api.save<BenchJob>(now.method, `jobs/${now.job}/${now.path}`, now.body, now.key);
                if (job.value !== held) {
                    return;
                }
                attempt = null;
                tasks.value = tasks.value.slice(now.sent);
                take(answer);
                if (tasks.value.length === 0) {
                    dropDraft(answer.id);
                }
                channel?.postMessage({ job: answer.id, version: answer.version });
            }
        } catch (error) {
            refused(error);
        } finally {
            sending.value = false;
        }
    }

    function refused(error: unknown): void {
        if (error instanceof Refused && [409, 422].includes(error.status)) {
            attempt = null;
        }
        if (error instanceof Refused && error.status === 409) {
            stale.value = error.message;
            return;
        }
        trouble.value = said(error);
        if (error instanceof Refused && error.status === 422) {
            // The core refused it: what was saved stands, and what was set after it is tried on that.
            const [task] = tasks.value;
            const rest = tasks.value.findIndex((one) => one.kind !== 'change');
            tasks.value = task?.kind === 'change' ? (rest < 0 ? [] : tasks.value.slice(rest)) : tasks.value.slice(1);
            show();
            if (tasks.value.length === 0 && job.value) {
                dropDraft(job.value.id);
            }
        } else {
            tries++;
            again.start();
        }
    }

    function tell(error: unknown): void {
        trouble.value = said(error);
    }

    async function step(action: Step): Promise<void> {
        await allRead();
        if (!stale.value) {
            await queue({ kind: 'step', action });
        }
    }

    /** The newer sheet of the other tab takes the place of what is here. */
    async function loadNewer(): Promise<void> {
        if (job.value) {
            await open(job.value.id).catch(tell);
        }
    }

    /** What is here is saved as a further step on top of the other tab's, which stays among the revisions. */
    async function keepMine(): Promise<void> {
        if (!job.value || !artwork.value) {
            return;
        }
        const mine = artwork.value;
        const theirs = await api.get<BenchJob>(`jobs/${job.value.id}`).catch(tell);
        if (!theirs) {
            return;
        }
        job.value = theirs;
        stale.value = null;
        attempt = null;
        tasks.value = [{ kind: 'change', by: () => mine }];
        show();
        await settle();
    }

    /** Sends a palette to be taken in, once all before it is saved. */
    async function loadSwatches(file: File): Promise<void> {
        await settle();
        if (!job.value) {
            return;
        }
        const form = new FormData();
        form.set('version', String(job.value.version));
        form.set('file', file);
        take(await api.upload<BenchJob>(`jobs/${job.value.id}/swatches`, form));
    }

    /** A colour as the screen needs it, whether it stands for itself or is named. */
    function hex(colour: string): string {
        return colour.startsWith('@') ? (artwork.value?.swatches.find((swatch) => swatch.name === colour.slice(1))?.colour ?? '#000000') : colour;
    }

    /** What a layer is called where there is room for a few words: the core says. */
    function called(id: string): string {
        return measures.value.get(id)?.called ?? id;
    }

    /** Shows what another tab saved; what was set here while it was fetched is never let go for it. */
    async function follow(id: number, version: number): Promise<void> {
        const behind = (): boolean => job.value?.id === id && job.value.version < version && saved.value;
        const newer = behind() ? await api.get<BenchJob>(`jobs/${id}`).catch(() => null) : null;
        if (newer && behind()) {
            take(newer);
        }
    }

    // What another tab of this browser saved shows here at once, unless something waits here: then the version tells them apart.
    const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('tall-crow-saves');
    channel?.addEventListener('message', (event: MessageEvent<{ job: number; version: number }>) => {
        void follow(event.data.job, event.data.version);
    });

    // Nobody leaves with what is not saved unasked.
    globalThis.addEventListener?.('beforeunload', (event: BeforeUnloadEvent) => {
        if (job.value && !saved.value) {
            event.preventDefault();
        }
    });

    return {
        job, artwork, measures, saving, saved, trouble, stale, draft, settleDraft, open, change, changeLayer, operate, retry: settle, loadNewer, keepMine, loadSwatches, hex, called,
        undo: () => step('undo'),
        redo: () => step('redo'),
        goBackTo: (revision: number) => step(`versions/${revision}`),
    };
});
