<script setup lang="ts">
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { api, Refused, said } from '../api';
import { useChange } from '../server/queries';
import type { BenchJob } from '../types';

/** Opens a whole job from one file as a new job. */
const router = useRouter();
const open = ref(false);
const held = ref(false);
const missing = ref('');
const file = ref<HTMLInputElement | null>(null);
const { mutate: send, isPending: busy, error, reset } = useChange((form: FormData) => api.upload<BenchJob>('jobs/open', form), 'jobs', 'assets');
const wrong = computed(() => {
    const fields = error.value instanceof Refused ? Object.values(error.value.fields).flat().join(' ') : '';
    return missing.value || fields || (error.value ? said(error.value) : '');
});

function begin(): void {
    missing.value = '';
    held.value = false;
    reset();
    open.value = true;
}

function submit(): void {
    const chosen = file.value?.files?.[0];
    missing.value = chosen ? '' : 'Choose a job file.';
    if (chosen) {
        const form = new FormData();
        form.set('file', chosen);
        form.set('held', held.value ? '1' : '0');
        send(form, { onSuccess: (job) => void router.push(`/jobs/${job.id}/build`) });
    }
}
</script>

<template>
    <button type="button" class="plain-button" @click="begin">Open a job file</button>
    <v-dialog v-model="open" max-width="520" aria-labelledby="open-job">
        <form class="sheet-dialog open-job" @submit.prevent="submit">
            <h2 id="open-job">Open a job file</h2>
            <p class="small">A whole job as it was downloaded from Send: its sheet becomes a new job, its fonts and pictures go on the shelf under the licences that it states.</p>
            <label><span>Job file (.crow)</span><input ref="file" type="file" class="field" accept=".crow,application/zip" /></label>
            <label class="check"><input v-model="held" type="checkbox" /> I hold the right to use its fonts and pictures for print on demand. <span class="small">Tall Crow keeps your word and gives no legal advice.</span></label>
            <v-progress-linear v-if="busy" indeterminate color="primary" aria-label="Opening the file" />
            <p v-if="wrong" role="alert">{{ wrong }}</p>
            <p class="dialog-ends"><button type="submit" class="plain-button strong" :disabled="busy">{{ busy ? 'Looking at the file …' : 'Open it as a new job' }}</button><button type="button" class="plain-button quiet" @click="open = false">Not now</button></p>
        </form>
    </v-dialog>
</template>

<style>
.open-job { display: grid; gap: 12px; }
.open-job label { display: grid; gap: 2px; font-weight: 600; }
.open-job .check { display: block; font-weight: 400; }
.open-job input[type='file'], .open-job input::file-selector-button { font: inherit; font-weight: 400; }
</style>
