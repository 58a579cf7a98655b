<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, reactive, ref, watch } from 'vue';
import { VBtn, VSelect } from 'vuetify/components';
import { api } from '../api';
import { useMe } from '../people/me';
import { useFaults } from '../server/faults';
import { useChange, useRemoval } from '../server/queries';
import { SERIES, usePlaces, useSeries, useSeriesRows } from '../server/series';
import PatternForm from '../series/PatternForm.vue';
import RowCard from '../series/RowCard.vue';
import RowDialog from '../series/RowDialog.vue';
import RowsForm from '../series/RowsForm.vue';
import { useSheet } from '../stores/sheet';
import type { ExportCard, SceneName, SeriesRowCard } from '../types';

const sheet = useSheet();
const { makes } = useMe();
const job = computed(() => sheet.job?.id ?? 0);
const revision = computed(() => sheet.job?.revision ?? 0);
const { data: series, error: unread } = useSeries(job);
const { data: places } = usePlaces(job, revision);
const { data: held } = useSeriesRows(job, revision, () => series.value?.id);
const { listed: rows, remove, error: stays } = useRemoval('series-rows', held, ...SERIES);
/** The panels' initial state depends on the data; later only the user changes it. */
const opens = reactive({ pattern: false, list: false });
watch(series, (now, before) => {
    if (before === undefined && now !== undefined) {
        opens.pattern = now === null;
    }
    opens.list ||= now?.rows === 0;
}, { immediate: true });
const order = ref('list');
const only = ref('all');
const find = ref('');
const cloth = ref(0);
const chosen = ref<SeriesRowCard | null>(null);
const open = ref(false);
const worst: Record<string, number> = { fail: 0, warn: 1, '': 2, pass: 3 };
const shown = computed(() => {
    const wanted = find.value.trim().toLowerCase();
    const some = (rows.value ?? []).filter((row) => (only.value === 'all' || row.verdict === only.value) && (!wanted || row.title.toLowerCase().includes(wanted)));
    return order.value === 'worst' ? [...some].sort((a, b) => (worst[a.verdict] ?? 2) - (worst[b.verdict] ?? 2)) : some;
});
const counts = computed(() => {
    const of = (verdict: string): number => (rows.value ?? []).filter((row) => row.verdict === verdict).length;
    return { fail: of('fail'), warn: of('warn'), pass: of('pass'), open: of('') };
});
const shared = computed(() => [...new Set((rows.value ?? []).flatMap((row) => row.told.filter((one) => one.grave && one.says.startsWith('As in the pattern.')).map((one) => one.says.replace('As in the pattern. ', ''))))]);
const garments = computed(() => sheet.artwork?.garments ?? []);
const ratio = computed(() => (sheet.artwork ? sheet.artwork.sheet.height / sheet.artwork.sheet.width : 1.2));
const freeze = useChange((row: SeriesRowCard) => api.put<SeriesRowCard>(`series-rows/${row.id}`, { frozen: !row.frozen }), ...SERIES);
const { data: scenes } = useQuery({ queryKey: ['scenes'], queryFn: () => api.get<SceneName[]>('scenes'), staleTime: Infinity });
const scene = ref('');
const sending = useChange(() => api.post<ExportCard[]>(`jobs/${job.value}/series/send`, scene.value ? { scene: scene.value } : {}), 'exports', 'batches');
const trouble = useFaults(() => [unread.value, freeze.error.value, stays.value, sending.error.value].find((one) => one));
</script>

