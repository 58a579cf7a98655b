<script setup lang="ts">
import { ref } from 'vue';
import { useSheet } from '../stores/sheet';
import DestinationsForm from '../houses/DestinationsForm.vue';
import UsageForm from '../rights/UsageForm.vue';
import { useRights } from '../server/rights';
import BriefForm from './BriefForm.vue';

const sheet = useSheet();
const saved = ref(false);
/** The content below the form appears together with it, so that nothing shifts. */
const ready = ref(false);
const { data: rights } = useRights(() => sheet.job?.revision);

async function done(): Promise<void> {
    saved.value = true;
    if (sheet.job) {
        await sheet.open(sheet.job.id);
    }
}
</script>

<template>
    <main class="page brief-page">
        <h1>Brief</h1>
        <BriefForm v-if="sheet.job && sheet.artwork" :key="sheet.job.version" :artwork="sheet.artwork" :area="sheet.job.area" :version="sheet.job.version" :job="sheet.job.id" @done="done" @ready="ready = true" />
        <p v-if="saved" role="status">The brief is saved.</p>
        <section v-if="sheet.job && ready" class="brief-use" aria-labelledby="goes-head">
            <h2 id="goes-head">Where it goes</h2>
            <p class="small">Each house and place that wants a file of it. What a refit does is told before anything is sent.</p>
            <DestinationsForm :job="sheet.job.id" :revision="sheet.job.revision" />
        </section>
        <section v-if="rights && sheet.job && ready" class="brief-use" aria-labelledby="use-head">
            <h2 id="use-head">What it is for</h2>
            <p class="small">The terms of its fonts and art are held against this. It begins as the shop's usual use.</p>
            <UsageForm :usage="rights.usage" :job="sheet.job.id" />
        </section>
    </main>
</template>

<style>
.brief-use { margin-top: 34px; border-top: 2px dotted var(--hair); padding-top: 12px; }
.brief-use .usage { margin-top: 12px; }
</style>
