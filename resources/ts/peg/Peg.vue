<script setup lang="ts">
import { refAutoReset, refDebounced, useElementSize } from '@vueuse/core';
import { storeToRefs } from 'pinia';
import { computed, ref, watch } from 'vue';
import { api, proofUrl } from '../api';
import ArrangeMenu from '../bench/ArrangeMenu.vue';
import { useGauges } from '../stores/gauges';
import { usePeg, type Overlay } from '../stores/peg';
import { useSelection } from '../stores/selection';
import { useSheet } from '../stores/sheet';
import type { Box, FoundColour } from '../types';
import GarmentDrawing from './GarmentDrawing.vue';
import { cuts } from './garments';
import Rulers from './Rulers.vue';
import { touched } from './touched';
import type { Neighbour } from './snapping';
import PenBar from './PenBar.vue';
import { useDrag, type Hold } from './useDrag';
import { usePen } from './usePen';
import { useLifted } from './useLifted';
import { inside, usePicking } from './usePicking';
import { usePicture } from './useProof';
import { useSteps } from './useSteps';
import { useZoom } from './useZoom';
import WordsInPlace from './WordsInPlace.vue';

/** Resolutions of proofs: the smallest that suits the screen is used; few steps, so that cached layers are reused. */
const PROOFS = [30, 50, 75, 100];
const CLOSE = 130;

const sheetStore = useSheet();
const selection = useSelection();
const peg = usePeg();
const gauges = useGauges();
const svg = ref<SVGSVGElement | null>(null);
const distance = ref<'garment' | 'area' | 'loupe' | 'free'>('garment');
const { free, holdsSpace, pan, wheel, zoom, key: zoomKey } = useZoom(svg, () => (distance.value = 'free'));
const seen = useElementSize(svg, { width: 600, height: 560 });
const size = computed(() => ({ width: Math.max(50, seen.width.value), height: Math.max(50, seen.height.value) }));
const centre = ref<[number, number]>([7.5, 9]);
/** Message about the last action, shown for a few seconds. */
const said = refAutoReset('', 6000);

const sheet = computed(() => {
    const s = sheetStore.artwork?.sheet ?? { width: 4500, height: 5400, ppi: 300 };
    return { width: s.width / s.ppi, height: s.height / s.ppi, ppi: s.ppi };
});
const cut = computed(() => cuts[sheetStore.artwork?.product ?? 'tee'] ?? cuts['tee']);
/** Garments are enlarged if the print area would not fit on them. */
const garmentScale = computed(() => (cut.value ? Math.max(1, sheet.value.width / (cut.value.body.width * 0.9), sheet.value.height / (cut.value.body.height * 0.96)) : 1));
const garmentPlace = computed(() => `translate(${sheet.value.width / 2} ${-(cut.value?.top ?? 0) * garmentScale.value}) scale(${garmentScale.value})`);
const dpr = window.devicePixelRatio || 1;

const view = computed<Box>(() => {
    const { width, height } = sheet.value;
    if (distance.value === 'garment' && cut.value) {
        const s = garmentScale.value;
        const top = -(cut.value.top + cut.value.above) * s;
        const bottom = (cut.value.length - cut.value.top + 0.6) * s;
        return { left: width / 2 - 17 * s, top, width: 34 * s, height: bottom - top };
    }
    if (distance.value === 'free' && free.value) {
        return free.value;
    }
    if (distance.value === 'area') {
        return { left: -1.2, top: -1.2, width: width + 2.2, height: height + 1.8 };
    }
    const [w, h] = [(size.value.width * dpr) / sheet.value.ppi, (size.value.height * dpr) / sheet.value.ppi];
    return { left: centre.value[0] - w / 2, top: centre.value[1] - h / 2, width: w, height: h };
});
const perPixel = (): number => {
    const scale = svg.value?.getScreenCTM()?.a;
    return scale ? 1 / scale : 0.05;
};
const hand = computed(() => Math.max(view.value.width / size.value.width, view.value.height / size.value.height));

