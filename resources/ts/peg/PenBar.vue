<script setup lang="ts">
import ChoiceToken from '../tokens/ChoiceToken.vue';
import QuantityToken from '../tokens/QuantityToken.vue';
import { useBench } from '../stores/bench';
import type { Stroke } from '../types';

const bench = useBench();
const symmetries = { none: 'as drawn', mirror: 'mirrored', quadrants: 'in four quarters', radial: 'about the middle' };

function set(changes: Partial<Omit<Stroke, 'points'>>): void {
    if (bench.pen) {
        bench.pen = { ...bench.pen, stroke: { ...bench.pen.stroke, ...changes } };
    }
}
</script>

<template>
    <div v-if="bench.pen" class="pen-bar" role="group" :aria-label="bench.pen.says">
        <span class="sentence">
            {{ bench.pen.says }}<template v-if="!bench.pen.closed">:
                <ChoiceToken :value="bench.pen.stroke.restores ? 'restores' : 'erases'" :choices="['erases', 'restores']" label="the brush" @change="set({ restores: $event === 'restores' })" />,
                <QuantityToken :value="bench.pen.stroke.width" kind="length" :least="0.01" :most="10" label="brush width" @change="set({ width: $event })" /> wide,
                <QuantityToken :value="bench.pen.stroke.hardness" kind="share" :least="0" :most="1" label="brush hardness" @change="set({ hardness: $event })" /> hard,
                <ChoiceToken :value="bench.pen.stroke.symmetry" :choices="Object.keys(symmetries)" :words="symmetries" label="brush symmetry" @change="set({ symmetry: $event })" />
                <template v-if="bench.pen.stroke.symmetry === 'radial'">, <QuantityToken :value="bench.pen.stroke.count" kind="number" :least="2" :most="60" label="brush copies" @change="set({ count: Math.round($event) })" /> times</template>
            </template>
        </span>
        <button type="button" class="plain-button" @click="bench.pen = null">Done</button>
    </div>
</template>
