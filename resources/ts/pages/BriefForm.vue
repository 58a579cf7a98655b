<script setup lang="ts">
import { computed, reactive, watch } from 'vue';
import { VAutocomplete, VCheckbox, VRadio, VRadioGroup, VSelect } from 'vuetify/components';
import { api, said } from '../api';
import { vFirst } from '../focus';
import PlaceOnGarment from '../houses/PlaceOnGarment.vue';
import { useFaults } from '../server/faults';
import { useAreas, useCatalogue, useChange } from '../server/queries';
import ColourField from '../tokens/ColourField.vue';
import type { Area, Artwork, BenchJob, Cloth } from '../types';

const props = defineProps<{ artwork?: Artwork; area?: Area; version?: number; job?: number }>();
const emit = defineEmits<{ done: [job: BenchJob]; ready: [] }>();
const catalogue = useCatalogue();
const own = useAreas();
const areas = computed<Area[]>(() => [...(catalogue.data.value?.areas ?? []), ...(own.data.value ?? [])]);
const ready = computed(() => catalogue.data.value !== undefined && own.data.value !== undefined);
const unread = computed(() => catalogue.error.value ?? own.error.value);
const form = reactive({
    title: props.artwork?.title ?? '',
    product: props.artwork?.product ?? 'tee',
    side: props.artwork?.side ?? 'front',
    method: props.artwork?.method ?? 'dtg',
    rule: props.artwork?.rule ?? 'strict-300',
    garments: (props.artwork?.garments ?? []).map((garment) => ({ ...garment })) as Cloth[],
    area: props.area ?? { name: '', width: 0, height: 0, ppi: 300, id: null },
    fit: 'refit',
});
const other = reactive({ name: '', colour: '#5b6b4f' });
const inches = computed(() => ({ width: form.area.width / form.area.ppi, height: form.area.height / form.area.ppi }));
const methods: Record<string, string> = { dtg: 'direct to garment', transfer: 'transfer', sublimation: 'sublimation' };
const cloths = computed<Cloth[]>(() => {
    const offered = catalogue.data.value?.cloths ?? [];
    return [...offered, ...form.garments.filter((garment) => !offered.some((cloth) => cloth.name === garment.name))];
});
const areaMoved = computed(() => props.area !== undefined && (props.area.width !== form.area.width || props.area.height !== form.area.height || props.area.ppi !== form.area.ppi));
/** A value that is no longer listed is kept until another is chosen. */
const listed = computed(() => [
    ...(areaKey.value < 0 ? [{ value: -1, title: form.area.name || `${form.area.width} × ${form.area.height} px` }] : []),
    ...areas.value.map((area, value) => ({ value, title: area.name })),
]);
const areaKey = computed({
    get: () => areas.value.findIndex((area) => area.name === form.area.name && area.width === form.area.width && area.height === form.area.height),
    set: (index: number) => {
        form.area = { ...(areas.value[index] ?? form.area) };
    },
});

const { mutate: send, isPending: busy, error } = useChange((asked: typeof form) =>
    props.job === undefined ? api.post<BenchJob>('jobs', asked) : api.put<BenchJob>(`jobs/${props.job}/brief`, { ...asked, version: props.version }), 'jobs');
const fault = useFaults(error, 'title');

watch(ready, (now) => {
    if (now) {
        emit('ready');
    }
    if (now && props.area === undefined && form.area.width === 0) {
        areaKey.value = 0;
        form.garments = (catalogue.data.value?.cloths ?? []).filter((cloth) => ['Charcoal', 'Navy', 'Oat'].includes(cloth.name));
    }
}, { immediate: true });

function offers(cloth: Cloth): boolean {
    return form.garments.some((garment) => garment.name === cloth.name);
}

function offer(cloth: Cloth, on: boolean): void {
    form.garments = on ? [...form.garments, { ...cloth }] : form.garments.filter((garment) => garment.name !== cloth.name);
}

function addOther(): void {
    if (other.name.trim() && !offers({ ...other, name: other.name.trim() })) {
        form.garments = [...form.garments, { name: other.name.trim(), colour: other.colour }];
        other.name = '';
    }
}

const submit = (): void => send(form, { onSuccess: (job) => emit('done', job) });
</script>

