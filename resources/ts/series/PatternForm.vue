<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { VAutocomplete, VBtn, VForm, VNumberInput, VSelect } from 'vuetify/components';
import { api } from '../api';
import { useFaults } from '../server/faults';
import { useAssets, useChange } from '../server/queries';
import { keepWords, SERIES, usePlaces } from '../server/series';
import type { Artwork, SeriesCard, SeriesSlot } from '../types';

/** The slots of a series and the constraints for their words. */
const props = defineProps<{ job: number; revision: number; artwork: Artwork; series: SeriesCard | null }>();
const { data: places } = usePlaces(() => props.job, () => props.revision);
const { data: assets } = useAssets();
const title = ref('');
const slots = ref<SeriesSlot[]>([]);
const wanted = ref<string | null>(null);
watch(() => props.series, (now) => {
    title.value = now?.title ?? '';
    slots.value = JSON.parse(JSON.stringify(now?.slots ?? [])) as SeriesSlot[];
}, { immediate: true });
const items = computed(() => (places.value ?? []).map((one) => ({ value: one.place, title: one.says, props: { subtitle: one.value } })));
const fonts = computed(() => [{ value: '', title: 'none' }, ...(assets.value ?? []).filter((one) => one.kind === 'font').map((one) => ({ value: one.file, title: one.title }))]);
const pieces = computed(() => [{ value: '', title: 'nothing' }, ...props.artwork.layers.map((layer) => ({ value: layer.id, title: layer.name || layer.id }))]);
const { mutate: save, isPending: busy, error, isSuccess } = useChange(() => api.put<SeriesCard>(`jobs/${props.job}/series`, { pattern: JSON.stringify({ format: 'tallcrow.pattern/1', title: title.value, slots: slots.value }) }), ...SERIES);
const fault = useFaults(error);
const isWords = (slot: SeriesSlot): boolean => slot.places.some((place) => place.endsWith('/source/text'));

function add(): void {
    const place = places.value?.find((one) => one.place === wanted.value);
    if (!place) {
        return;
    }
    const words = place.place.endsWith('/source/text');
    const name = place.says.split(': ').pop() ?? place.says;
    const free = [name, ...Array.from({ length: 30 }, (_, i) => `${name} ${i + 2}`)].find((one) => !slots.value.some((slot) => slot.name.toLowerCase() === one.toLowerCase())) ?? name;
    slots.value.push({ name: free, places: [place.place], fit: words ? { keep: 'box', least: 0.25, most: null, widest: null, within: '', tighter: 30, lines: 1, long: '', instead: '' } : null });
    wanted.value = null;
}
</script>

<template>
    <v-form class="pattern" @submit.prevent="save(undefined)">
        <p v-if="slots.length === 0" class="empty">Nothing changes from row to row yet. Choose a word, a colour, a picture or any other token of the sheet; each row of a list fills it.</p>
        <div v-for="(slot, i) in slots" :key="i" class="slot">
            <v-text-field v-model="slot.name" :label="`Slot ${i + 1} is called`" maxlength="60" />
            <v-autocomplete v-model="slot.places" label="It stands for" :items="items" multiple chips closable-chips />
            <v-btn variant="text" size="small" :aria-label="`Take out the slot ${slot.name}`" @click="slots.splice(i, 1)">take out</v-btn>
            <div v-if="isWords(slot) && slot.fit" class="slot-fit">
                <v-select v-model="slot.fit.keep" label="Its words" :items="keepWords" />
                <v-number-input v-model="slot.fit.least" label="Capitals at least, in" :min="0" :max="20" :step="0.05" :precision="null" control-variant="hidden" />
                <v-number-input v-model="slot.fit.most" label="at most, in" :min="0.01" :max="40" :precision="null" control-variant="hidden" clearable />
                <v-number-input v-model="slot.fit.widest" label="No wider than, in" :min="0.01" :max="40" :precision="null" control-variant="hidden" clearable />
                <v-select v-model="slot.fit.within" label="Within the width of" :items="pieces" />
                <v-number-input v-model="slot.fit.tighter" label="Tighter by, 1/1000 em" :min="0" :max="200" control-variant="hidden" />
                <v-number-input v-model="slot.fit.lines" label="Lines at most" :min="1" :max="6" control-variant="hidden" />
                <v-autocomplete v-model="slot.fit.long" label="Font for long words" :items="fonts" />
                <v-autocomplete v-model="slot.fit.instead" label="Font where letters lack" :items="fonts" />
            </div>
        </div>
        <div class="slot-add"><v-autocomplete v-model="wanted" label="Something that changes from row to row" :items="items" no-data-text="Nothing on the sheet is called so" /><v-btn :disabled="!wanted" @click="add">Make it a slot</v-btn></div>
        <v-text-field v-model="title" label="What each shirt is called" maxlength="200" :placeholder="slots[0] ? `{${slots[0].name}} ${artwork.title}` : ''" hint="Slots stand in braces" persistent-placeholder />
        <p v-if="fault.other" role="alert">{{ fault.other }}</p>
        <div class="slot-add"><v-btn type="submit" variant="flat" color="primary" :loading="busy" :disabled="slots.length === 0">Keep the pattern</v-btn><span v-if="isSuccess && !fault.other" role="status" class="small">Kept.</span></div>
    </v-form>
</template>

<style>
.pattern { display: grid; gap: 12px; }
.slot { display: grid; grid-template-columns: minmax(0, 1fr) minmax(0, 2fr) max-content; gap: 10px; align-items: start; border: 1px solid var(--hair); background: var(--card); padding: 10px; }
.slot-fit { grid-column: 1 / -1; display: grid; grid-template-columns: repeat(5, minmax(0, 1fr)); gap: 10px; }
.slot-add { display: grid; grid-template-columns: minmax(0, 520px) max-content; gap: 10px; align-items: center; justify-content: start; }
.slot-add > .v-btn { justify-self: start; }
@media (max-width: 760px) { .slot, .slot-fit, .slot-add { grid-template-columns: 1fr; } }
</style>
