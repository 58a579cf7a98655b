<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { refDebounced } from '@vueuse/core';
import { computed, reactive, ref } from 'vue';
import { VBtn, VCheckbox, VNumberInput, VSelect } from 'vuetify/components';
import { api, proofUrl } from '../api';
import TurnPicture from '../pictures/TurnPicture.vue';
import '../styles/exports.css';
import { useFaults } from '../server/faults';
import { useChange, useJobs } from '../server/queries';
import type { GangCard, GangLayout, JobCard } from '../types';
import { ago } from '../words/lines';
import { counted } from '../words/counted';

/** Gang sheets for transfers: copies of several designs, packed with the smallest gap for cutting. */
const { data: jobs } = useJobs();
const LIVE = ['queued', 'running', 'cancelling'];
const { data: gangs } = useQuery({ queryKey: ['gangs'], queryFn: () => api.get<GangCard[]>('gangs'), staleTime: 0, refetchInterval: (query) => (query.state.data?.some((one) => LIVE.includes(one.state)) ? 700 : false) });
const films = [
    { title: 'roll, 22 in wide', value: 'roll22', width: 22, length: null }, { title: '13 × 19 in', value: 'large', width: 13, length: 19 }, { title: '8.5 × 11 in', value: 'letter', width: 8.5, length: 11 },
    { title: 'A4', value: 'a4', width: 210 / 25.4, length: 297 / 25.4 }, { title: 'A3', value: 'a3', width: 297 / 25.4, length: 420 / 25.4 },
];
const film = ref('roll22');
const form = reactive({ gap: 0.25, margin: 0.25, mirrored: true, marks: true, price: null as number | null });
type Line = { job: number; width: number | null; count: number; turns: boolean };
const lines = ref<Line[]>([]);
const card = reactive({ temperature: null as number | null, unit: 'C', seconds: null as number | null, pressure: '', peel: '', source: '' });
const isCarded = computed(() => card.temperature !== null || card.seconds !== null || [card.pressure, card.peel, card.source].some((said) => said.trim() !== ''));
const wanted = ref<number | null>(null);
const chosen = computed(() => films.find((one) => one.value === film.value) ?? films[0]);
const asked = computed(() => ({ film: { width: chosen.value?.width ?? 22, length: chosen.value?.length ?? null, gap: form.gap ?? 0, margin: form.margin ?? 0 }, mirrored: form.mirrored, marks: form.marks, pieces: lines.value.map((one) => ({ ...one, count: one.count || 1 })) }));
const steady = refDebounced(asked, 400);
const { data: layout, error } = useQuery({ queryKey: ['gang-layout', steady], queryFn: () => api.post<GangLayout>('gangs/layout', steady.value), enabled: () => steady.value.pieces.length > 0, placeholderData: (before) => before });
const laying = useChange(() => api.post<GangCard>('gangs', { ...asked.value, ...(isCarded.value ? { card } : {}) }), 'gangs');
const cancelling = useChange((id: number) => api.post<GangCard>(`gangs/${id}/cancel`), 'gangs');
const dropping = useChange((id: number) => api.remove(`gangs/${id}`), 'gangs');
const fault = useFaults(laying.error, 'card.temperature', 'card.seconds', 'card.source');
const trouble = useFaults(() => [lines.value.length ? error.value : null, cancelling.error.value, dropping.error.value].find((one) => one));
const job = (id: number): JobCard | undefined => jobs.value?.find((one) => one.id === id);
const shades = ['#b04a2c', '#2f6f73', '#d8a441', '#5b6b4f', '#7a4b6d', '#33506b', '#8a5a34', '#4d7a46'];
const total = computed(() => (layout.value?.lengths ?? []).reduce((sum, one) => sum + one, 0));
const cost = computed(() => (form.price === null ? null : chosen.value?.length === null ? (total.value / 12) * form.price : (layout.value?.lengths.length ?? 0) * form.price));

function add(): void {
    if (wanted.value !== null) {
        lines.value.push({ job: wanted.value, width: null, count: 1, turns: true });
        wanted.value = null;
    }
}
</script>