<template>
    <p v-if="!ready && !unread" role="status">Looking up print areas and cloths …</p>
    <p v-else-if="!ready" role="alert">{{ said(unread) }}</p>
    <form v-else class="brief" novalidate @submit.prevent="submit">
        <div class="brief-fields">
            <v-text-field v-model="form.title" v-first="props.job === undefined" label="Title" maxlength="200" :error-messages="fault.of('title')" required />
            <div class="brief-row">
                <v-select v-model="form.product" label="Product" :items="catalogue.data.value?.products ?? []" />
                <v-select v-model="form.side" label="Side" :items="catalogue.data.value?.sides ?? []" />
                <v-select v-model="form.method" label="Print method" :items="(catalogue.data.value?.methods ?? []).map((value) => ({ value, title: methods[value] ?? value }))" />
            </div>
            <div>
                <v-autocomplete v-model="areaKey" label="Print area" :items="listed" auto-select-first />
                <p class="measure small">{{ form.area.width }} × {{ form.area.height }} px · {{ form.area.ppi }} ppi · {{ inches.width.toFixed(2) }} × {{ inches.height.toFixed(2) }} in</p>
            </div>
            <v-radio-group v-if="areaMoved" v-model="form.fit" label="The design on the new area" density="compact" hide-details color="primary">
                <v-radio value="refit" label="sized to fit, every measure alike" />
                <v-radio value="keep" label="keeps its printed size, in the middle" />
            </v-radio-group>
            <v-select v-model="form.rule" label="House rule for pictures" :items="(catalogue.data.value?.rules ?? []).map((rule) => ({ value: rule.value, title: `${rule.says} ppi` }))" />
            <fieldset class="brief-cloths">
                <legend>Garment colours on offer</legend>
                <p class="small">Some markets show the listing on black whenever black is on offer (common practice): the colours you choose decide the thumbnail.</p>
                <div class="cloths">
                    <v-checkbox v-for="cloth in cloths" :key="cloth.name" :model-value="offers(cloth)" hide-details @update:model-value="offer(cloth, $event === true)">
                        <template #label><span class="swatch" :style="{ background: cloth.colour }"></span>{{ cloth.name }}</template>
                    </v-checkbox>
                </div>
                <div class="brief-other">
                    <v-text-field v-model="other.name" label="Another colour" maxlength="60" hide-details @keydown.enter.prevent="addOther" />
                    <ColourField v-model="other.colour" label="The other colour" />
                    <v-btn @click="addOther">Add colour</v-btn>
                </div>
            </fieldset>
            <p v-if="fault.other" role="alert">{{ fault.other }}</p>
            <v-btn type="submit" variant="flat" color="primary" :loading="busy">{{ job === undefined ? 'Start on the bench' : 'Save the brief' }}</v-btn>
        </div>
        <PlaceOnGarment class="brief-garment" :product="form.product" :place="form.side" :width="inches.width" :height="inches.height" :cloth="form.garments[0]?.colour ?? '#8f8a80'" :label="`The print area of ${inches.width.toFixed(2)} × ${inches.height.toFixed(2)} in on a ${form.product}, ${form.side}`" />
    </form>
</template>

<style>
.page.brief-page { max-width: 940px; }
.brief { display: grid; grid-template-columns: minmax(0, 1fr) minmax(180px, 300px); gap: 28px; align-items: start; }
.brief-fields { display: grid; gap: 16px; }
.brief-fields > .v-btn { justify-self: start; }
.brief-row { display: grid; grid-template-columns: repeat(auto-fit, minmax(140px, 1fr)); gap: 10px; }
.brief-cloths { border: 0; padding: 0; margin: 0; }
.brief-cloths legend { font-weight: 600; }
.brief-cloths .wrong { color: var(--bad); }
/* Twelve cloths and the button below them stand on a small screen. */
.cloths .v-selection-control { min-height: 30px; }
.cloths .v-label { color: var(--ink) !important; }
.brief-other { display: grid; grid-template-columns: minmax(140px, 1fr) 150px auto; gap: 10px; align-items: center; }
.cloths { display: grid; grid-template-columns: repeat(auto-fill, minmax(120px, 1fr)); gap: 0 6px; margin: 6px 0; }
.cloths .swatch { width: 22px; height: 18px; margin-right: 6px; flex: none; }
.brief .brief-garment { position: sticky; top: 16px; height: auto; max-height: 420px; }
@media (max-width: 760px) {
    .brief { grid-template-columns: minmax(0, 1fr); }
    .brief .brief-garment { position: static; max-width: 260px; justify-self: center; }
    .brief-other { grid-template-columns: minmax(0, 1fr) 120px; }
}
</style>
