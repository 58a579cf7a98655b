<script setup lang="ts">
import { useObjectUrl } from '@vueuse/core';
import { computed, reactive, ref, shallowRef, watch } from 'vue';
import { VBtn, VFileUpload, VSlider } from 'vuetify/components';
import { api, said } from '../api';

/** A design on the seller's own photo: the four corners of the print area are set by pointer or arrow keys. */
const props = defineProps<{ revision: number; ratio: number }>();
const file = ref<File | File[]>([]);
const photo = computed(() => [file.value].flat()[0]);
const shown = useObjectUrl(photo);
const size = reactive({ width: 0, height: 0 });
const frame = ref<HTMLElement | null>(null);
const names = ['upper left', 'upper right', 'lower right', 'lower left'];
/** As fractions of the photo. */
const corners = ref<[number, number][]>([]);
const folds = ref(0.6);
const made = shallowRef<Blob>();
const result = useObjectUrl(made);
const trouble = ref('');
const busy = ref(false);
watch([photo, corners, folds], () => (made.value = undefined), { deep: true });
watch(photo, () => { corners.value = []; trouble.value = ''; });

function loaded(event: Event): void {
    const image = event.target as HTMLImageElement;
    Object.assign(size, { width: image.naturalWidth, height: image.naturalHeight });
    // Centred, with the aspect ratio of the print area.
    const wide = Math.min(0.4, (0.6 * size.height) / size.width / props.ratio);
    const high = (wide * props.ratio * size.width) / size.height;
    corners.value = [[0.5 - wide / 2, 0.5 - high / 2], [0.5 + wide / 2, 0.5 - high / 2], [0.5 + wide / 2, 0.5 + high / 2], [0.5 - wide / 2, 0.5 + high / 2]];
}

function put(corner: number, x: number, y: number): void {
    corners.value = corners.value.map((one, i) => (i === corner ? [Math.min(1, Math.max(0, x)), Math.min(1, Math.max(0, y))] : one));
}

function drag(event: PointerEvent, corner: number): void {
    const button = event.currentTarget as HTMLElement;
    if (event.type === 'pointerdown') {
        button.setPointerCapture(event.pointerId);
    } else if (button.hasPointerCapture(event.pointerId) && frame.value) {
        const box = frame.value.getBoundingClientRect();
        put(corner, (event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height);
    }
}

function nudge(event: KeyboardEvent, corner: number): void {
    const step = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    const at = corners.value[corner];
    if (step && at) {
        event.preventDefault();
        const by = event.shiftKey ? 0.02 : 0.002;
        put(corner, at[0] + (step[0] ?? 0) * by, at[1] + (step[1] ?? 0) * by);
    }
}

async function lay(): Promise<void> {
    if (!photo.value) {
        return;
    }
    const form = new FormData();
    form.set('photo', photo.value);
    corners.value.forEach(([x, y], i) => { form.set(`corners[${i}][0]`, String(x * size.width)); form.set(`corners[${i}][1]`, String(y * size.height)); });
    form.set('folds', String(folds.value));
    busy.value = true;
    trouble.value = '';
    made.value = await api.picture(`revisions/${props.revision}/photo.jpg`, form).catch((wrong: unknown) => { trouble.value = said(wrong); return undefined; });
    busy.value = false;
}
</script>

<template>
    <section class="on-photo" aria-labelledby="on-photo-head">
        <h3 id="on-photo-head">On a photo of your own</h3>
        <v-file-upload v-model="file" aria-label="A photo of a garment" density="compact" title="Drop a photo of a garment here; it is not kept" browse-text="or choose a file" accept="image/png,image/jpeg,image/webp" />
        <div v-if="shown" class="on-photo-desk">
            <div ref="frame" class="on-photo-frame">
                <img :src="shown" alt="Your photo" @load="loaded">
                <svg v-if="corners.length" viewBox="0 0 1 1" preserveAspectRatio="none" aria-hidden="true"><polygon :points="corners.map((one) => one.join(',')).join(' ')" /></svg>
                <button v-for="(corner, i) in corners" :key="i" type="button" class="on-photo-corner" :style="{ left: `${corner[0] * 100}%`, top: `${corner[1] * 100}%` }" :aria-label="`Corner ${names[i]}: ${Math.round(corner[0] * 100)} % across, ${Math.round(corner[1] * 100)} % down. Arrow keys move it.`" @pointerdown="drag($event, i)" @pointermove="drag($event, i)" @keydown="nudge($event, i)"></button>
            </div>
            <div v-if="result" class="on-photo-frame"><img :src="result" alt="The design on your photo"></div>
        </div>
        <div v-if="shown" class="on-photo-asks">
            <v-slider v-model="folds" label="Folds" :min="0" :max="1" :step="0.05" hide-details />
            <v-btn variant="flat" color="primary" :loading="busy" :disabled="!corners.length" @click="lay">Lay the design on it</v-btn>
            <v-btn v-if="result" :href="result" download="on-photo.jpg">Download it</v-btn>
        </div>
        <p v-if="trouble" role="alert">{{ trouble }}</p>
    </section>
</template>

<style>
.on-photo { display: grid; gap: 10px; }
.on-photo-desk { display: grid; grid-template-columns: 1fr 1fr; gap: 12px; align-items: start; }
.on-photo-frame { position: relative; }
.on-photo-frame img { display: block; width: 100%; }
.on-photo-frame svg { position: absolute; inset: 0; width: 100%; height: 100%; }
.on-photo-frame polygon { fill: rgb(255 255 255 / 18%); stroke: #fff; stroke-width: 1.5px; vector-effect: non-scaling-stroke; }
.on-photo-corner { position: absolute; width: 28px; height: 28px; margin: -14px 0 0 -14px; border: 3px solid #fff; outline: 2px solid #1f1d1a; border-radius: 50%; background: var(--rust); touch-action: none; cursor: grab; }
.on-photo-asks { display: grid; grid-template-columns: minmax(0, 320px) max-content max-content; gap: 14px; align-items: center; }
@media (max-width: 760px) { .on-photo-desk, .on-photo-asks { grid-template-columns: 1fr; } }
</style>
