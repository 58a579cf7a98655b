<script setup lang="ts">
import { computed, useTemplateRef } from 'vue';
import { VBtn } from 'vuetify/components';
import { proofUrl } from '../api';
import { cuts } from '../peg/garments';
import GarmentDrawing from '../peg/GarmentDrawing.vue';
import type { Artwork } from '../types';

/** A size chart: garment and print area to scale with dimensions; as SVG, or as PNG in the listing's size. */
const props = defineProps<{ revision: number; artwork: Artwork; width: number; height: number }>();
const drawing = useTemplateRef<SVGSVGElement>('drawing');
const cut = computed(() => cuts[props.artwork.product] ?? cuts['tee']);
const area = computed(() => ({ width: props.artwork.sheet.width / props.artwork.sheet.ppi, height: props.artwork.sheet.height / props.artwork.sheet.ppi }));
const tall = computed(() => (cut.value?.length ?? 29) + (cut.value?.above ?? 0) + 5);
const wide = computed(() => (tall.value * (props.width || 1)) / (props.height || 1));
const view = computed(() => `${-wide.value / 2} ${-(cut.value?.above ?? 0) - 1.5} ${wide.value} ${tall.value}`);
const said = (inches: number): string => `${inches.toFixed(1)} in · ${(inches * 2.54).toFixed(0)} cm`;

/** The drawing as a self-contained file with its picture embedded. */
async function file(): Promise<string> {
    const copy = drawing.value?.cloneNode(true) as SVGSVGElement;
    copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
    copy.setAttribute('width', String(props.width));
    copy.setAttribute('height', String(props.height));
    // The page's styles do not apply to the file.
    copy.querySelectorAll('.seams').forEach((seams) => Object.entries({ fill: 'none', stroke: '#00000055', 'stroke-width': '0.06' }).forEach(([name, value]) => seams.setAttribute(name, value)));
    const art = copy.querySelector('image');
    const blob = await (await fetch(art?.getAttribute('href') ?? '')).blob();
    const inside = await new Promise<string>((done) => {
        const reader = new FileReader();
        reader.onload = () => done(String(reader.result));
        reader.readAsDataURL(blob);
    });
    art?.setAttribute('href', inside);
    return new XMLSerializer().serializeToString(copy);
}

function hand(blob: Blob, name: string): void {
    const link = document.createElement('a');
    link.href = URL.createObjectURL(blob);
    link.download = name;
    link.click();
    setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}

async function asSvg(): Promise<void> {
    hand(new Blob([await file()], { type: 'image/svg+xml' }), 'size.svg');
}

async function asPng(): Promise<void> {
    const image = new Image();
    image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(await file())}`;
    await image.decode();
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [props.width, props.height];
    canvas.getContext('2d')?.drawImage(image, 0, 0, props.width, props.height);
    canvas.toBlob((blob) => blob && hand(blob, 'size.png'), 'image/png');
}
</script>

<template>
    <section class="size-diagram" aria-labelledby="size-head">
        <h3 id="size-head">Size and print area</h3>
        <svg v-if="cut" ref="drawing" :viewBox="view" role="img" :aria-label="`Print area of ${said(area.width)} by ${said(area.height)} on the ${artwork.product}`">
            <rect :x="-wide / 2" :y="-cut.above - 1.5" :width="wide" :height="tall" fill="#ffffff" />
            <g stroke="#8a8478" stroke-width="0.06"><GarmentDrawing :product="artwork.product" :side="artwork.side" :colour="artwork.garments[0]?.colour ?? '#f1eee8'" /></g>
            <g :transform="`translate(${-area.width / 2} ${cut.top})`">
                <image :href="proofUrl(revision, 40)" x="0" y="0" :width="area.width" :height="area.height" />
                <rect x="0" y="0" :width="area.width" :height="area.height" fill="none" stroke="#9c3d1c" stroke-width="0.07" stroke-dasharray="0.3 0.2" />
            </g>
            <g fill="#1f1d1a" font-size="0.9" font-family="sans-serif">
                <path :d="`M${-area.width / 2} ${cut.top + area.height + 0.6}h${area.width}m0 -0.3v0.6m${-area.width} -0.6v0.6`" fill="none" stroke="#8a8478" stroke-width="0.08" />
                <text x="0" :y="cut.top + area.height + 1.7" text-anchor="middle" stroke="#ffffff" stroke-width="0.25" paint-order="stroke">{{ said(area.width) }}</text>
                <path :d="`M${area.width / 2 + 0.6} ${cut.top}v${area.height}m-0.3 0h0.6m-0.6 ${-area.height}h0.6`" fill="none" stroke="#8a8478" stroke-width="0.08" />
                <text :transform="`translate(${area.width / 2 + 1.6} ${cut.top + area.height / 2}) rotate(90)`" text-anchor="middle" stroke="#ffffff" stroke-width="0.25" paint-order="stroke">{{ said(area.height) }}</text>
            </g>
        </svg>
        <p class="size-acts"><v-btn size="small" @click="asPng">Download as PNG</v-btn><v-btn size="small" variant="text" @click="asSvg">As SVG</v-btn><span class="small">The garment is our drawing: sizes of the maker's own go before it.</span></p>
    </section>
</template>

<style>
.size-diagram svg { width: min(100%, 420px); border: 1px solid var(--hair); display: block; }
.size-diagram .seams { fill: none; stroke: #0005; stroke-width: 0.06; }
.size-acts { display: flex; gap: 10px; align-items: center; margin: 6px 0 0; }
</style>
