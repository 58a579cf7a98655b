<script setup lang="ts">
import { computed, ref } from 'vue';
import QuantityToken from '../tokens/QuantityToken.vue';
import { useBench } from '../stores/bench';
import type { Wear } from '../types';
import AddLine from './AddLine.vue';
import { brushWear } from './drawing';
import LayerLines from './LayerLines.vue';
import JobColours from './JobColours.vue';
import { everyLayer, moveLayer } from './layers';
import LineFrame from './LineFrame.vue';
import WearSentence from './WearSentence.vue';

const bench = useBench();
const layers = computed(() => bench.artwork?.layers ?? []);
const all = computed(() => everyLayer(layers.value).filter((layer) => layer.role.kind === 'ink'));
const isWorn = computed(() => Boolean(bench.artwork?.distress.length) || everyLayer(layers.value).some((layer) => layer.distress.length > 0));

function limit(changes: Partial<{ letterLost: number; stroke: number }>): void {
    void bench.change((sheet) => ({ ...sheet, limits: { letterLost: 0.4, stroke: 0.012, ...sheet.limits, ...changes } }));
}

const dragged = ref<string | null>(null);
const over = ref(-1);

function setWear(index: number, wear: Wear | null): void {
    void bench.change((sheet) => {
        const distress = [...sheet.distress];
        distress.splice(index, 1, ...(wear ? [wear] : []));
        return { ...sheet, distress };
    });
}

function moveWear(index: number, by: number): void {
    void bench.change((sheet) => {
        const distress = [...sheet.distress];
        const [wear] = distress.splice(index, 1);
        distress.splice(Math.max(0, index + by), 0, ...(wear ? [wear] : []));
        return { ...sheet, distress };
    });
}

function drop(): void {
    const id = dragged.value;
    const to = over.value;
    dragged.value = null;
    over.value = -1;
    if (id && to >= 0) {
        void bench.change((sheet) => moveLayer(sheet, id, to));
    }
}
</script>

<template>
    <section class="build-sheet" aria-label="Build sheet">
        <header class="ticket-head">
            <h2>Build sheet</h2>
            <span class="small">first line lies on the cloth</span>
            <span class="steps">
                <button type="button" :disabled="!bench.job?.can_undo" title="Step back (Ctrl+Z)" aria-label="Step back" @click="bench.undo()">↶</button>
                <button type="button" :disabled="!bench.job?.can_redo" title="Step forward (Ctrl+Shift+Z)" aria-label="Step forward" @click="bench.redo()">↷</button>
            </span>
        </header>
        <div class="sheet-lines">
            <p v-if="layers.length === 0" class="empty">
                The sheet is blank. Add a line to set words, lay a picture or draw a shape; each line after that says what is done to it.
            </p>
            <ol class="lines" @dragend="dragged = null">
                <li
                    v-for="(layer, i) in layers" :key="layer.id" class="drag-row" :class="{ over: over === i && dragged !== null }" :draggable="dragged === layer.id"
                    @dragover.prevent="over = i" @drop.prevent="drop"
                >
                    <span class="grip" title="Drag to another place" aria-hidden="true" @pointerdown="dragged = layer.id" @pointerup="dragged = null">⠿</span>
                    <LayerLines :layer="layer" :number="i + 1" :first="i === 0" :last="i === layers.length - 1" :depth="0" />
                </li>
            </ol>
            <ol v-if="bench.artwork?.distress.length" class="lines whole-sheet">
                <li v-for="(wear, i) in bench.artwork.distress" :key="i">
                    <LineFrame
                        :on="wear.on" :name="`Whole sheet, wear ${i + 1}`" :first="i === 0" :last="i === bench.artwork.distress.length - 1"
                        @toggle="setWear(i, { ...wear, on: $event })" @up="moveWear(i, -1)" @down="moveWear(i, 1)" @remove="setWear(i, null)"
                    >
                        <WearSentence :wear="wear" whole :layers="all" :ppi="bench.artwork.sheet.ppi" :strokes="() => brushWear(bench, null, i)" @change="setWear(i, $event)" />
                    </LineFrame>
                </li>
            </ol>
            <p v-if="isWorn && bench.artwork?.limits" class="sentence worn-limits">
                Of a letter wear may take <QuantityToken :value="bench.artwork.limits.letterLost" kind="share" :least="0.01" :most="1" label="letter may lose" @change="limit({ letterLost: $event })" />, and strokes stay
                <QuantityToken :value="bench.artwork.limits.stroke" kind="length" :least="0.001" :most="0.5" :ppi="bench.artwork.sheet.ppi" label="thinnest stroke" @change="limit({ stroke: $event })" /> or more.
            </p>
            <JobColours />
        </div>
        <AddLine />
    </section>
</template>