const proofPpi = computed(() => {
    const wanted = distance.value === 'loupe' ? 0 : (size.value.height * dpr) / view.value.height;
    return PROOFS.find((ppi) => ppi >= wanted - 2) ?? 100;
});
const revision = computed(() => sheetStore.job?.revision ?? null);
const address = computed(() => (revision.value === null ? null : proofUrl(revision.value, proofPpi.value, { bench: 1 })));
const proof = usePicture(address);
watch([() => proof.lost.value || (address.value !== null && proof.shown.value === address.value), revision], ([hangs]) => hangs && (peg.hung = revision.value), { immediate: true });
const steps = useSteps(proof.late, revision, proofPpi);
/** Only for layers in the current revision: one just added is not in it yet. */
const drawn = computed(() => (selection.layer && sheetStore.measures.get(selection.layer.id)?.box ? selection.layer.id : null));
const { piece, without } = useLifted(revision, proofPpi, drawn, storeToRefs(peg).hangs);

/** Above the finest proof's resolution the visible part is drawn at the print's resolution. */
const isClose = computed(() => distance.value === 'loupe' || (distance.value === 'free' && (size.value.width * dpr) / view.value.width > CLOSE));
/** The part under the loupe, in print pixels and within the sheet. */
const lens = computed(() => {
    if (!isClose.value) {
        return null;
    }
    const { ppi, width, height } = sheet.value;
    const left = Math.max(0, Math.round(view.value.left * ppi));
    const top = Math.max(0, Math.round(view.value.top * ppi));
    const right = Math.min(Math.round(width * ppi), Math.round((view.value.left + view.value.width) * ppi));
    const bottom = Math.min(Math.round(height * ppi), Math.round((view.value.top + view.value.height) * ppi));
    return right > left && bottom > top ? { left, top, width: right - left, height: bottom - top } : null;
});
const settledLens = refDebounced(lens, 120);
const pressed = computed(() => `/api/revisions/${revision.value}/pressed.png?cloth=${Math.max(0, peg.cloth)}`);
const close = usePicture(computed(() => {
    const part = settledLens.value;
    if (revision.value === null || !part) {
        return null;
    }
    return peg.overlay === 'press' ? `${pressed.value}&left=${part.left}&top=${part.top}&width=${part.width}&height=${part.height}` : proofUrl(revision.value, sheet.value.ppi, { ...part });
}));

const neighbours = computed<Neighbour[]>(() =>
    (sheetStore.artwork?.layers ?? []).flatMap((layer) => {
        const box = sheetStore.measures.get(layer.id)?.box;
        return box && layer.on && layer.id !== selection.chosen ? [{ name: sheetStore.called(layer.id), box }] : [];
    }),
);
const chosenBox = computed(() => (selection.layer?.on ? (sheetStore.measures.get(selection.layer.id)?.box ?? null) : null));
const alsoBoxes = computed(() => selection.ids.slice(1).flatMap((id) => sheetStore.measures.get(id)?.box ?? []));
const { drag, transform, says, begin, follow, drop, cancel } = useDrag(perPixel, neighbours, sheet);
/** From the end of a drag until the new proof is shown, the layer stays where it was dropped. */
const dropped = ref<{ transform: string; piece: string | null; without: string | null } | null>(null);
watch(proof.shown, () => {
    dropped.value = null;
    if (drag.value === null) {
        cancel();
    }
});
watch(() => sheetStore.trouble, () => (dropped.value = null));

const base = computed(() => (drag.value && piece.value ? (without.value ?? proof.shown.value) : dropped.value ? dropped.value.without : proof.shown.value));
const pen = usePen(sheet);
/** The overlay: ink that is removed, or the mask. */
const overlay = usePicture(computed(() => {
    if (revision.value === null || peg.overlay === 'none') {
        return null;
    }
    if (peg.overlay === 'press') {
        return `${pressed.value}&ppi=${proofPpi.value}`;
    }
    if (!drawn.value) {
        return peg.overlay === 'taken' ? `/api/revisions/${revision.value}/taken.png?ppi=${proofPpi.value}` : null;
    }
    return `/api/revisions/${revision.value}/layers/${drawn.value}.png?ppi=${proofPpi.value}&show=${peg.overlay}`;
}));