<template>
    <main class="page">
        <header class="page-head"><h1>Transfers</h1><span class="small">several designs on film, so many of each, as little film as can be</span></header>
        <p class="note">A heat press burns: keep to the temperature, time and pressure that the makers of the press, the film and the garment give, use its guards and gloves, air the room, try on a scrap, and keep to your local rules. Their instructions go before anything said here.</p>
        <div class="gang-film">
            <v-select v-model="film" label="Film" :items="films" />
            <v-number-input v-model="form.gap" label="Gap for the knife, in" :min="0" :max="5" :step="0.05" :precision="2" control-variant="hidden" />
            <v-number-input v-model="form.margin" label="Free at the edges, in" :min="0" :max="5" :step="0.05" :precision="2" control-variant="hidden" />
            <v-number-input v-model="form.price" :label="chosen?.length === null ? 'Price of a foot' : 'Price of a sheet'" :min="0" :precision="2" control-variant="hidden" clearable />
            <v-checkbox v-model="form.mirrored" label="mirrored, as film wants it" /><v-checkbox v-model="form.marks" label="ticks for the knife" />
        </div>
        <div class="gang-add"><v-select v-model="wanted" label="A design" :items="(jobs ?? []).filter((one) => one.state !== 'empty').map((one) => ({ value: one.id, title: one.title }))" no-data-text="No designs yet" /><v-btn :disabled="wanted === null" @click="add">Lay it</v-btn></div>
        <p v-if="lines.length === 0" class="empty">Choose a design, say how wide and how many; the layout shows as you go.</p>
        <ul v-else class="gang-lines">
            <li v-for="(line, i) in lines" :key="i">
                <span class="gang-shade" :style="{ background: shades[i % shades.length] }" aria-hidden="true"></span>
                <TurnPicture class="gang-picture" :src="proofUrl(job(line.job)?.revision ?? 0, 20)" alt="" />
                <strong>{{ job(line.job)?.title }}</strong>
                <v-number-input v-model="line.count" :label="`How many of ${job(line.job)?.title ?? 'it'}`" :min="1" :max="2000" control-variant="hidden" />
                <v-number-input v-model="line.width" :label="`Width in inches of ${job(line.job)?.title ?? 'it'}`" placeholder="as designed" :min="0.1" :max="100" :precision="2" control-variant="hidden" clearable />
                <v-checkbox v-model="line.turns" label="may lie turned" />
                <v-btn size="small" variant="text" :aria-label="`Take out ${job(line.job)?.title ?? 'it'}`" @click="lines.splice(i, 1)">take out</v-btn>
            </li>
        </ul>
        <p v-if="fault.other || trouble.other" role="alert">{{ fault.other || trouble.other }}</p>
        <section v-if="layout && lines.length" class="gang-layout" aria-label="Layout">
            <p class="measure" role="status">{{ layout.lengths.length }} {{ layout.lengths.length === 1 ? 'sheet' : 'sheets' }} · {{ total.toFixed(2) }} in of film · {{ (layout.waste * 100).toFixed(1) }} % not covered{{ cost === null ? '' : ` · costs ${cost.toFixed(2)}` }}</p>
            <div class="gang-sheets">
                <svg v-for="(length, at) in layout.lengths.slice(0, 6)" :key="at" :viewBox="`0 0 ${chosen?.width ?? 22} ${length}`" role="img" :aria-label="`Sheet ${at + 1}: ${counted(layout.laid.filter((one) => one.sheet === at).length, 'piece')}`">
                    <rect class="gang-bare" x="0" y="0" :width="chosen?.width ?? 22" :height="length" />
                    <g v-for="(one, n) in layout.laid.filter((laid) => laid.sheet === at)" :key="n"><rect :x="one.left" :y="one.top" :width="one.width" :height="one.height" :fill="shades[one.piece % shades.length]" /><path v-if="one.turned" class="gang-turned" :d="`M${one.left} ${one.top}l${Math.min(0.6, one.width)} 0l${-Math.min(0.6, one.width)} ${Math.min(0.6, one.height)}z`"><title>turned</title></path></g>
                    <text v-if="form.mirrored" class="gang-word" :transform="`translate(${(chosen?.width ?? 22) / 2} ${length / 2}) scale(-1 1)`" text-anchor="middle" dominant-baseline="central" :font-size="Math.min((chosen?.width ?? 22) / 7, length / 2)" aria-hidden="true">MIRRORED</text>
                </svg>
            </div>
            <p class="small">Packed by maximal rectangles; a corner marks a piece that lies turned.{{ form.mirrored ? ' The files are mirrored: words read right from behind the film.' : '' }}</p>
            <fieldset class="press-card">
                <legend>Press card, to go along: what the makers of film, press and garment say</legend>
                <v-number-input v-model="card.temperature" label="Temperature" :min="0" :max="500" control-variant="hidden" clearable :error-messages="fault.of('card.temperature')" />
                <v-select v-model="card.unit" label="in" :items="[{ value: 'C', title: '°C' }, { value: 'F', title: '°F' }]" />
                <v-number-input v-model="card.seconds" label="Seconds" :min="0" :max="600" control-variant="hidden" clearable :error-messages="fault.of('card.seconds')" />
                <v-text-field v-model="card.pressure" label="Pressure" maxlength="60" />
                <v-text-field v-model="card.peel" label="Peeled hot, warm or cold" maxlength="60" />
                <v-text-field v-model="card.source" label="Who says so, and where" maxlength="300" :error-messages="fault.of('card.source')" />
            </fieldset>
            <v-btn variant="flat" color="primary" :loading="laying.isPending.value" @click="laying.mutate(undefined)">Make the film</v-btn>
        </section>
        <h2>Made before</h2>
        <p v-if="gangs?.length === 0" class="empty">No film was made yet.</p>
        <ol class="exports">
            <li v-for="one in gangs ?? []" :key="one.id" class="export">
                <div class="export-head">
                    <strong>{{ one.titles.slice(0, 4).join(', ') }}{{ one.titles.length > 4 ? ' …' : '' }}</strong><span class="small">{{ one.state === 'done' ? 'done' : one.stage || one.state }} · {{ ago(one.createdAt) }}{{ one.mirrored ? ' · mirrored' : '' }}</span>
                    <v-btn v-if="LIVE.includes(one.state)" size="small" :disabled="one.state === 'cancelling'" @click="cancelling.mutate(one.id)">Cancel</v-btn>
                    <v-btn v-else size="small" variant="text" :aria-label="`Throw away the film of ${one.titles[0] ?? 'nothing'}`" @click="dropping.mutate(one.id)">throw away</v-btn>
                </div>
                <v-progress-linear v-if="LIVE.includes(one.state)" :model-value="one.progress" :indeterminate="one.state === 'queued'" color="primary" aria-label="How much of the film is made" />
                <p v-if="one.trouble" role="alert">{{ one.trouble }}</p>
                <p v-if="one.state === 'done'"><a :href="`/api/gangs/${one.id}/card.pdf`" download>Press card</a> <span v-if="!one.hasCard" class="small">its figures are empty: fill in what the makers say</span></p>
                <p v-for="sheet in one.sheets" :key="sheet.file" class="measure small">{{ sheet.width }} × {{ sheet.height }} px · {{ sheet.inchesWide.toFixed(2) }} × {{ sheet.inchesLong.toFixed(2) }} in · {{ (sheet.bytes / 1e6).toFixed(1) }} MB <a :href="`/api/gangs/${one.id}/${sheet.file}`" download>{{ sheet.file }}</a></p>
            </li>
        </ol>
    </main>
