<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { VAutocomplete, VBtn, VForm } from 'vuetify/components';
import { api, proofUrl } from '../api';
import { useFaults } from '../server/faults';
import { useChange } from '../server/queries';
import { SERIES } from '../server/series';
import type { SeriesCard, SeriesPlace, SeriesRowCard, SlotValue } from '../types';

/** One row: its values, and corrections for this shirt only. */
const open = defineModel<boolean>({ required: true });
const props = defineProps<{ revision: number; cloth: string; ratio: number; row: SeriesRowCard; series: SeriesCard; places: SeriesPlace[] }>();
const values = ref<Record<string, string>>({});
const changes = ref<SlotValue[]>([]);
const wanted = ref<string | null>(null);
watch(() => props.row, (row) => {
    values.value = Object.fromEntries(props.series.slots.map((slot) => [slot.name, row.values.find((one) => one.at === slot.name)?.value ?? '']));
    changes.value = row.changes.map((one) => ({ ...one }));
}, { immediate: true });
const items = computed(() => props.places.map((one) => ({ value: one.place, title: one.says, props: { subtitle: one.value } })));
const named = (place: string): string => props.places.find((one) => one.place === place)?.says ?? place;
const { mutate: save, isPending: busy, error } = useChange(() => api.put<SeriesRowCard>(`series-rows/${props.row.id}`, { values: Object.fromEntries(Object.entries(values.value).filter(([, value]) => value !== '')), changes: Object.fromEntries(changes.value.map((one) => [one.at, one.value])) }), ...SERIES);
const fault = useFaults(error);

function add(): void {
    const place = props.places.find((one) => one.place === wanted.value);
    if (place) {
        changes.value.push({ at: place.place, value: place.value });
        wanted.value = null;
    }
}
</script>

<template>
    <v-dialog v-model="open" max-width="640" scrollable aria-labelledby="row-head">
        <v-form class="sheet-dialog row-form" @submit.prevent="save(undefined, { onSuccess: () => (open = false) })">
            <h2 id="row-head">{{ row.title }}</h2>
            <div class="row-beside"><figure :style="{ background: cloth }"><img :src="proofUrl(revision, 20)" alt="The pattern" :style="{ aspectRatio: String(1 / ratio) }" /><figcaption>the pattern</figcaption></figure><figure :style="{ background: cloth }"><img :src="`/api/series-rows/${row.id}/proof.png?ppi=20&of=${row.key}`" :alt="row.title" :style="{ aspectRatio: String(1 / ratio) }" /><figcaption>this shirt</figcaption></figure></div>
            <v-text-field v-for="slot in series.slots" :key="slot.name" v-model="values[slot.name]" :label="slot.name" maxlength="300" />
            <h3>On this shirt alone</h3>
            <div v-for="(change, i) in changes" :key="change.at" class="row-change"><v-text-field v-model="change.value" :label="named(change.at)" maxlength="300" /><v-btn size="small" variant="text" :aria-label="`As in the pattern: ${named(change.at)}`" @click="changes.splice(i, 1)">as in the pattern</v-btn></div>
            <div class="row-change"><v-autocomplete v-model="wanted" label="Something else that differs here" :items="items" /><v-btn :disabled="!wanted" @click="add">Add it</v-btn></div>
            <ul v-if="row.told.length" aria-label="What was found"><li v-for="one in row.told" :key="one.says" :class="one.grave ? 'grave' : 'mild'">{{ one.says }}</li></ul>
            <p v-if="fault.other" role="alert">{{ fault.other }}</p>
            <div class="dialog-ends"><v-btn type="submit" variant="flat" color="primary" :loading="busy">Keep this row</v-btn><v-btn @click="open = false">Close</v-btn></div>
        </v-form>
    </v-dialog>
</template>

<style>
.row-form { display: grid; gap: 10px; max-height: 88vh; overflow: auto; }
.row-beside { display: grid; grid-template-columns: repeat(2, minmax(0, 200px)); gap: 10px; }
.row-beside figure { margin: 0; }
.row-beside img { width: 100%; display: block; }
.row-beside figcaption { background: var(--card); padding: 2px 4px; }
.row-change { display: grid; grid-template-columns: minmax(0, 1fr) max-content; gap: 10px; align-items: center; }
.row-form .grave { color: var(--bad); } .row-form .mild { color: var(--warn); }
</style>