function at(event: PointerEvent): [number, number] {
    const matrix = svg.value?.getScreenCTM()?.inverse();
    const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
    return [point.x, point.y];
}

type Held = { from: [number, number]; picked: Promise<void> | null; panning: [number, number] | null; moved: boolean; sliding?: boolean; framing?: boolean; last?: Parameters<typeof follow>; gone?: boolean };
let held: Held | null = null;
const { pick, press: pickAt, release: pickBelow, write, writing } = usePicking(revision, chosenBox);
/** A selection rectangle. */
const frame = ref<Box | null>(null);

function press(event: PointerEvent): void {
    const point = at(event);
    if (event.button === 1 || (event.button === 0 && holdsSpace.value)) {
        event.preventDefault();
        svg.value?.setPointerCapture(event.pointerId);
        held = { from: point, picked: null, panning: null, moved: true, sliding: true };
        return;
    }
    if (event.button !== 0) {
        return;
    }
    if (peg.colourWanted && revision.value !== null) {
        const give = peg.colourWanted;
        void api.get<FoundColour>(`revisions/${revision.value}/colour?x=${point[0]}&y=${point[1]}`).then(({ colour }) => give(colour)).catch(() => give(null));
        return;
    }
    if (peg.pen) {
        svg.value?.setPointerCapture(event.pointerId);
        pen.press(point);
        return;
    }
    if (event.shiftKey && distance.value !== 'loupe') {
        void pick(point, true);
        return;
    }
    svg.value?.setPointerCapture(event.pointerId);
    if (distance.value === 'loupe') {
        held = { from: [event.clientX, event.clientY], picked: null, panning: [...centre.value], moved: false };
    } else {
        held = { from: point, picked: pickAt(point), panning: null, moved: false };
    }
}

function grasp(event: PointerEvent, hold: Hold): void {
    if (selection.layer && chosenBox.value) {
        svg.value?.setPointerCapture(event.pointerId);
        begin(hold, selection.layer, chosenBox.value, at(event));
    }
}

function movePointer(event: PointerEvent): void {
    if (peg.pen) {
        pen.move(at(event));
        return;
    }
    if (drag.value) {
        follow(at(event), event.altKey, event.shiftKey);
        return;
    }
    if (!held) {
        return;
    }
    if (held.panning) {
        const scale = perPixel();
        centre.value = [held.panning[0] - (event.clientX - held.from[0]) * scale, held.panning[1] - (event.clientY - held.from[1]) * scale];
        return;
    }
    const point = at(event);
    if (held.sliding) {
        pan(held.from[0] - point[0], held.from[1] - point[1]);
        return;
    }
    held.last = [point, event.altKey, event.shiftKey];
    if (held.framing) {
        draw(held.from, point);
    } else if (!held.moved && Math.hypot(point[0] - held.from[0], point[1] - held.from[1]) > 3 * perPixel()) {
        held.moved = true;
        const mine = held;
        void (held.picked ?? Promise.resolve()).then(() => catchUp(mine));
    }
}

function draw(from: [number, number], to: [number, number]): void {
    frame.value = { left: Math.min(from[0], to[0]), top: Math.min(from[1], to[1]), width: Math.abs(to[0] - from[0]), height: Math.abs(to[1] - from[1]) };
}

/** Called when the layer under a press is known: catches up with the drag or rectangle from where the press began; the pointer may already be released. */
function catchUp(mine: Held): void {
    if (mine !== held && (!mine.gone || held || drag.value)) {
        return;
    }
    if (selection.layer && inside(chosenBox.value, mine.from)) {
        begin('move', selection.layer, chosenBox.value as Box, mine.from);
        follow(...(mine.last as Parameters<typeof follow>));
    } else {
        mine.framing = true;
        draw(mine.from, mine.last?.[0] ?? mine.from);
    }
    if (mine.gone) {
        end();
    }
}