<template>
    <main class="page">
        <header class="page-head"><h1>Series</h1><span class="small">the same sheet for the next name, year or colour</span></header>
        <details class="series-part" :open="opens.pattern" @toggle="opens.pattern = ($event.target as HTMLDetailsElement).open"><summary><h2>What changes</h2></summary><PatternForm v-if="sheet.artwork && job" :key="job" :job="job" :revision="revision" :artwork="sheet.artwork" :series="series ?? null" /></details>
        <details v-if="series" class="series-part" :open="opens.list" @toggle="opens.list = ($event.target as HTMLDetailsElement).open"><summary><h2>The list</h2></summary><RowsForm :key="series.slots.map((slot) => slot.name).join()" :job="job" :series="series" /></details>
        <p v-if="trouble.other" role="alert">{{ trouble.other }}</p>
        <section v-if="series && rows?.length" aria-labelledby="contact-head">
            <div class="contact-head">
                <h2 id="contact-head">{{ rows.length }} {{ rows.length === 1 ? 'shirt' : 'shirts' }}</h2>
                <span class="measure small" role="status">✕ {{ counts.fail }} ! {{ counts.warn }} ✓ {{ counts.pass }}{{ counts.open ? ` · ${counts.open} being checked` : '' }}</span>
            </div>
            <div class="contact-bar">
                <v-text-field v-model="find" label="Find" type="search" clearable @click:clear="find = ''" />
                <v-select v-model="only" label="Show" :items="[{ value: 'all', title: 'all' }, { value: 'fail', title: 'what does not hold' }, { value: 'warn', title: 'what to look at' }, { value: 'pass', title: 'what holds' }]" />
                <v-select v-model="order" label="Order" :items="[{ value: 'list', title: 'as in the list' }, { value: 'worst', title: 'the worst first' }]" />
                <v-select v-model="cloth" label="On" :items="garments.map((one, i) => ({ value: i, title: one.name }))" />
                <v-select v-model="scene" label="Listing pictures" :items="[{ slug: '', name: 'none' }, ...(scenes ?? [])]" item-title="name" item-value="slug" />
                <v-btn v-if="makes" variant="flat" color="primary" :loading="sending.isPending.value" @click="sending.mutate(undefined, { onSuccess: () => $router.push(`/jobs/${job}/send`) })">Make all their files</v-btn>
            </div>
            <p class="small"><a :href="`/api/jobs/${job}/series/listing.csv`" download>Words of the listing for each, as CSV</a>: those of Send, where slots stand in braces.</p>
            <p v-if="shared.length" class="series-shared">The pattern itself does not hold, and so none of them does: {{ shared[0] }}{{ shared.length > 1 ? ` And ${shared.length - 1} more.` : '' }} <router-link :to="`/jobs/${job}/check`">Mend it at Check</router-link>; all follow.</p>
            <p v-if="counts.fail" class="small">{{ counts.fail }} {{ counts.fail === 1 ? 'shirt has' : 'shirts have' }} faults of {{ counts.fail === 1 ? 'its' : 'their' }} own; a printer may send {{ counts.fail === 1 ? 'it' : 'them' }} back.</p>
            <ul class="contact"><RowCard v-for="row in shown" :key="row.id" :row="row" :cloth="garments[cloth]?.colour ?? '#8f8a80'" :ratio="ratio" @change="chosen = row; open = true" @freeze="freeze.mutate(row)" @drop="remove(row)" /></ul>
            <p v-if="shown.length === 0" class="empty">No shirt is so.</p>
        </section>
        <RowDialog v-if="chosen && series" v-model="open" :revision="revision" :ratio="ratio" :cloth="garments[cloth]?.colour ?? '#8f8a80'" :row="chosen" :series="series" :places="places ?? []" />
    </main>
</template>

<style>
.series-part { margin: 10px 0; }
.series-part summary h2 { display: inline; }
.series-part > :last-child { margin-top: 10px; }
.contact-head { display: flex; gap: 10px; align-items: baseline; margin: 14px 0 6px; }
.contact-bar { display: grid; grid-template-columns: repeat(5, minmax(0, 1fr)) max-content; gap: 10px; align-items: center; margin-bottom: 8px; }
.series-shared { color: var(--bad); margin: 4px 0 10px; }
.contact { margin-top: 6px; display: grid; grid-template-columns: repeat(auto-fill, minmax(190px, 1fr)); gap: 12px; }
@media (max-width: 1000px) { .contact-bar { grid-template-columns: 1fr 1fr; } }
</style>
