<script setup lang="ts">
import { computed, ref } from 'vue';
import { VBtn, VCheckbox, VNumberInput, VSelect } from 'vuetify/components';
import { api, said } from '../api';
import { useMe } from '../people/me';
import { isLive, useChange, useExports } from '../server/queries';
import { useGauges } from '../stores/gauges';
import { useSheet } from '../stores/sheet';
import type { ExportCard, ParcelCard } from '../types';
import { ago } from '../words/lines';
import DestinationsForm from '../houses/DestinationsForm.vue';
import HouseParcels from '../houses/HouseParcels.vue';
import ListingLog from '../houses/ListingLog.vue';
import ListingPictures from '../houses/ListingPictures.vue';
import ListingWords from '../houses/ListingWords.vue';
import { useFits } from '../server/houses';
import { useBatches } from '../server/series';
import RightsGroup from '../rights/RightsGroup.vue';
import { useRights } from '../server/rights';
import { counted } from '../words/counted';
import JobRemarks from './JobRemarks.vue';
import '../styles/exports.css';

const sheet = useSheet();
const { makes } = useMe();
const gauges = useGauges();
const job = computed(() => sheet.job?.id);
const { data: rights } = useRights(() => sheet.job?.revision);
const forbidden = computed(() => rights.value?.ruling === 'not-allowed');
const why = ref('');
const copied = ref(false);
const kind = ref('png');
const cut = ref<number | null>(0.125);
const fewer = ref(false);
const kinds = [{ value: 'png', title: 'PNG, as print houses take it' }, { value: 'tiff', title: 'TIFF with alpha' }, { value: 'pdf', title: 'PDF at true size' }, { value: 'ora', title: 'OpenRaster, every layer by itself' }, { value: 'svg', title: 'SVG outlines, for cutters' }];
const reason = (): { why?: string } => (why.value.trim() ? { why: why.value.trim() } : {});
const { data: exports, error: unread } = useExports(job);
const { mutate: start, error: refused } = useChange(() => api.post<ExportCard>(`jobs/${job.value}/exports`, { ...reason(), kind: kind.value, ...(kind.value === 'svg' && cut.value !== null ? { cut: cut.value } : {}) }), 'exports', 'rights');
const { mutate: cancel, error: kept } = useChange((id: number) => api.remove<ExportCard>(`exports/${id}`), 'exports');
const stages: Record<string, string> = { paused: 'paused', waiting: 'waiting for its turn', layers: 'drawing the lines', write: 'writing the file', check: 'checking the file', done: 'done', failed: 'failed', cancelled: 'cancelled' };
const mark = { pass: '✓', warn: '!', fail: '✕' };
const { data: fits } = useFits(() => sheet.job?.revision);
const sending = useChange(() => api.post<ExportCard[]>(`jobs/${job.value}/send`, { ...reason(), fewerColours: fewer.value }), 'exports', 'rights', 'batches');
const bring = useChange((batch: string) => api.post<ParcelCard[]>(`jobs/${job.value}/send/${batch}/bring`), 'parcels');
const again = useChange((batch: string) => api.post<ExportCard[]>(`jobs/${job.value}/send/${batch}/again`), 'exports', 'batches');
const { data: batches } = useBatches(job);
const pausing = useChange(({ batch, on }: { batch: string; on: boolean }) => api.post(`jobs/${job.value}/send/${batch}/${on ? 'resume' : 'pause'}`), 'batches', 'exports');
const running = computed(() => exports.value?.some(isLive) ?? false);
const blocked = computed(() => gauges.findings.filter((finding) => finding.verdict === 'fail'));
const failed = computed(() => {
    const error = refused.value ?? kept.value ?? unread.value;
    return error ? said(error) : '';
});

async function copyCredits(): Promise<void> {
    await navigator.clipboard.writeText(rights.value?.credits ?? '');
    copied.value = true;
}

function counts(one: ExportCard): string {
    const all = one.figures?.checks ?? [];
    return (['fail', 'warn', 'pass'] as const).map((verdict) => `${mark[verdict]} ${all.filter((check) => check.verdict === verdict).length}`).join('  ');
}
</script>

