<script setup lang="ts">
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { VCheckbox, VFileInput } from 'vuetify/components';
import { api } from '../api';
import { useFaults } from '../server/faults';
import { useChange } from '../server/queries';
import type { BenchJob } from '../types';

/** Imports a job file as a new job. */
const router = useRouter();
const open = ref(false);
const held = ref(false);
const missing = ref('');
const file = ref<File | null>(null);
const { mutate: send, isPending: busy, error, reset } = useChange((form: FormData) => api.upload<BenchJob>('jobs/open', form), 'jobs', 'assets');
const fault = useFaults(error);
const wrong = computed(() => missing.value || fault.other);

function begin(): void {
    missing.value = '';
    held.value = false;
    file.value = null;
    reset();
    open.value = true;
}

function submit(): void {
    const chosen = file.value;
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
    <v-btn @click="begin">Open a job file</v-btn>
    <v-dialog v-model="open" max-width="520" aria-labelledby="open-job">
        <form class="sheet-dialog open-job" @submit.prevent="submit">
            <h2 id="open-job">Open a job file</h2>
            <p class="small">A whole job as it was downloaded from Send: its sheet becomes a new job, its fonts and pictures go on the shelf under the licences that it states.</p>
            <v-file-input v-model="file" label="Job file (.crow)" accept=".crow,application/zip" prepend-icon="" density="compact" variant="outlined" hide-details />
            <v-checkbox v-model="held" hide-details label="I hold the right to use its fonts and pictures for print on demand." />
            <p class="small">Tall Crow keeps your word and gives no legal advice.</p>
            <v-progress-linear v-if="busy" indeterminate color="primary" aria-label="Opening the file" />
            <p v-if="wrong" role="alert">{{ wrong }}</p>
            <p class="dialog-ends"><v-btn type="submit" variant="flat" color="primary" :loading="busy">Open it as a new job</v-btn><v-btn variant="text" @click="open = false">Not now</v-btn></p>
        </form>
    </v-dialog>
</template>

<style>
.open-job { display: grid; gap: 12px; }
</style>
