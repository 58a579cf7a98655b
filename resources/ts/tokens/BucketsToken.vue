<script setup lang="ts">
import { ref, watch } from 'vue';
import { api, said } from '../api';
import { findLayer } from '../bench/layers';
import { useBench } from '../stores/bench';
import type { Swatch } from '../types';

/** The few colours of a picture, each with its share; those that are pressed are hidden. */
const props = defineProps<{ value: string[]; layer: string; line: number }>();
const emit = defineEmits<{ change: [hidden: string[]] }>();
const bench = useBench();
const buckets = ref<Swatch[]>([]);
const wrong = ref('');

watch(() => bench.job?.revision, async (revision) => {
    // A line just added is not in what the server holds yet.
    const held = bench.job && findLayer(bench.job.artwork, props.layer)?.effects[props.line];
    if (revision === undefined || held?.kind !== 'clear-buckets') {
        return;
    }
    try {
        buckets.value = await api.get<Swatch[]>(`revisions/${revision}/layers/${props.layer}/buckets/${props.line}`);
        wrong.value = '';
    } catch (error) {
        wrong.value = said(error);
    }
}, { immediate: true });

function toggle(colour: string): void {
    emit('change', props.value.includes(colour) ? props.value.filter((one) => one !== colour) : [...props.value, colour]);
}
</script>

<template>
    <span class="buckets" role="group" aria-label="colours of the picture, press to hide">
        <button
            v-for="bucket in buckets" :key="bucket.colour" type="button" class="bucket measure" :aria-pressed="value.includes(bucket.colour)" :style="{ '--bucket': bucket.colour }"
            :aria-label="`${bucket.colour}, ${Math.round((bucket.share ?? 0) * 100)} %${value.includes(bucket.colour) ? ', hidden' : ''}`" @click="toggle(bucket.colour)"
        ><i></i>{{ Math.round((bucket.share ?? 0) * 100) }} %</button>
        <span v-if="wrong" class="small" role="alert">{{ wrong }}</span>
    </span>
</template>
