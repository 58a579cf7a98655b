<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import { VBtn } from 'vuetify/components';
import { api, said } from '../api';
import { useMe } from '../people/me';
import { useChange, useJobs, useRemoval } from '../server/queries';
import type { BenchJob, JobCard } from '../types';
import { ago } from '../words/lines';
import TodayPanel from '../calendar/TodayPanel.vue';
import JobPicture from './JobPicture.vue';
import OpenJob from './OpenJob.vue';

const { makes } = useMe();
const { data: held, error, refetch } = useJobs();
const { listed: jobs, remove: throwAway, error: lost } = useRemoval('jobs', held, 'jobs');
const router = useRouter();
const copying = useChange((job: JobCard) => api.post<BenchJob>(`jobs/${job.id}/copy`), 'jobs');
const states = { empty: 'blank sheet', drafted: 'on the bench', exported: 'exported', unreadable: 'cannot be read' };

// Render the first rows at once; the rest of a long list when idle.
const FIRST = 12;
const MORE = 24;
const most = ref(FIRST);
const shown = computed(() => jobs.value?.slice(0, most.value));
watch(() => (jobs.value?.length ?? 0) > most.value, (more) => more && grow(), { immediate: true });

function grow(): void {
    setTimeout(() => {
        most.value += MORE;
        if ((jobs.value?.length ?? 0) > most.value) {
            grow();
        }
    }, 30);
}

const going = ref<JobCard | null>(null);

function remove(job: JobCard): void {
    throwAway(job);
    going.value = null;
}

function copy(job: JobCard): void {
    // Ignored if another page has been opened meanwhile.
    copying.mutate(job, { onSuccess: (made) => void router.push(`/jobs/${made.id}/build`) });
}
</script>

<template>
    <main class="page">
        <header class="page-head"><h1>Jobs</h1><OpenJob /><v-btn variant="flat" color="primary" to="/new">New job</v-btn></header>
        <TodayPanel one-line />
        <p v-if="error" role="alert">{{ said(error) }} <button type="button" class="token" @click="refetch()">Try again</button></p>
        <p v-if="lost ?? copying.error.value" role="alert">{{ said(lost ?? copying.error.value) }}</p>
        <p v-if="!jobs && !error" role="status">Looking up the jobs …</p>
        <p v-else-if="jobs?.length === 0" class="empty">No jobs yet. Start one: choose what it is printed on and how large, and the bench opens with a blank sheet.</p>
        <ul v-else class="job-cards">
            <li v-for="job in shown" :key="job.id" class="job-card">
                <p v-if="job.state === 'unreadable'" class="unreadable"><strong>{{ job.title }}</strong><br />Its saved sheet cannot be read. The application's log says why; whoever looks after it may be able to mend it.</p>
                <router-link v-else :to="`/jobs/${job.id}/build`">
                    <JobPicture :job="job" />
                    <strong>{{ job.title }}</strong>
                </router-link>
                <p class="measure small">{{ job.product }} {{ job.side }}, {{ (job.sheet.width / job.sheet.ppi).toFixed(1) }} × {{ (job.sheet.height / job.sheet.ppi).toFixed(1) }} in<br />{{ job.sheet.width }} × {{ job.sheet.height }} px · {{ job.sheet.ppi }} ppi</p>
                <p class="small job-foot">
                    <span class="state" :class="job.state">{{ states[job.state] }}</span><span>{{ ago(job.updatedAt) }}</span>
                    <span v-if="makes" class="job-does"><v-btn v-if="job.state !== 'unreadable'" size="small" variant="text" :aria-label="`Copy ${job.title}`" :loading="copying.isPending.value && copying.variables.value?.id === job.id" @click="copy(job)">copy</v-btn>
                        <v-btn size="small" variant="text" :aria-label="`Throw away ${job.title}`" @click="going = job">throw away</v-btn></span>
                </p>
            </li>
        </ul>
        <v-dialog :model-value="going !== null" max-width="460" @update:model-value="(open: boolean) => !open && (going = null)">
            <div v-if="going" class="sheet-dialog" role="alertdialog" aria-labelledby="going-head">
                <h2 id="going-head">Throw away "{{ going.title }}"?</h2>
                <p>All its saved steps and exports go with it. This cannot be taken back.</p>
                <div class="dialog-ends"><v-btn autofocus @click="going = null">Keep it</v-btn><v-btn variant="flat" color="primary" @click="remove(going)">Throw away</v-btn></div>
            </div>
        </v-dialog>
    </main>
</template>

<style>
.job-card .cloth { stroke: #8888; stroke-width: 0.08; }
.job-cards { display: grid; grid-template-columns: repeat(auto-fill, minmax(250px, 1fr)); gap: 18px; }
.job-card { background: var(--card); border: 1px solid var(--hair); padding: 12px; border-top: 3px dotted var(--hair); }
.job-card a { text-decoration: none; display: grid; gap: 6px; }
.job-card svg { width: 100%; height: 250px; }
.unreadable { min-height: 250px; }
.job-foot { display: flex; flex-wrap: wrap; gap: 4px 12px; align-items: center; white-space: nowrap; }
.job-foot .v-btn { min-width: 0; padding: 0 6px; }
.job-does { margin-left: auto; }
.state { border: 1px solid var(--faded); padding: 0 6px; border-radius: 2px; color: var(--ink); }
.state.exported { border-color: var(--good); color: var(--good); }
</style>