</template>

<style>
.gang-film { display: grid; grid-template-columns: repeat(4, minmax(0, 1fr)); gap: 8px 12px; margin: 14px 0; }
.gang-add { display: grid; grid-template-columns: minmax(0, 420px) max-content; gap: 12px; align-items: center; }
.gang-lines { display: grid; gap: 8px; margin: 12px 0; }
.gang-lines li { display: grid; grid-template-columns: 18px 56px minmax(140px, 1.4fr) 1fr 1fr max-content max-content; gap: 10px; align-items: center; border-bottom: 1px solid var(--hair); padding: 6px 0; }
.gang-shade { width: 18px; height: 18px; }
.gang-layout { display: grid; gap: 10px; justify-items: start; }
.gang-sheets { display: flex; flex-wrap: wrap; gap: 14px; }
.gang-sheets svg { width: 260px; max-height: 420px; }
.gang-bare { fill: #fdfbf5; }

.press-card { margin: 0; display: grid; grid-template-columns: 130px 90px 110px 1fr 1.3fr 1.7fr; gap: 10px; border: 1px solid var(--hair); padding: 10px; width: 100%; }
.press-card legend { padding: 0 6px; }
.gang-word { fill: #fff; stroke: #1f1d1a; stroke-width: 0.12; paint-order: stroke; font-weight: 700; }
.gang-turned { fill: #fff; }
.gang-picture { width: 56px; height: 56px; object-fit: contain; background: #6f6a60; }
@media (max-width: 760px) { .gang-film, .press-card, .gang-lines li { grid-template-columns: 1fr 1fr; } }
</style>
