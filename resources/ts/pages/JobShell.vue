<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { VBtn } from 'vuetify/components';
import { said } from '../api';
import { useCatalogue } from '../server/queries';
import { useGauges } from '../stores/gauges';
import { usePeg } from '../stores/peg';
import { useSheet } from '../stores/sheet';

const route = useRoute();
const sheet = useSheet();
const gauges = useGauges();
const peg = usePeg();
const { data: catalogue, error: unread, refetch } = useCatalogue();
const failed = ref('');
const id = computed(() => Number(route.params['job']));

async function open(): Promise<void> {
    failed.value = '';
    if (sheet.job?.id !== id.value) {
        gauges.open = null;
        peg.cloth = 0;
    }
    if (unread.value) {
        void refetch();
    }
    await sheet.open(id.value).catch((error: unknown) => (failed.value = said(error)));
}

watch(id, (now) => now && open(), { immediate: true });
</script>

<template>
    <div v-if="failed || unread" class="page"><h1>This job could not be opened</h1><p role="alert">{{ failed || said(unread) }}</p><v-btn @click="open">Try again</v-btn></div>
    <div v-else-if="!sheet.artwork || !catalogue" class="page" role="status"><p>Opening the job …</p><v-progress-linear indeterminate color="primary" aria-label="The job is being opened" /></div>
    <template v-else>
        <div v-if="sheet.stale" class="banner" role="alert">
            <span>{{ sheet.stale }}</span>
            <v-btn @click="sheet.loadNewer()">Load the newer sheet</v-btn>
            <v-btn variant="text" @click="sheet.keepMine()">Save mine as a step after it</v-btn>
        </div>
        <div v-if="sheet.draft" class="banner" role="status">
            <span>Some of what was set here was not saved when the page was left. It is kept in this browser.</span>
            <v-btn size="small" variant="flat" color="primary" @click="sheet.settleDraft(true)">Put it back</v-btn>
            <v-btn size="small" @click="sheet.settleDraft(false)">Let it go</v-btn>
        </div>
        <div v-if="sheet.trouble" class="banner" role="alert">
            <span>{{ sheet.trouble }}</span>
            <v-btn @click="sheet.retry()">Try again</v-btn>
        </div>
        <router-view />
    </template>
</template>

<style>
.banner { display: flex; gap: 12px; align-items: center; padding: 8px 14px; background: var(--rust-wash); border-bottom: 1px solid var(--rust); }
</style>
