<script setup lang="ts">
import ChoiceToken from '../tokens/ChoiceToken.vue';
import QuantityToken from '../tokens/QuantityToken.vue';
import { usePeg } from '../stores/peg';
import type { Tip } from './pen';
import type { Stroke } from '../types';

const peg = usePeg();
const tips: Record<Tip, string> = { round: 'a round brush', slash: 'a flat nib', scribble: 'a dry brush', spray: 'a spray' };
const symmetries = { none: 'as drawn', mirror: 'mirrored', quadrants: 'in four quarters', radial: 'about the middle' };

function set(changes: Partial<Omit<Stroke, 'points'>>): void {
    if (peg.pen) {
        peg.pen = { ...peg.pen, stroke: { ...peg.pen.stroke, ...changes } };
    }
}

function setTip(tip: Tip): void {
    if (peg.pen) {
        peg.pen = { ...peg.pen, tip };
    }
}
</script>

<template>
    <div v-if="peg.pen" class="pen-bar" role="group" :aria-label="peg.pen.says">
        <span class="sentence">
            {{ peg.pen.says }}<template v-if="!peg.pen.closed">:
                <ChoiceToken v-if="peg.pen.tip" :value="peg.pen.tip" :choices="['round', 'slash', 'scribble', 'spray']" :words="tips" label="tip of the brush" @change="setTip($event as Tip)" />
                <ChoiceToken v-else :value="peg.pen.stroke.restores ? 'restores' : 'erases'" :choices="['erases', 'restores']" label="the brush" @change="set({ restores: $event === 'restores' })" />,
                <QuantityToken :value="peg.pen.stroke.width" kind="length" :least="0.01" :most="10" label="brush width" @change="set({ width: $event })" /> wide,
                <template v-if="!peg.pen.tip"><QuantityToken :value="peg.pen.stroke.hardness" kind="share" :least="0" :most="1" label="brush hardness" @change="set({ hardness: $event })" /> hard,{{ ' ' }}</template>
                <ChoiceToken :value="peg.pen.stroke.symmetry" :choices="Object.keys(symmetries)" :words="symmetries" label="brush symmetry" @change="set({ symmetry: $event })" />
                <template v-if="peg.pen.stroke.symmetry === 'radial'">, <QuantityToken :value="peg.pen.stroke.count" kind="number" :least="2" :most="60" label="brush copies" @change="set({ count: Math.round($event) })" /> times</template>
            </template>
        </span>
        <v-btn size="small" @click="peg.pen = null">Done</v-btn>
    </div>
</template>

<style>
.pen-bar { display: flex; align-items: center; gap: 10px; padding: 4px 10px; background: var(--rust-wash); border-bottom: 1px solid var(--hair); }
.pen-bar .v-btn { margin-left: auto; }
.pen path { fill: none; stroke: #ff00c8; stroke-opacity: 0.55; stroke-linecap: round; stroke-linejoin: round; pointer-events: none; }
.pen path.restores { stroke: #00a37a; }
.pen path.closed, .pen path.cross { stroke-opacity: 1; }
.guides line { stroke: #e0563a; }
</style>
