<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import { api, said } from '../api';
import { findLayer } from '../bench/layers';
import { useSheet } from '../stores/sheet';
import type { Bucket } from '../types';

/** The palette of a picture with shares; pressed colours are hidden. */
const props = defineProps<{ value: string[]; layer: string; line: number }>();
const emit = defineEmits<{ change: [hidden: string[]] }>();
const sheet = useSheet();

/** An entry just added is not saved yet. */
const address = computed(() => {
    const held = sheet.job && findLayer(sheet.job.artwork, props.layer)?.effects[props.line];
    return held?.kind === 'clear-buckets' ? `revisions/${sheet.job?.revision}/layers/${props.layer}/buckets/${props.line}` : null;
});
const { data: buckets, error } = useQuery({
    queryKey: ['buckets', address],
    queryFn: () => api.get<Bucket[]>(address.value ?? ''),
    enabled: () => address.value !== null,
    placeholderData: (before) => before,
});

function toggle(bucket: Bucket): void {
    emit('change', bucket.hiddenAs === null ? [...props.value, bucket.colour] : props.value.filter((one) => one !== bucket.hiddenAs));
}
</script>

<template>
    <span class="buckets" role="group" aria-label="colours of the picture, press to hide">
        <button
            v-for="bucket in buckets ?? []" :key="bucket.colour" type="button" class="bucket measure" :aria-pressed="bucket.hiddenAs !== null" :style="{ '--bucket': bucket.colour }"
            :aria-label="bucket.matches ? `${bucket.colour}, ${Math.round(bucket.share * 100)} %${bucket.hiddenAs === null ? '' : ', hidden'}` : `${bucket.colour} is hidden but matches none of these colours; press to forget it`" @click="toggle(bucket)"
        ><i></i>{{ bucket.matches ? `${Math.round(bucket.share * 100)} %` : 'matches none' }}</button>
        <span v-if="error" class="small" role="alert">{{ said(error) }}</span>
    </span>
</template>

<style>
.buckets { display: inline-flex; flex-wrap: wrap; gap: 4px; vertical-align: middle; }
.bucket { display: inline-flex; align-items: center; gap: 4px; min-height: 24px; border: 1px solid var(--hair); padding: 0 6px 0 0; font-size: 12px; }
.bucket i { width: 20px; height: 22px; background: var(--bucket); }
.bucket[aria-pressed=true] { text-decoration: line-through; border-color: var(--rust); }
.bucket[aria-pressed=true] i { background: repeating-linear-gradient(45deg, var(--bucket) 0 4px, transparent 4px 8px); }
</style>
