<script setup lang="ts">
import { computed, reactive, watch } from 'vue';
import { api, Refused, said } from '../api';
import { useAreas, useCatalogue, useChange } from '../server/queries';
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
const methods: Record<string, string> = { dtg: 'direct to garment', transfer: 'transfer', sublimation: 'sublimation' };
const cloths = computed<Cloth[]>(() => {
    const offered = catalogue.data.value?.cloths ?? [];
    return [...offered, ...form.garments.filter((garment) => !offered.some((cloth) => cloth.name === garment.name))];
});
const areaMoved = computed(() => props.area !== undefined && (props.area.width !== form.area.width || props.area.height !== form.area.height || props.area.ppi !== form.area.ppi));
const areaKey = computed({
    get: () => areas.value.findIndex((area) => area.name === form.area.name && area.width === form.area.width && area.height === form.area.height),
    set: (index: number) => {
        form.area = { ...(areas.value[index] ?? form.area) };
    },
});

const { mutate: send, isPending: busy, error } = useChange((asked: typeof form) =>
    props.job === undefined ? api.post<BenchJob>('jobs', asked) : api.put<BenchJob>(`jobs/${props.job}/brief`, { ...asked, version: props.version }), 'jobs');
const failed = computed(() => (error.value ? said(error.value) : ''));
const wrong = computed<Record<string, string[]>>(() => (error.value instanceof Refused ? error.value.fields : {}));

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
        <label class="form-row"><span>Title</span><input v-model="form.title" class="field" maxlength="200" :aria-invalid="!!wrong['title']" required /><em v-if="wrong['title']" role="alert">{{ wrong['title'][0] }}</em></label>
        <div class="form-row">
            <span id="b-product">Product and side</span>
            <span class="pair" role="group" aria-labelledby="b-product">
                <select v-model="form.product" class="field" aria-label="Product"><option v-for="product in catalogue.data.value?.products ?? []" :key="product">{{ product }}</option></select>
                <select v-model="form.side" class="field" aria-label="Side"><option v-for="side in catalogue.data.value?.sides ?? []" :key="side">{{ side }}</option></select>
                <select v-model="form.method" class="field" aria-label="Print method"><option v-for="method in catalogue.data.value?.methods ?? []" :key="method" :value="method">{{ methods[method] ?? method }}</option></select>
            </span>
        </div>
        <label class="form-row">
            <span>Print area</span>
            <select v-model="areaKey" class="field" aria-label="Print area">
                <option v-if="areaKey < 0" :value="-1">{{ form.area.name || `${form.area.width} × ${form.area.height} px` }}</option>
                <option v-for="(offered, i) in areas" :key="`${offered.name}${offered.width}`" :value="i">{{ offered.name }}</option>
            </select>
            <span class="measure small">{{ form.area.width }} × {{ form.area.height }} px · {{ form.area.ppi }} ppi · {{ (form.area.width / form.area.ppi).toFixed(2) }} × {{ (form.area.height / form.area.ppi).toFixed(2) }} in</span>
        </label>
        <fieldset v-if="areaMoved" class="form-row">
            <legend>The design on the new area</legend>
            <label><input v-model="form.fit" type="radio" value="refit" /> sized to fit, every measure alike</label>
            <label><input v-model="form.fit" type="radio" value="keep" /> keeps its printed size, in the middle</label>
        </fieldset>
        <label class="form-row"><span>House rule for pictures</span><select v-model="form.rule" class="field"><option v-for="rule in catalogue.data.value?.rules ?? []" :key="rule.value" :value="rule.value">{{ rule.says }} ppi</option></select></label>
        <fieldset class="form-row">
            <legend>Garment colours on offer</legend>
            <p class="small">Some markets show the listing on black whenever black is on offer (common practice): the colours you choose decide the thumbnail.</p>
            <div class="cloths">
                <label v-for="cloth in cloths" :key="cloth.name" class="cloth-choice">
                    <input type="checkbox" :checked="offers(cloth)" @change="offer(cloth, ($event.target as HTMLInputElement).checked)" />
                    <span class="swatch" :style="{ background: cloth.colour }"></span>{{ cloth.name }}
                </label>
            </div>
            <span class="pair"><input v-model="other.name" class="field" aria-label="Name of another colour" placeholder="another colour" maxlength="60" /><input v-model="other.colour" type="color" aria-label="The other colour" /><button type="button" class="plain-button quiet" @click="addOther">Add colour</button></span>
            <em v-if="wrong['garments']" role="alert">{{ wrong['garments'][0] }}</em>
        </fieldset>
        <p v-if="failed" role="alert">{{ failed }}</p>
        <button type="submit" class="plain-button strong" :disabled="busy">{{ job === undefined ? 'Start on the bench' : 'Save the brief' }}</button>
    </form>
</template>

<style>
.brief { display: grid; gap: 16px; justify-items: start; }
.form-row { display: grid; gap: 4px; border: 0; padding: 0; margin: 0; width: 100%; }
.form-row > span:first-child, legend { font-weight: 600; }
.form-row em { color: var(--bad); font-style: normal; }
.pair { display: flex; gap: 10px; align-items: center; }
.cloths { display: grid; grid-template-columns: repeat(auto-fill, minmax(130px, 1fr)); gap: 6px; margin: 6px 0; }
.cloth-choice { display: flex; gap: 6px; align-items: center; }
.cloth-choice .swatch { height: 18px; }
</style>
