<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { VBtn, VCheckbox, VSelect } from 'vuetify/components';
import { api, said } from '../api';
import PlaceOnGarment from './PlaceOnGarment.vue';
import { fitWords, keepWords, useFits, useHouses } from '../server/houses';
import { useChange } from '../server/queries';
import type { FitCard } from '../types';

/** The destinations of a job: places of houses, each with its fitting and the consequences. */
const props = defineProps<{ job: number; revision: number }>();
const { data: houses } = useHouses();
const { data: fits, error: unread } = useFits(() => props.revision);
type Going = Pick<FitCard, 'house' | 'place' | 'mode' | 'keep'>;
const going = ref<Going[]>([]);
const wanted = ref<string | null>(null);
watch(fits, (now) => (going.value = (now ?? []).map(({ house, place, mode, keep: kept }) => ({ house, place, mode, keep: kept }))), { immediate: true });
const judgedBy = computed(() => { const one = fits.value?.find((fit) => fit.judges); return one ? `${one.house} ${one.place}` : ''; });
const judges = computed(() => [{ value: '', title: 'the strictest of them' }, ...(fits.value ?? []).map((fit) => ({ value: `${fit.house} ${fit.place}`, title: `${fit.houseName}: ${fit.product}, ${fit.placeName}` }))]);
const { mutate: keep, error } = useChange((all: Going[]) => api.put(`jobs/${props.job}/destinations`, { destinations: all }), 'fits', 'report', 'closely');
const { mutate: judge } = useChange((by: string) => api.put(`jobs/${props.job}/destinations`, { destinations: going.value, judgedBy: by }), 'fits', 'report', 'closely');
const trouble = computed(() => error.value ?? unread.value);
const choices = computed(() => (houses.value ?? []).flatMap((house) => house.places.map((place) => ({ value: `${house.id} ${place.key}`, title: `${house.name}: ${place.product}, ${place.place}` }))));
const modes = Object.entries(fitWords).map(([value, title]) => ({ value, title }));

function set(all: Going[]): void {
    going.value = all;
    keep(all);
}

function add(): void {
    const [house, ...place] = (wanted.value ?? '').split(' ');
    if (house) {
        set([...going.value, { house: Number(house), place: place.join(' '), mode: 'contain', keep: [] }]);
        wanted.value = null;
    }
}
const picture = (fit: FitCard): string => `/api/revisions/${props.revision}/fits.png?house=${fit.house}&place=${encodeURIComponent(fit.place)}&mode=${fit.mode}${fit.keep.map((one) => `&keep[]=${one}`).join('')}`;
/** Whether this fitting changes lengths. */
const sizes = (mode: FitCard['mode']): boolean => ['contain', 'width', 'height', 'ink'].includes(mode);
const inches = (fit: FitCard): string => `${(fit.area.width / fit.area.ppi).toFixed(2)} × ${(fit.area.height / fit.area.ppi).toFixed(2)} in`;
</script>

<template>
    <section class="destinations" aria-label="Houses that it goes to">
        <div class="destinations-add"><v-select v-model="wanted" label="A house and a place" :items="choices" no-data-text="No houses yet: note them under Houses" /><v-btn :disabled="!wanted" @click="add">Send it there</v-btn></div>
        <p v-if="trouble" role="alert">{{ said(trouble) }}</p>
        <p v-if="fits?.length === 0" class="small">It goes to no house yet: its one file has the print area of the brief.</p>
        <v-select v-if="fits?.length" class="destinations-judge" :model-value="judgedBy" label="The gauges judge by" :items="judges" @update:model-value="judge($event)" />
        <ul>
            <li v-for="(fit, i) in fits ?? []" :key="`${fit.house} ${fit.place} ${i}`" class="destination">
                <figure><PlaceOnGarment :product="fit.product" :place="fit.placeName" :width="fit.area.width / fit.area.ppi" :height="fit.area.height / fit.area.ppi" :art="picture(fit)" cloth="#6f6a61" :label="`The design for ${fit.houseName}, ${fit.placeName}, in scale`" /><span v-if="fit.mirrored" class="destination-word" aria-hidden="true">MIRRORED</span></figure>
                <div>
                    <strong>{{ fit.houseName }}</strong>: {{ fit.product }}, {{ fit.placeName }}
                    <p class="measure small"><span class="in-one">{{ fit.area.width }} × {{ fit.area.height }} px</span> · <span class="in-one">{{ fit.area.ppi }} ppi</span> · <span class="in-one">{{ inches(fit) }}</span> · <span class="in-one">{{ Math.round(fit.scale * 100) }} % of its size</span> · <span class="destination-file">{{ fit.file }}</span></p>
                    <p v-if="fit.mirrored" class="destination-mirrored">Mirrored: read it in a mirror, or from behind the film.</p>
                    <v-select :model-value="fit.mode" label="Fitted" :items="modes" @update:model-value="set(going.map((one, at) => (at === i ? { ...one, mode: $event as FitCard['mode'] } : one)))" />
                    <fieldset v-if="sizes(fit.mode)" class="destination-keep">
                        <legend class="small">Keep as many inches as they have</legend>
                        <v-checkbox
                            v-for="(word, one) in keepWords" :key="one" :model-value="fit.keep" :value="one" :label="word" density="compact" hide-details
                            @update:model-value="set(going.map((other, at) => (at === i ? { ...other, keep: $event ?? [] } : other)))"
                        />
                    </fieldset>
                    <p v-for="note in fit.notes" :key="note.says" :class="note.grave ? 'grave' : 'mild'"><span aria-hidden="true">{{ note.grave ? '✕' : '!' }}</span> {{ note.says }} {{ note.mend }}</p>
                    <p v-if="fit.notes.length === 0" class="small">Nothing falls off; what it holds, it holds here.</p>
                    <v-btn size="small" variant="text" :aria-label="`Not to ${fit.houseName}, ${fit.placeName}`" @click="set(going.filter((_, at) => at !== i))">not there</v-btn>
                </div>
            </li>
        </ul>
    </section>
</template>

<style>
.destinations { display: grid; gap: 10px; width: 100%; }
.destinations-add { display: grid; grid-template-columns: minmax(0, 1fr) auto; gap: 10px; align-items: center; }
.destinations ul { display: grid; grid-template-columns: repeat(auto-fill, minmax(min(100%, 400px), 1fr)); gap: 12px; }
.destination figure { position: relative; margin: 0; }
.destination { display: grid; grid-template-columns: 124px minmax(0, 1fr); gap: 12px; border: 1px solid var(--hair); background: var(--card); padding: 10px; align-items: start; }
.destination-keep { border: 0; padding: 0; margin: 4px 0; display: flex; flex-wrap: wrap; gap: 0 14px; }
.destinations-judge { max-width: 420px; }
.destination p { margin: 4px 0; }
.destination-file { overflow-wrap: anywhere; }
.destination .v-select { margin-top: 10px; }
.destination-word { position: absolute; inset: auto 0 0 0; text-align: center; font-weight: 700; background: var(--rust); color: #fff; transform: scaleX(-1); }
.destination-mirrored { font-weight: 600; color: var(--rust); }
.destination .grave { color: var(--bad); } .destination .mild { color: var(--warn); }
</style>
