<script setup lang="ts">
import { keepPreviousData, useQuery } from '@tanstack/vue-query';
import { refDebounced } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import { VBtn, VDataTable, VFileUpload, VPagination } from 'vuetify/components';
import { api, said } from '../api';
import type { LogLine, LogPage } from '../types';
import { eventWords } from '../server/parcels';
import { ago } from '../words/lines';

/** The log of all print files; an entry can be found from the file itself. */
const wanted = ref('');
const page = ref(1);
const asked = refDebounced(wanted, 200);
watch(asked, () => (page.value = 1));
const { data: log, error, isLoading, refetch } = useQuery({ queryKey: ['log', asked, page], queryFn: () => api.get<LogPage>(`log?${new URLSearchParams({ q: asked.value ?? '', page: String(page.value) })}`), staleTime: 0, placeholderData: keepPreviousData });
const file = ref<File | File[]>([]);
const found = ref<LogLine[] | null>(null);
const trouble = ref('');
const busy = ref(false);
const headers = [{ title: 'On', key: 'at' }, { title: 'What', key: 'event' }, { title: 'Design', key: 'title' }, { title: 'File', key: 'file' }, { title: 'For', key: 'house' }, { title: 'Pixels', key: 'width' }, { title: 'Checks', key: 'held' }, { title: 'By', key: 'who' }];
const table = computed(() => `/api/log.csv?${new URLSearchParams({ q: asked.value ?? '' })}`);

async function look(): Promise<void> {
    const one = [file.value].flat()[0];
    if (!one) {
        return;
    }
    busy.value = true;
    trouble.value = '';
    found.value = null;
    const form = new FormData();
    form.set('file', one);
    found.value = await api.upload<LogLine[]>('log/find', form).catch((wrong: unknown) => {
        trouble.value = said(wrong);
        return null;
    });
    busy.value = false;
    file.value = [];
}
</script>

<template>
    <main class="page">
        <header class="page-head"><h1>Log</h1><span class="small">every print file that was made, and what came of it; it is only added to</span></header>
        <v-file-upload aria-label="A print file" v-model="file" density="compact" title="Drop a print file here to see what it was" browse-text="or choose a file" :disabled="busy" @update:model-value="look" />
        <div role="status" class="log-found">
            <p v-if="found?.length === 0">This is no file of this shop, or it was changed since it was made.</p>
            <p v-for="one in found ?? []" :key="one.id"><template v-if="one.event !== 'file'">{{ ago(one.at) }}: {{ eventWords[one.event] }} by {{ one.house }}{{ one.said.length ? `: ${one.said.join(' ')}` : '' }}</template><template v-else><strong>{{ one.title }}</strong>, state {{ one.revision ?? 'unknown' }}, made {{ ago(one.at) }} by {{ one.who || 'this shop' }} as {{ one.file }}{{ one.house ? ` for ${one.house}, ${one.place}` : '' }}: {{ one.width }} × {{ one.height }} px at {{ one.ppi }} ppi.</template></p>
        </div>
        <p v-if="trouble || error" role="alert">{{ trouble || said(error) }} <v-btn v-if="error" size="small" @click="refetch()">Try again</v-btn></p>
        <div class="log-bar"><v-text-field v-model="wanted" type="search" label="Find by design, file, house or hash" clearable @click:clear="wanted = ''" /><v-btn :href="table" download>As a table</v-btn></div>
        <v-data-table :headers="headers" :items="log?.lines ?? []" :loading="isLoading" :items-per-page="-1" hide-default-footer disable-sort no-data-text="No file was made yet.">
            <template #loader><v-progress-linear v-if="isLoading" indeterminate absolute color="primary" height="2" aria-label="The log is being read" /></template>
            <template #[`item.at`]="{ item }">{{ ago(item.at) }}</template>
            <template #[`item.event`]="{ item }">{{ eventWords[item.event] }}<small v-for="what in item.said" :key="what" class="log-why">{{ what }}</small></template>
            <template #[`item.title`]="{ item }"><router-link v-if="item.job" :to="`/jobs/${item.job}/build`">{{ item.title }}</router-link><template v-else>{{ item.title }}</template><small v-if="item.why" class="log-why">{{ item.why }}</small></template>
            <template #[`item.file`]="{ item }">{{ item.file }}<small v-if="item.sha256" class="log-why measure">{{ item.sha256.slice(0, 12) }}</small></template>
            <template #[`item.house`]="{ item }">{{ item.house }}<small class="log-why">{{ item.place }}</small></template>
            <template #[`item.width`]="{ item }"><span v-if="item.width" class="measure">{{ item.width }} × {{ item.height }}, {{ item.ppi }} ppi</span></template>
            <template #[`item.held`]="{ item }"><span v-if="item.event === 'file'" class="measure">✕ {{ item.failed }} ! {{ item.warned }} ✓ {{ item.held }}</span></template>
        </v-data-table>
        <v-pagination v-if="log && log.pages > 1" v-model="page" :length="log.pages" :total-visible="7" />
    </main>
</template>

<style>
.log-bar { display: grid; grid-template-columns: minmax(0, 420px) max-content; gap: 14px; align-items: center; margin: 14px 0; }
.log-found { min-height: 28px; }
.log-why { display: block; color: var(--faded); }
</style>