function release(): void {
    pen.release();
    if (held?.moved && !held.panning && !held.sliding) {
        held.gone = true;
    }
    end();
    pickBelow(held && !held.moved && !held.picked && !held.panning ? held.from : null);
    held = null;
}

function end(): void {
    if (drag.value) {
        const after = { transform: transform.value, piece: piece.value, without: without.value ?? proof.shown.value };
        if (drop()) {
            said.value = says.value;
            dropped.value = after;
        }
        cancel();
    } else if (frame.value) {
        selection.chooseAll(touched(frame.value, sheetStore.artwork?.layers ?? [], sheetStore.measures));
    }
    frame.value = null;
}

function nudge(event: KeyboardEvent): void {
    if (pen.key(event) || zoomKey(event)) {
        return;
    }
    if (event.key === '0') {
        distance.value = 'garment';
        return;
    }
    const step = event.shiftKey ? 0.1 : 0.01;
    const by: Record<string, [number, number]> = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] };
    const way = by[event.key];
    if (!way) {
        return;
    }
    event.preventDefault();
    if (distance.value === 'loupe') {
        centre.value = [centre.value[0] + way[0] * 5, centre.value[1] + way[1] * 5];
    } else if (selection.layer) {
        void sheetStore.operate({ op: 'move', ids: selection.ids, dx: way[0], dy: way[1] });
        said.value = `nudged ${step.toFixed(2)} in`;
    }
}

function loupeHere(): void {
    const box = chosenBox.value;
    centre.value = box ? [box.left + box.width / 2, box.top + box.height / 2] : [sheet.value.width / 2, sheet.value.height / 3];
    distance.value = 'loupe';
}
</script>

