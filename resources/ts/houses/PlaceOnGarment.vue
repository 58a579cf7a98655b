<script setup lang="ts">
import { computed } from 'vue';
import GarmentDrawing from '../peg/GarmentDrawing.vue';
import { cuts } from '../peg/garments';

/** A print area to scale on the garment outline that best matches the house's product name, with art if given. */
const props = defineProps<{ product: string; place: string; width: number; height: number; margin?: number; art?: string | null; cloth?: string; label: string }>();
/** The garment outline of the same name, if there is one; otherwise the most similar. */
const drawn = computed(() => (cuts[props.product.toLowerCase()] ? props.product.toLowerCase() : null));
const kind = computed(() => drawn.value ?? (/hood/i.test(props.product) ? 'hoodie' : 'tee'));
const side = computed(() => (/back/i.test(props.place) ? 'back' : 'front'));
const cut = computed(() => cuts[kind.value]);
const scale = computed(() => (cut.value ? Math.max(1, props.width / (cut.value.body.width * 0.9), props.height / (cut.value.body.height * 0.96)) : 1));
/** Small places lie off the centre; left is the wearer's left. */
const aside = computed(() => (/left/i.test(props.place) ? -1 : /right/i.test(props.place) ? 1 : 0) * 4.2);
const view = computed(() => {
    const top = -((cut.value?.top ?? 0) + (cut.value?.above ?? 0)) * scale.value;
    return `${props.width / 2 + aside.value - 17 * scale.value} ${top} ${34 * scale.value} ${((cut.value?.length ?? 30) + (cut.value?.above ?? 0) + 1) * scale.value}`;
});
const onGarment = computed(() => drawn.value !== null || /tee|shirt|hood|sweat|top/i.test(props.product) && !/sleeve/i.test(props.place));
const bare = computed(() => `${-0.08 * props.width} ${-0.08 * props.height} ${1.16 * props.width} ${1.16 * props.height}`);
</script>

<template>
    <svg class="place-drawing" :viewBox="onGarment ? view : bare" role="img" :aria-label="label">
        <g v-if="onGarment" :transform="`translate(${width / 2 + aside} ${-(cut?.top ?? 0) * scale}) scale(${scale})`"><GarmentDrawing :product="kind" :side="side" :colour="cloth ?? '#8f8a80'" /></g>
        <rect v-else x="0" y="0" :width="width" :height="height" :fill="cloth ?? '#8f8a80'" />
        <rect class="place-area" x="0" y="0" :width="width" :height="height" :stroke-width="Math.max(width, height) / 120" />
        <rect v-if="margin" class="place-margin" :x="margin" :y="margin" :width="Math.max(0, width - 2 * margin)" :height="Math.max(0, height - 2 * margin)" :stroke-width="Math.max(width, height) / 200" />
        <image v-if="art" :href="art" x="0" y="0" :width="width" :height="height" />
    </svg>
</template>

<style>
.place-drawing { width: 100%; height: 170px; display: block; }
.place-drawing .cloth { stroke: color-mix(in srgb, var(--ink) 55%, transparent); stroke-width: 0.06; }
.place-drawing .seams { fill: none; stroke: #0004; stroke-width: 0.07; stroke-dasharray: 0.22 0.16; }
.place-area { fill: #fff2; stroke: #fff; }
.place-margin { fill: none; stroke: #fffa; stroke-dasharray: 0.2 0.2; }
</style>