<template>
    <main class="page">
        <header class="page-head"><h1>Send</h1><v-btn v-if="sheet.job" :href="`/api/jobs/${sheet.job.id}/file`" download title="The sheet with its fonts, pictures and licences, to open elsewhere">The whole job as a file</v-btn><v-btn v-if="makes" variant="flat" color="primary" :disabled="running || (forbidden && why.trim() === '')" @click="start(undefined)">Export the print file</v-btn></header>
        <div v-if="makes" class="send-kind"><v-select v-model="kind" label="As" :items="kinds" /><v-number-input v-if="kind === 'svg'" v-model="cut" label="Cut line, inches from the ink; empty for none" :min="0" :max="2" :step="0.0625" :precision="null" control-variant="hidden" clearable /></div>
        <p class="small">8 bits to the colour with a transparent ground, sRGB, {{ sheet.artwork?.sheet.width }} × {{ sheet.artwork?.sheet.height }} px at {{ sheet.artwork?.sheet.ppi }} ppi.</p>
        <p v-if="sheet.artwork && sheet.artwork.method !== 'dtg'" class="note">A heat press burns: keep to the temperature, time and pressure that the makers of the press and of the transfer give, use its guards and gloves, air the room, and keep to your local rules. Their instructions go before anything said here.</p>
        <p v-if="blocked.length" class="note">{{ blocked.length }} {{ blocked.length === 1 ? 'gauge does' : 'gauges do' }} not hold: {{ blocked.map((finding) => finding.word).join(', ') }}. You can export all the same; a print house may send it back.</p>
        <section v-if="rights" class="send-rights">
            <v-text-field v-if="forbidden" v-model="why" label="Something on it is not allowed by its terms as stated. Why do you print it all the same?" maxlength="500" hint="A word is kept with the file." />
            <RightsGroup :revision="sheet.job?.revision" whole />
            <div class="send-papers">
                <v-btn :href="`/api/revisions/${sheet.job?.revision}/licences.pdf`" download>Licence sheet</v-btn>
                <v-btn :href="`/api/revisions/${sheet.job?.revision}/licences.csv`" download>as CSV</v-btn>
                <v-btn :href="`/api/revisions/${sheet.job?.revision}/evidence.zip`" download title="The licence sheet, the proofs, the design's picture, hashes and dates, to answer a market">Evidence pack</v-btn>
            </div>
            <div v-if="rights.credits" class="send-credits">
                <h3>Credits for the listing</h3>
                <pre tabindex="0">{{ rights.credits }}</pre>
                <v-btn size="small" @click="copyCredits">{{ copied ? 'Copied' : 'Copy them' }}</v-btn>
            </div>
        </section>
        <section v-if="sheet.job" class="send-houses" aria-labelledby="houses-head">
            <h2 id="houses-head">To its houses</h2>
            <DestinationsForm :job="sheet.job.id" :revision="sheet.job.revision" />
            <v-checkbox v-if="makes && fits?.length" v-model="fewer" label="Where a PNG is larger than its house takes, use fewer colours" />
            <p v-if="makes"><v-btn variant="flat" color="primary" :disabled="!fits?.length || (forbidden && why.trim() === '')" :loading="sending.isPending.value" @click="sending.mutate(undefined)">Make {{ fits?.length === 1 ? 'its file' : `all ${fits?.length ?? 0} files` }}</v-btn> <span v-if="fits?.some((one) => one.notes.some((note) => note.grave))" class="small">A house would send some of them back; look above.</span></p>
            <p v-if="sending.error.value" role="alert">{{ said(sending.error.value) }}</p>
            <p v-for="batch in batches" :key="batch.id" class="send-batch">
                <strong>{{ batch.done }} of {{ counted(batch.all, 'file') }}</strong> <span class="small">{{ ago(batch.createdAt) }}{{ batch.paused ? ` · ${batch.paused} paused` : '' }}</span>
                <v-progress-linear v-if="batch.live || batch.paused" class="send-progress" :model-value="(100 * (batch.done + batch.left)) / batch.all" color="primary" :aria-label="`How much of this send is made`" />
                <v-btn v-if="makes && (batch.live > 1 || batch.paused)" size="small" @click="pausing.mutate({ batch: batch.id, on: batch.paused > 0 })">{{ batch.paused ? 'Go on' : 'Pause' }}</v-btn>
                <v-btn v-if="batch.done" :href="`/api/jobs/${job}/send/${batch.id}/files.zip`" download>All of them in one zip</v-btn>
                <v-btn v-if="makes && batch.done" size="small" :loading="bring.isPending.value" @click="bring.mutate(batch.id)">Bring them to their houses</v-btn>
                <v-btn v-if="batch.left" size="small" @click="again.mutate(batch.id)">Begin {{ batch.left }} again</v-btn>
            </p>
            <p v-if="bring.error.value" role="alert">{{ said(bring.error.value) }}</p>
            <HouseParcels :job="sheet.job.id" />
        </section>
        <p v-if="failed" role="alert">{{ failed }}</p>
        <p v-if="exports?.length === 0" class="empty">Nothing has been exported yet.</p>
        <ol class="exports">
            <li v-for="one in exports ?? []" :key="one.id" class="export" :class="one.state">
                <div class="export-head">
                    <strong>{{ one.file }}</strong>
                    <span class="small">{{ stages[one.state === 'cancelling' ? 'cancelled' : one.stage] ?? one.stage }} · {{ ago(one.createdAt) }}</span>
                    <v-btn v-if="isLive(one)" variant="text" :disabled="one.state === 'cancelling'" @click="cancel(one.id)">{{ one.state === 'cancelling' ? 'Cancelling …' : 'Cancel' }}</v-btn>
                    <v-btn v-if="one.state === 'done'" :href="`/api/exports/${one.id}/file`" download>Download</v-btn>
                </div>
                <v-progress-linear v-if="isLive(one)" :model-value="one.progress" :indeterminate="one.state === 'queued'" color="primary" :aria-label="`Progress of ${one.file}`" />
                <dl v-if="one.figures" class="figures measure">
                    <div><dt>pixels</dt><dd>{{ one.figures.width }} × {{ one.figures.height }}</dd></div>
                    <div><dt>ppi</dt><dd>{{ one.figures.ppi }}</dd></div>
                    <div><dt>inches</dt><dd>{{ one.figures.inches.map((side) => side.toFixed(2)).join(' × ') }}</dd></div>
                    <div><dt>size</dt><dd>{{ (one.figures.bytes / 1e6).toFixed(2) }} MB</dd></div>
                    <div><dt>checks</dt><dd>{{ counts(one) }}</dd></div>
                </dl>
                <p v-if="one.figures?.packing" role="note">{{ one.figures.packing }}</p>
                <details v-if="one.figures">
                    <summary class="small">What was checked on this file</summary>
                    <ul class="checked"><li v-for="finding in one.figures.checks" :key="finding.key" :class="finding.verdict"><span class="mark">{{ mark[finding.verdict] }}</span> {{ finding.word }}: <span class="measure">{{ finding.figure }}</span>. {{ finding.says }}</li></ul>
                </details>
                <p v-if="one.why" class="small">Printed though not allowed as stated: {{ one.why }}</p>
                <p v-if="one.trouble" role="alert">{{ one.trouble }}</p>
            </li>
        </ol>
        <ListingWords v-if="sheet.job" :job="sheet.job.id" />
        <ListingLog v-if="sheet.job && makes" :job="sheet.job.id" />
        <ListingPictures v-if="sheet.job && sheet.artwork" :revision="sheet.job.revision" :artwork="sheet.artwork" />
        <JobRemarks v-if="sheet.job" :job="sheet.job.id" :revision="sheet.job.revision" />
    </main>
</template>

<style>
.send-rights { display: grid; gap: 10px; margin: 12px 0; max-width: 760px; }
.send-rights .rights { border: 1px solid var(--hair); background: var(--card); }
.send-houses { display: grid; gap: 10px; }
.send-batch { display: flex; flex-wrap: wrap; gap: 12px; align-items: baseline; }
.send-progress { flex: 0 1 220px; }
.send-papers { display: flex; flex-wrap: wrap; gap: 8px; }
.send-credits pre { white-space: pre-wrap; border: 1px solid var(--hair); background: var(--card); padding: 8px 10px; font-family: var(--measures); font-size: 12px; }
.send-kind { display: grid; grid-template-columns: 320px 320px; gap: 10px; margin-top: 10px; }
.figures { display: flex; flex-wrap: wrap; gap: 6px 28px; margin: 0; }
.figures dt { color: var(--faded); font-size: 11px; }
.figures dd { margin: 0; }
.checked { margin: 6px 0 0; font-size: 12.5px; }
.checked .fail .mark { color: var(--bad); }
.checked .warn .mark { color: var(--warn); }
.checked .pass .mark { color: var(--good); }
</style>