<template>
    <section class="peg" aria-label="The peg: the art on the garment">
        <header class="peg-head">
            <div role="group" aria-label="Distance" class="distances">
                <button type="button" :aria-pressed="distance === 'garment'" @click="distance = 'garment'">Whole garment</button>
                <button type="button" :aria-pressed="distance === 'area'" @click="distance = 'area'">Print area</button>
                <button type="button" :aria-pressed="distance === 'loupe'" @click="loupeHere">Loupe 1 : 1</button>
                <button type="button" aria-label="Further away" title="Further away (−)" @click="zoom(0.8)">−</button><button type="button" aria-label="Closer" title="Closer (+)" @click="zoom(1.25)">+</button>
            </div>
            <span class="peg-room"></span>
            <span v-if="peg.colourWanted" class="small" role="status">Press a place on the art to take its colour <button type="button" class="token" @click="peg.colourWanted?.(null)">not now</button></span>
            <select class="token" aria-label="What the peg shows" :value="peg.overlay" @change="peg.overlay = ($event.target as HTMLSelectElement).value as Overlay">
                <option value="none">the art</option><option value="taken">what is taken</option><option value="mask">the mask alone</option><option value="press">as it would print</option>
            </select>
            <ArrangeMenu />
            <span v-if="proof.lost.value" class="small" role="alert">The proof could not be drawn. <button type="button" class="token" @click="proof.again()">Try again</button></span>
        </header>
        <PenBar />
        <p class="measure small peg-says" aria-live="polite">{{ says || said }}</p>
        <p v-if="proof.late.value || close.late.value" class="small drawing" role="status">{{ steps.says.value }} <progress v-if="steps.done.value !== null" :value="steps.done.value" aria-label="How much is drawn"></progress></p>
        <p v-else-if="peg.overlay === 'press' && overlay.late.value" class="small drawing" role="status">printing it dot by dot …</p>
        <svg
            ref="svg" class="peg-view" :class="[distance, { picking: peg.colourWanted }]" :viewBox="`${view.left} ${view.top} ${view.width} ${view.height}`" tabindex="0" role="application"
            :aria-label="peg.pen ? `${peg.pen.says}. Arrow keys move the cross, the space bar sets a point, Enter ends the line, Escape puts the brush away.` : selection.layer ? `${sheetStore.called(selection.layer.id)} is chosen. Arrow keys move it by a hundredth of an inch, with Shift by a tenth.` : 'Press a piece to choose it.'"
            @pointerdown="press" @pointermove="movePointer" @pointerup="release" @pointercancel="release" @keydown="nudge" @wheel.prevent="wheel" @dblclick="write"
        >
            <g :transform="garmentPlace"><GarmentDrawing :product="sheetStore.artwork?.product ?? 'tee'" :side="sheetStore.artwork?.side ?? 'front'" :colour="peg.garment?.colour ?? '#ddd'" /></g>
            <rect v-if="distance === 'area' || distance === 'loupe'" :x="view.left" :y="view.top" :width="view.width" :height="view.height" :fill="peg.garment?.colour ?? '#ddd'" />
            <Rulers v-if="distance !== 'loupe'" :width="sheet.width" :height="sheet.height" :size="distance === 'area' ? 0.42 : 0.62" :class="{ 'on-cloth': true }" />
            <rect class="area-edge" x="0" y="0" :width="sheet.width" :height="sheet.height" :stroke-width="hand" />
            <image v-if="base" :href="base" x="0" y="0" :width="sheet.width" :height="sheet.height" preserveAspectRatio="none" :class="{ faint: isClose && close.shown.value && !drag }" />
            <image v-if="drag && piece" :href="piece" x="0" y="0" :width="sheet.width" :height="sheet.height" :transform="transform" preserveAspectRatio="none" />
            <image v-else-if="dropped?.piece" :href="dropped.piece" x="0" y="0" :width="sheet.width" :height="sheet.height" :transform="dropped.transform" preserveAspectRatio="none" />
            <image
                v-if="isClose && close.shown.value && settledLens && !drag && !dropped" class="lens" :href="close.shown.value" preserveAspectRatio="none"
                :x="settledLens.left / sheet.ppi" :y="settledLens.top / sheet.ppi" :width="settledLens.width / sheet.ppi" :height="settledLens.height / sheet.ppi"
            />
            <image v-if="overlay.shown.value && !isClose" class="overlay" :href="overlay.shown.value" x="0" y="0" :width="sheet.width" :height="sheet.height" preserveAspectRatio="none" />
            <g v-if="peg.pen" class="pen" aria-hidden="true">
                <path v-if="pen.d.value" :d="pen.d.value" :stroke-width="peg.pen.closed ? hand * 2 : peg.pen.stroke.width" :class="{ closed: peg.pen.closed, restores: peg.pen.stroke.restores }" />
                <path v-if="pen.cross.value" class="cross" :stroke-width="hand * 1.5" :d="`M${pen.cross.value[0] - hand * 9} ${pen.cross.value[1]}h${hand * 18}M${pen.cross.value[0]} ${pen.cross.value[1] - hand * 9}v${hand * 18}`" />
            </g>
            <g v-for="(box, i) in gauges.where" :key="i"><rect class="where" :x="box.left" :y="box.top" :width="box.width" :height="box.height" :stroke-width="hand * 1.5" /></g>
            <g v-if="drag" class="guides" :stroke-width="hand">
                <line v-for="(guide, i) in drag.guides" :key="i" :x1="guide.axis === 'x' ? guide.at : 0" :x2="guide.axis === 'x' ? guide.at : sheet.width" :y1="guide.axis === 'y' ? guide.at : 0" :y2="guide.axis === 'y' ? guide.at : sheet.height" />
            </g>
            <g v-if="distance !== 'loupe'"><rect v-for="box in alsoBoxes" :key="`${box.left},${box.top}`" class="hold-box" :x="box.left" :y="box.top" :width="box.width" :height="box.height" :stroke-width="hand * 1.2" :stroke-dasharray="`${hand * 2} ${hand * 3}`" /></g>
            <rect v-if="frame" class="hold-box" :x="frame.left" :y="frame.top" :width="frame.width" :height="frame.height" :stroke-width="hand" :stroke-dasharray="`${hand * 3} ${hand * 3}`" />
            <g v-if="chosenBox && distance !== 'loupe' && !peg.pen" class="hold" :transform="drag ? transform : undefined">
                <rect class="hold-box" :x="chosenBox.left" :y="chosenBox.top" :width="chosenBox.width" :height="chosenBox.height" :stroke-width="hand * 1.2" :stroke-dasharray="`${hand * 5} ${hand * 4}`" />
                <rect
                    v-for="corner in [[0, 0], [1, 0], [0, 1], [1, 1]]" :key="corner.join()" class="hold-corner" :class="corner[0] === corner[1] ? 'nwse' : 'nesw'"
                    :x="chosenBox.left + (corner[0] ?? 0) * chosenBox.width - hand * 5" :y="chosenBox.top + (corner[1] ?? 0) * chosenBox.height - hand * 5" :width="hand * 10" :height="hand * 10" :stroke-width="hand"
                    @pointerdown.stop="grasp($event, 'size')"
                />
                <circle class="hold-turn" :cx="chosenBox.left + chosenBox.width / 2" :cy="chosenBox.top - hand * 22" :r="hand * 6" :stroke-width="hand" @pointerdown.stop="grasp($event, 'turn')"><title>Turn</title></circle>
            </g>
        </svg>
        <WordsInPlace v-if="writing && svg" :key="writing.layer.id" :layer="writing.layer" :box="writing.box" :svg="svg" @done="writing = null" />
    </section>
