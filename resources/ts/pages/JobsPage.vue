<script setup lang="ts">
import { onMounted, ref } from 'vue';
import { api, proofUrl, said } from '../api';
import { cuts } from '../peg/garments';
import GarmentDrawing from '../peg/GarmentDrawing.vue';
import type { JobCard } from '../types';
import { ago } from '../words/lines';

const jobs = ref<JobCard[] | null>(null);
const failed = ref('');
const states = { empty: 'blank sheet', drafted: 'on the bench', exported: 'exported' };

async function load(): Promise<void> {
    failed.value = '';
    try {
        jobs.value = await api.get<JobCard[]>('jobs');
    } catch (error) {
        failed.value = said(error);
    }
}

async function remove(job: JobCard): Promise<void> {
    if (window.confirm(`Throw away "${job.title}" with all its saved steps and exports?`)) {
        await api.remove(`jobs/${job.id}`).catch((error: unknown) => (failed.value = said(error)));
        await load();
    }
}

function frame(job: JobCard): { view: string; place: string; width: number; height: number } {
    const cut = cuts[job.product] ?? cuts['tee'];
    const [width, height] = [job.sheet.width / job.sheet.ppi, job.sheet.height / job.sheet.ppi];
    const s = cut ? Math.max(1, width / (cut.body.width * 0.9), height / (cut.body.height * 0.96)) : 1;
    const top = -((cut?.top ?? 0) + 6.6) * s;
    return { view: `${width / 2 - 17 * s} ${top} ${34 * s} ${36 * s}`, place: `translate(${width / 2} ${-(cut?.top ?? 0) * s}) scale(${s})`, width, height };
}

onMounted(load);
</script>

<template>
    <main class="page">
        <header class="page-head"><h1>Jobs</h1><router-link class="plain-button" to="/new">New job</router-link></header>
        <p v-if="failed" role="alert">{{ failed }} <button type="button" class="token" @click="load">Try again</button></p>
        <p v-else-if="jobs === null" role="status">Looking up the jobs …</p>
        <p v-else-if="jobs.length === 0" class="empty">No jobs yet. Start one: choose what it is printed on and how large, and the bench opens with a blank sheet.</p>
        <ul v-else class="job-cards">
            <li v-for="job in jobs" :key="job.id" class="job-card">
                <router-link :to="`/jobs/${job.id}/build`">
                    <svg :viewBox="frame(job).view" aria-hidden="true">
                        <g :transform="frame(job).place"><GarmentDrawing :product="job.product" :side="job.side" :colour="job.garments[0]?.colour ?? '#ddd'" /></g>
                        <image :href="proofUrl(job.revision, 20)" x="0" y="0" :width="frame(job).width" :height="frame(job).height" />
                    </svg>
                    <strong>{{ job.title }}</strong>
                </router-link>
                <p class="measure small">{{ job.product }} {{ job.side }}, {{ (job.sheet.width / job.sheet.ppi).toFixed(1) }} × {{ (job.sheet.height / job.sheet.ppi).toFixed(1) }} in<br />{{ job.sheet.width }} × {{ job.sheet.height }} px · {{ job.sheet.ppi }} ppi</p>
                <p class="small job-foot">
                    <span class="state" :class="job.state">{{ states[job.state] }}</span><span>{{ ago(job.updated_at) }}</span>
                    <button type="button" class="token" :aria-label="`Throw away ${job.title}`" @click="remove(job)">throw away</button>
                </p>
            </li>
        </ul>
    </main>
</template>
