<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref } from 'vue';
import { api, said } from '../api';
import { useBench } from '../stores/bench';
import type { ExportCard } from '../types';
import { ago } from '../words/lines';

const bench = useBench();
const exports = ref<ExportCard[]>([]);
const failed = ref('');
const loaded = ref(false);
let timer = 0;

const stages: Record<string, string> = { waiting: 'waiting for its turn', layers: 'drawing the lines', write: 'writing the file', check: 'checking the file', done: 'done', failed: 'failed', cancelled: 'cancelled' };
const mark = { pass: '✓', warn: '!', fail: '✕' };
const live = (one: ExportCard): boolean => ['queued', 'running', 'cancelling'].includes(one.state);
const running = computed(() => exports.value.some(live));
const blocked = computed(() => (bench.report?.findings ?? []).filter((finding) => finding.verdict === 'fail'));

async function load(): Promise<void> {
    window.clearTimeout(timer);
    try {
        exports.value = await api.get<ExportCard[]>(`jobs/${bench.job?.id}/exports`);
        failed.value = '';
        loaded.value = true;
    } catch (error) {
        failed.value = said(error);
    }
    if (running.value || failed.value) {
        timer = window.setTimeout(load, failed.value ? 3000 : 400);
    }
}

async function start(): Promise<void> {
    failed.value = '';
    try {
        const made = await api.post<ExportCard>(`jobs/${bench.job?.id}/exports`);
        exports.value = [made, ...exports.value];
        await load();
    } catch (error) {
        failed.value = said(error);
    }
}

async function cancel(one: ExportCard): Promise<void> {
    await api.remove(`exports/${one.id}`).catch((error: unknown) => (failed.value = said(error)));
    await load();
}

function counts(one: ExportCard): string {
    const all = one.figures?.report.findings ?? [];
    return (['fail', 'warn', 'pass'] as const).map((verdict) => `${mark[verdict]} ${all.filter((finding) => finding.verdict === verdict).length}`).join('  ');
}

onMounted(load);
onBeforeUnmount(() => window.clearTimeout(timer));
</script>

<template>
    <main class="page">
        <header class="page-head"><h1>Send</h1><button type="button" class="plain-button strong" :disabled="running" @click="start">Export the print file</button></header>
        <p class="small">8-bit PNG with a transparent ground, sRGB, {{ bench.artwork?.sheet.width }} × {{ bench.artwork?.sheet.height }} px at {{ bench.artwork?.sheet.ppi }} ppi.</p>
        <p v-if="bench.artwork && bench.artwork.method !== 'dtg'" class="note">A heat press burns: keep to the temperature, time and pressure that the makers of the press and of the transfer give, use its guards and gloves, air the room, and keep to your local rules. Their instructions go before anything said here.</p>
        <p v-if="blocked.length" class="note">{{ blocked.length }} {{ blocked.length === 1 ? 'gauge does' : 'gauges do' }} not hold: {{ blocked.map((finding) => finding.word).join(', ') }}. You can export all the same; a print house may send it back.</p>
        <p v-if="failed" role="alert">{{ failed }}</p>
        <p v-if="loaded && exports.length === 0" class="empty">Nothing has been exported yet.</p>
        <ol class="exports">
            <li v-for="one in exports" :key="one.id" class="export" :class="one.state">
                <div class="export-head">
                    <strong>{{ one.file }}</strong>
                    <span class="small">{{ stages[one.state === 'cancelling' ? 'cancelled' : one.stage] ?? one.stage }} · {{ ago(one.created_at) }}</span>
                    <button v-if="live(one)" type="button" class="plain-button quiet" :disabled="one.state === 'cancelling'" @click="cancel(one)">{{ one.state === 'cancelling' ? 'Cancelling …' : 'Cancel' }}</button>
                    <a v-if="one.state === 'done'" class="plain-button" :href="`/api/exports/${one.id}/file`" download>Download</a>
                </div>
                <v-progress-linear v-if="live(one)" :model-value="one.progress" :indeterminate="one.state === 'queued'" color="primary" :aria-label="`Progress of ${one.file}`" />
                <dl v-if="one.figures" class="figures measure">
                    <div><dt>pixels</dt><dd>{{ one.figures.width }} × {{ one.figures.height }}</dd></div>
                    <div><dt>ppi</dt><dd>{{ one.figures.ppi }}</dd></div>
                    <div><dt>inches</dt><dd>{{ one.figures.inches[0].toFixed(2) }} × {{ one.figures.inches[1].toFixed(2) }}</dd></div>
                    <div><dt>size</dt><dd>{{ (one.figures.bytes / 1e6).toFixed(2) }} MB</dd></div>
                    <div><dt>checks</dt><dd>{{ counts(one) }}</dd></div>
                </dl>
                <details v-if="one.figures">
                    <summary class="small">What was checked on this file</summary>
                    <ul class="checked"><li v-for="finding in one.figures.report.findings" :key="finding.key" :class="finding.verdict"><span class="mark">{{ mark[finding.verdict] }}</span> {{ finding.word }}: <span class="measure">{{ finding.figure }}</span>. {{ finding.says }}</li></ul>
                </details>
                <p v-if="one.trouble" role="alert">{{ one.trouble }}</p>
            </li>
        </ol>
    </main>
</template>
