<script setup lang="ts">
import { ref } from 'vue';
import { useBench } from '../stores/bench';
import BriefForm from './BriefForm.vue';

const bench = useBench();
const saved = ref(false);

async function done(): Promise<void> {
    saved.value = true;
    if (bench.job) {
        await bench.open(bench.job.id);
    }
}
</script>

<template>
    <main class="page narrow">
        <h1>Brief</h1>
        <BriefForm v-if="bench.job && bench.artwork" :key="bench.job.version" :artwork="bench.artwork" :area="bench.job.area" :version="bench.job.version" :job="bench.job.id" @done="done" />
        <p v-if="saved" role="status">The brief is saved.</p>
    </main>
</template>
