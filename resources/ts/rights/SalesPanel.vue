<script setup lang="ts">
import { reactive, ref } from 'vue';
import { VBtn, VDataTable, VFileUpload, VForm, VNumberInput, VSelect } from 'vuetify/components';
import { api, said } from '../api';
import { useFaults } from '../server/faults';
import { useChange } from '../server/queries';
import { JUDGED, useSales } from '../server/rights';
import { counted } from '../words/counted';
import type { SalesOfJob, SalesRead } from '../types';

/** Sales of each design: entered, or imported from a marketplace's reports. */
const { data: sales, isLoading, error: unread } = useSales();
const form = reactive({ job: null as number | null, units: 1, on: new Date().toISOString().slice(0, 10) });
const { mutate: enter, isPending: entering, error: refused } = useChange(() => api.post<SalesOfJob>(`jobs/${form.job}/sales`, { units: form.units, on: form.on }), ...JUDGED);
const report = ref<File | File[]>([]);
const columns = reactive({ title: '', units: '', date: '' });
const asksColumns = ref(false);
const came = ref<SalesRead | null>(null);
const { mutate: read, isPending: reading, error: wrong } = useChange((file: File) => {
    const upload = new FormData();
    upload.set('file', file);
    for (const [what, heading] of Object.entries(columns)) {
        if (asksColumns.value && heading) {
            upload.set(`columns[${what}]`, heading);
        }
    }
    return api.upload<SalesRead>('sales/report', upload);
}, ...JUDGED);
const fault = useFaults(refused, 'units', 'on');

function take(): void {
    const file = [report.value].flat()[0];
    if (file) {
        came.value = null;
        read(file, { onSuccess: (done) => { came.value = done; report.value = []; asksColumns.value = false; }, onError: (error) => (asksColumns.value ||= said(error).startsWith('Which column')) });
    }
}
</script>

<template>
    <section class="sales">
        <v-form class="sales-form" @submit.prevent="enter(undefined)">
            <v-select v-model="form.job" label="Design" :items="(sales ?? []).map((one) => ({ value: one.job, title: one.title }))" no-data-text="No designs yet" />
            <v-number-input v-model="form.units" label="Shirts; below zero came back" control-variant="hidden" :error-messages="fault.of('units')" />
            <v-text-field v-model="form.on" type="date" label="Sold on" :error-messages="fault.of('on')" />
            <v-btn type="submit" variant="flat" color="primary" :disabled="form.job === null" :loading="entering">Count them</v-btn>
        </v-form>
        <p v-if="fault.other" role="alert">{{ fault.other }}</p>
        <v-file-upload aria-label="A market's report of sales" v-model="report" density="compact" title="Drop a market's report of sales here (CSV)" browse-text="or choose a file" accept=".csv,.txt,.tsv,text/csv" :disabled="reading" @update:model-value="take" />
        <div v-if="asksColumns" class="sales-form">
            <v-text-field v-model="columns.title" label="Heading of the design's title" /><v-text-field v-model="columns.units" label="Heading of the number sold" /><v-text-field v-model="columns.date" label="Heading of the day" />
            <v-btn :loading="reading" @click="take">Read it so</v-btn>
        </div>
        <p v-if="wrong" role="alert">{{ said(wrong) }}</p>
        <div v-if="came" role="status">
            <p>{{ counted(came.taken, 'row') }} counted, {{ counted(came.units, 'shirt') }}{{ came.known ? `; ${came.known} ${came.known === 1 ? 'was' : 'were'} known already` : '' }}.</p>
            <ul v-if="came.problems.length" class="sales-problems"><li v-for="problem in came.problems" :key="problem">{{ problem }}</li></ul>
        </div>
        <p v-if="unread" role="alert">{{ said(unread) }}</p>
        <v-data-table
            v-else :loading="isLoading" :items="sales ?? []" :items-per-page="25" no-data-text="No designs yet."
            :headers="[{ title: 'Design', key: 'title' }, { title: 'Sold', key: 'units', align: 'end' }, { title: 'Last on', key: 'lastOn' }]"
        >
            <template #loader><v-progress-linear v-if="isLoading" indeterminate absolute color="primary" height="2" aria-label="The sales are being read" /></template>
        </v-data-table>
    </section>
</template>

<style>
.sales { display: grid; gap: 14px; padding-top: 14px; }
.sales-form { display: grid; grid-template-columns: 2fr 1fr 1fr auto; gap: 10px; align-items: start; }
.sales-problems { color: var(--bad); margin: 4px 0 0 18px; list-style: disc; }
@media (max-width: 760px) { .sales-form { grid-template-columns: 1fr; } }
</style>