</template>

<style>
.peg { position: relative; display: flex; flex-direction: column; min-height: 0; min-width: 0; }
.peg-head { display: flex; align-items: center; gap: 12px; padding: 5px 10px; border-bottom: 1px solid var(--hair); height: 40px; flex: none; overflow-x: auto; overflow-y: hidden; scrollbar-width: thin; }
.peg-room { flex: 1 1 0; }
.peg-head > .small { white-space: nowrap; }
/* Over the peg, whose size a read-out beside it would change under a piece that is being dragged. */
.peg-says { position: absolute; right: 10px; bottom: 10px; z-index: 1; max-width: calc(60% - 20px); margin: 0; padding: 3px 8px; background: var(--card); border: 1px solid var(--hair); pointer-events: none; }
.peg-says:empty { padding: 0; border: 0; }
.distances { display: flex; white-space: nowrap; }
.distances button { padding: 2px 10px; font-size: 12.5px; border: 1px solid var(--faded); margin-left: -1px; }
.distances button[aria-pressed='true'] { background: var(--ink); color: var(--paper); }
.drawing { position: absolute; left: 10px; bottom: 10px; z-index: 1; max-width: calc(100% - 20px); padding: 3px 8px; background: var(--card); border: 1px solid var(--hair); pointer-events: none; }
.drawing progress { width: 90px; height: 8px; vertical-align: middle; accent-color: var(--rust); }
.peg-view { width: 100%; flex: 1 1 0; min-height: 0; display: block; touch-action: none; user-select: none; cursor: default; }
.peg-view.loupe { cursor: grab; }
.peg-view:focus-visible { outline-offset: -3px; }
.peg-view .cloth { stroke: color-mix(in srgb, var(--ink) 55%, transparent); stroke-width: 0.06; stroke-linejoin: round; }
.peg-view .seams, .job-card .seams { fill: none; stroke: #8886; stroke-width: 0.07; stroke-dasharray: 0.22 0.16; }
.peg-view .area-edge { fill: none; stroke: #8e8a82; stroke-dasharray: 0.1 0.1; }
.peg-view .rulers { fill: #8e8a82; font-family: var(--measures); }
.peg-view .rulers path { stroke: #8e8a82; stroke-width: 0.03; fill: none; }
.peg-view .lens { image-rendering: pixelated; }
.peg-view .faint { opacity: 0; }
.hold-box { fill: none; stroke: #e0563a; pointer-events: none; }
.hold-corner, .hold-turn { fill: #fff; stroke: #9c3d1c; }
.hold-corner.nwse { cursor: nwse-resize; }
.hold-corner.nesw { cursor: nesw-resize; }
.hold-turn { cursor: grab; }
.peg-view.picking { cursor: crosshair; }
.overlay { pointer-events: none; }
</style>
