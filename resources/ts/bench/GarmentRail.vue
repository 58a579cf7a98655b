<script setup lang="ts">
import { computed } from 'vue';
import { proofUrl } from '../api';
import { usePicture } from '../peg/useProof';
import { useBench } from '../stores/bench';

const bench = useBench();
const small = usePicture(computed(() => (bench.job ? proofUrl(bench.job.revision, 12) : null)));
const found = computed(() => new Map((bench.report?.findings ?? []).filter((finding) => finding.key.startsWith('vanish:')).map((finding) => [finding.key.slice(7), finding])));
const mark = { pass: '✓', warn: '!', fail: '✕' };
</script>

<template>
    <section class="rail" aria-label="Garment colours on offer">
        <button
            v-for="(garment, i) in bench.artwork?.garments ?? []" :key="garment.name" type="button" class="rail-cloth" :aria-pressed="bench.garment?.name === garment.name"
            @click="bench.cloth = i"
        >
            <span class="rail-art" :style="{ background: garment.colour }"><img v-if="small.shown.value" :src="small.shown.value" alt="" /></span>
            <span class="rail-name">{{ garment.name }}</span>
            <span class="measure rail-lost" :class="found.get(garment.name)?.verdict">{{ found.get(garment.name) ? `${mark[found.get(garment.name)?.verdict ?? 'pass']} ${found.get(garment.name)?.figure}` : '…' }}</span>
        </button>
    </section>
</template>
