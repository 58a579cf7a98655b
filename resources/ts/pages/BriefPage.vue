<script setup lang="ts">
import { ref } from 'vue';
import { useSheet } from '../stores/sheet';
import BriefForm from './BriefForm.vue';

const sheet = useSheet();
const saved = ref(false);

async function done(): Promise<void> {
    saved.value = true;
    if (sheet.job) {
        await sheet.open(sheet.job.id);
    }
}
</script>

<template>
    <main class="page narrow">
        <h1>Brief</h1>
        <BriefForm v-if="sheet.job && sheet.artwork" :key="sheet.job.version" :artwork="sheet.artwork" :area="sheet.job.area" :version="sheet.job.version" :job="sheet.job.id" @done="done" />
        <p v-if="saved" role="status">The brief is saved.</p>
    </main>
</template>
