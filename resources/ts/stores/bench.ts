import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import { api, Refused, said } from '../api';
import { findLayer, replaceLayer } from '../bench/layers';
import type { Pen } from '../peg/pen';
import { useCatalogue } from './catalogue';
import { allRead, reading } from './reading';
import type { Artwork, Asset, BenchJob, Layer, Measure, Report } from '../types';

type Change = (artwork: Artwork) => Artwork;

/**
 * The job on the bench. Every change shows at once, is saved in order, and names the version it started from; the
 * server's answer then holds. What another tab saved meanwhile is never overwritten unasked.
 */
export const useBench = defineStore('bench', () => {
    const job = ref<BenchJob | null>(null);
    const artwork = ref<Artwork | null>(null);
    const chosen = ref<string | null>(null);
    /** Chosen besides that one, to be arranged together. */
    const also = ref<string[]>([]);
    const cloth = ref(0);
    const report = ref<Report | null>(null);
    const finding = ref<string | null>(null);
    const measuring = ref(false);
    const sending = ref(false);
    const saving = computed(() => sending.value || reading.value > 0);
    const trouble = ref<string | null>(null);
    const stale = ref<string | null>(null);

    /** What is being drawn on the peg. */
    const pen = ref<Pen | null>(null);
    /** What the peg shows over the art. */
    const overlay = ref<'none' | 'taken' | 'mask'>('none');
    const colourWanted = ref<((colour: string | null) => void) | null>(null);

    let waiting: Artwork | null = null;
    let running: Promise<void> | null = null;
    let checks: AbortController | null = null;
    let checkTimer = 0;

    const layer = computed<Layer | undefined>(() => (artwork.value ? findLayer(artwork.value, chosen.value) : undefined));
    const measures = computed(() => new Map<string, Measure>((job.value?.measures ?? []).map((measure) => [measure.id, measure])));
    const garment = computed(() => artwork.value?.garments[Math.min(cloth.value, artwork.value.garments.length - 1)]);
    const saved = computed(() => !saving.value && !trouble.value && !stale.value);

    const selection = computed(() => (chosen.value ? [chosen.value, ...also.value.filter((id) => id !== chosen.value && artwork.value && findLayer(artwork.value, id))] : []));

    /** Chooses one line, or adds it to those that are chosen and takes it out again. */
    function choose(id: string | null, among = false): void {
        if (id !== chosen.value) {
            pen.value = null;
        }
        if (!among || !id || !chosen.value) {
            also.value = [];
            chosen.value = id;
        } else if (id === chosen.value) {
            chosen.value = also.value[0] ?? null;
            also.value = also.value.slice(1);
        } else {
            also.value = also.value.includes(id) ? also.value.filter((one) => one !== id) : [...also.value, id];
        }
    }

    /** A colour as the screen needs it, whether it stands for itself or is named. */
    function hex(colour: string): string {
        return colour.startsWith('@') ? (artwork.value?.swatches.find((swatch) => swatch.name === colour.slice(1))?.colour ?? '#000000') : colour;
    }

    /** Asks the seller for a place on the peg and answers the colour there. */
    function pickColour(): Promise<string | null> {
        colourWanted.value?.(null);
        return new Promise((resolve) => {
            colourWanted.value = (colour) => {
                colourWanted.value = null;
                resolve(colour);
            };
        });
    }

    function take(answer: BenchJob): void {
        job.value = answer;
        artwork.value = waiting ?? answer.artwork;
        trouble.value = null;
        if (!layer.value) {
            choose(null);
        }
        measure(answer.revision);
    }

    async function open(id: number): Promise<void> {
        if (job.value?.id !== id) {
            job.value = artwork.value = report.value = chosen.value = finding.value = null;
            also.value = [];
            cloth.value = 0;
        }
        waiting = null;
        stale.value = null;
        take(await api.get<BenchJob>(`jobs/${id}`));
    }

    /** Shows a change now and saves it after those before it. */
    function change(by: Change): Promise<void> {
        if (!artwork.value) {
            return Promise.resolve();
        }
        artwork.value = waiting = by(artwork.value);
        return settle();
    }

    function changeLayer(id: string, by: (layer: Layer) => Layer[]): Promise<void> {
        return change((sheet) => replaceLayer(sheet, id, by));
    }

    function settle(): Promise<void> {
        running ??= save().finally(() => {
            running = null;
        });
        return running;
    }

    async function save(): Promise<void> {
        sending.value = true;
        try {
            while (waiting && job.value && !stale.value) {
                const now: Artwork = waiting;
                const answer: BenchJob = await api.put<BenchJob>(`jobs/${job.value.id}/artwork`, { version: job.value.version, artwork: now });
                if (waiting === now) {
                    waiting = null;
                }
                take(answer);
            }
        } catch (error) {
            refused(error);
        } finally {
            sending.value = false;
        }
    }

    function refused(error: unknown): void {
        if (error instanceof Refused && error.status === 409) {
            stale.value = error.message;
            return;
        }
        trouble.value = said(error);
        if (error instanceof Refused && error.status === 422 && job.value) {
            // The core refused the change: what was saved stands.
            waiting = null;
            artwork.value = job.value.artwork;
        }
    }

    async function step(action: 'undo' | 'redo' | 'mends' | 'arrange', more: object = {}): Promise<void> {
        await allRead();
        await running;
        if (!job.value || stale.value) {
            return;
        }
        sending.value = true;
        try {
            take(await api.post<BenchJob>(`jobs/${job.value.id}/${action}`, { version: job.value.version, ...more }));
        } catch (error) {
            refused(error);
        } finally {
            sending.value = false;
        }
    }

    /** A raster becomes a drawing on the shelf, and the piece that showed the one shows the other. */
    async function trace(asset: number, id: string): Promise<void> {
        sending.value = true;
        try {
            const made = await api.post<Asset>(`assets/${asset}/trace`, { colours: 6 });
            await useCatalogue().load();
            await changeLayer(id, (one) => [one.source.kind === 'art' ? { ...one, source: { ...one.source, file: made.file }, effects: one.effects.filter((effect) => useCatalogue().effect(effect.kind)?.stage !== 'retouch') } : one]);
        } catch (error) {
            trouble.value = said(error);
        } finally {
            sending.value = false;
        }
    }

    /** Named colours from a GIMP palette. */
    async function loadSwatches(file: File): Promise<void> {
        await running;
        if (!job.value) {
            return;
        }
        const form = new FormData();
        form.set('version', String(job.value.version));
        form.set('file', file);
        take(await api.upload<BenchJob>(`jobs/${job.value.id}/swatches`, form));
    }

    /** The newer sheet of the other tab takes the place of what is here. */
    async function loadNewer(): Promise<void> {
        if (job.value) {
            await open(job.value.id);
        }
    }

    /** What is here is saved as a further step on top of the other tab's, which stays among the revisions. */
    async function keepMine(): Promise<void> {
        if (!job.value || !artwork.value) {
            return;
        }
        const mine = artwork.value;
        const newest = await api.get<BenchJob>(`jobs/${job.value.id}`);
        job.value = newest;
        stale.value = null;
        waiting = artwork.value = mine;
        await settle();
    }

    function measure(revision: number): void {
        window.clearTimeout(checkTimer);
        checks?.abort();
        if (report.value?.revision === revision) {
            measuring.value = false;
            return;
        }
        measuring.value = true;
        checkTimer = window.setTimeout(async () => {
            const mine = (checks = new AbortController());
            try {
                report.value = await api.get<Report>(`revisions/${revision}/preflight`, mine.signal);
                measuring.value = false;
            } catch (error) {
                if (!mine.signal.aborted) {
                    measuring.value = false;
                    trouble.value = said(error);
                }
            }
        }, 250);
    }

    return {
        job, artwork, chosen, also, selection, cloth, report, finding, measuring, saving, saved, trouble, stale,
        layer, measures, garment, pen, overlay, colourWanted, choose, hex, pickColour, loadSwatches, trace,
        open, change, changeLayer, retry: settle, loadNewer, keepMine,
        undo: () => step('undo'),
        redo: () => step('redo'),
        arrange: (action: string, more: object = {}) => step('arrange', { action, ids: selection.value, ...more }),
        mend: (key: string, mend: number) => step('mends', { finding: key, mend }),
    };
});
