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

/** Undo, redo, or restore an older revision. */
type Step = 'undo' | 'redo' | `versions/${number}`;

/** A queued task: a value set here, an operation of the core, or a step in the history. */
type Task =
    | { kind: 'change'; by: Change }
    | { kind: 'operate'; operations: Operation[] }
    | { kind: 'step'; action: Step };

/** A request for the first queued tasks. */
interface Attempt {
    key: string;
    job: number;
    sent: number;
    method: 'POST' | 'PUT';
    path: string;
    body: unknown;
}

/** Backoff in milliseconds for retries after a lost connection. */
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
    /** Unsaved changes from this browser, offered when the job is opened again. */
    const draft = shallowRef<Draft | null>(null);
    let tries = 0;
    // A request without a response is repeated unchanged with the same key, whatever was set since.
    let attempt: Attempt | null = null;
    let running: Promise<void> | null = null;

    const saving = computed(() => sending.value || reading.value > 0);
    const saved = computed(() => !saving.value && tasks.value.length === 0 && !stale.value);
    const measures = computed(() => new Map<string, Measure>((job.value?.measures ?? []).map((measure) => [measure.id, measure])));
    const again = useTimeoutFn(() => void settle(), () => AGAIN[Math.min(tries, AGAIN.length - 1)] ?? 0, { immediate: false });

    /** Shows the server's state with all values set since. */
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
        // Queued tasks are dropped only after the server's state was loaded.
        const answer = await api.get<BenchJob>(`jobs/${id}`);
        tasks.value = [];
        attempt = null;
        stale.value = null;
        take(answer);
        draft.value = draftOf(answer.id, answer.artwork);
    }

    /** Saves the draft as a new revision, or discards it. */
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

    /** Shows a value that was set and queues its save. */
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

    /** Queues operations for the core after all typed values are parsed, since those refer to entries by index. Operations are merged into a waiting task, so that repeated keys do not pile up. */
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

    /** Takes as many of the first tasks as fit in one request. */
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
            // The core refused it: the saved state remains, and later changes are tried on top of it.
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

    /** Discards local changes and loads the other tab's sheet. */
    async function loadNewer(): Promise<void> {
        if (job.value) {
            await open(job.value.id).catch(tell);
        }
    }

    /** Saves the local sheet as a new revision after the other tab's, which remains in the history. */
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

    /** Uploads a palette after all queued changes are saved. */
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

    /** Resolves a colour, given as a value or by name, to a hex code. */
    function hex(colour: string): string {
        return colour.startsWith('@') ? (artwork.value?.swatches.find((swatch) => swatch.name === colour.slice(1))?.colour ?? '#000000') : colour;
    }

    /** The short name of a layer, from the core. */
    function called(id: string): string {
        return measures.value.get(id)?.called ?? id;
    }

    /** Shows what another tab saved; changes made here while it was fetched are kept. */
    async function follow(id: number, version: number): Promise<void> {
        const behind = (): boolean => job.value?.id === id && job.value.version < version && saved.value;
        const newer = behind() ? await api.get<BenchJob>(`jobs/${id}`).catch(() => null) : null;
        if (newer && behind()) {
            take(newer);
        }
    }

    // Saves of other tabs of this browser are shown at once, unless tasks are queued here: then the version check finds the conflict.
    const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('tall-crow-saves');
    channel?.addEventListener('message', (event: MessageEvent<{ job: number; version: number }>) => {
        void follow(event.data.job, event.data.version);
    });

    // Ask before leaving with unsaved changes.
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
