<script setup lang="ts">
import { useIntersectionObserver } from '@vueuse/core';
import { computed, ref, useTemplateRef } from 'vue';
import { proofUrl } from '../api';
import GarmentDrawing from '../peg/GarmentDrawing.vue';
import { cuts } from '../peg/garments';
import { useSmallPicture } from '../peg/useSmallPicture';
import type { JobCard } from '../types';

/** A job's thumbnail on its garment. Thumbnails are requested one after another and only when visible, so that they block nothing else. */
const { job } = defineProps<{ job: JobCard }>();
const drawing = useTemplateRef<SVGSVGElement>('drawing');
const seen = ref(false);
const { stop } = useIntersectionObserver(drawing, ([entry]) => {
    if (entry?.isIntersecting) {
        seen.value = true;
        stop();
    }
}, { rootMargin: '150px' });
const art = useSmallPicture(computed(() => String(job.revision)), computed(() => (job.state === 'empty' || !seen.value ? null : proofUrl(job.revision, 20))));

const frame = computed(() => {
    const cut = cuts[job.product] ?? cuts['tee'];
    const [width, height] = [job.sheet.width / job.sheet.ppi, job.sheet.height / job.sheet.ppi];
    const s = cut ? Math.max(1, width / (cut.body.width * 0.9), height / (cut.body.height * 0.96)) : 1;
    const top = -((cut?.top ?? 0) + 6.6) * s;
    return { view: `${width / 2 - 17 * s} ${top} ${34 * s} ${36 * s}`, place: `translate(${width / 2} ${-(cut?.top ?? 0) * s}) scale(${s})`, width, height };
});
</script>

<template>
    <svg ref="drawing" :viewBox="frame.view" aria-hidden="true">
        <g v-if="seen" :transform="frame.place"><GarmentDrawing :product="job.product" :side="job.side" :colour="job.garments[0]?.colour ?? '#ddd'" /></g>
        <image v-if="art" :href="art" x="0" y="0" :width="frame.width" :height="frame.height" />
        <text v-else-if="job.state !== 'empty'" class="being-drawn" :x="frame.width / 2" :y="frame.height / 2" text-anchor="middle">being drawn …</text>
    </svg>
</template>

<style>
.being-drawn { font-size: 1.4px; fill: #fff; stroke: #0009; stroke-width: 0.28px; paint-order: stroke; }
</style>
