<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { VBtn, VDataTable, VTab, VTabs, VWindow, VWindowItem } from 'vuetify/components';
import { said } from '../api';
import LicenceDialog from '../rights/LicenceDialog.vue';
import { NO_ADVICE } from '../rights/ruling';
import SalesPanel from '../rights/SalesPanel.vue';
import UsageForm from '../rights/UsageForm.vue';
import WatchPanel from '../rights/WatchPanel.vue';
import { useLicences, useUsage } from '../server/rights';
import type { LicenceCard } from '../types';

const route = useRoute();
const router = useRouter();
const { data: licences, error, isLoading, refetch } = useLicences();
const { data: usage } = useUsage();
const tab = ref('licences');
const search = ref('');
const open = ref(false);
const chosen = ref<number | null>(null);
const licence = computed(() => licences.value?.find((one) => one.id === chosen.value) ?? null);
const headers = [
    { title: 'Licence', key: 'name', minWidth: '240px' }, { title: 'Who gives it', key: 'licensor' }, { title: 'Pieces', key: 'assets', align: 'end' as const },
    { title: 'Proofs', key: 'proofs', align: 'end' as const, sortRaw: (a: LicenceCard, b: LicenceCard) => a.proofs.length - b.proofs.length }, { title: 'Ends', key: 'endsOn' }, { title: 'Not known', key: 'open', align: 'end' as const, minWidth: '130px' },
];
const today = new Date().toISOString().slice(0, 10);
const soon = new Date(Date.now() + 30 * 864e5).toISOString().slice(0, 10);
const ends = (on: string | null): string => (on === null ? '' : on < today ? `${on}, ended` : on <= soon ? `${on}, soon` : on);

watch([() => route.query['open'], licences], () => {
    const wanted = Number(route.query['open']);
    if (wanted && licences.value?.some((one) => one.id === wanted)) {
        look(wanted);
        void router.replace({ query: {} });
    }
}, { immediate: true });

function look(id: number | null): void {
    chosen.value = id;
    open.value = true;
}
</script>

<template>
    <main class="page">
        <header class="page-head"><h1>Licences</h1><span class="small">what this shop may print, how often, and how it shows that</span></header>
        <v-tabs v-model="tab"><v-tab value="licences">Licences</v-tab><v-tab value="sales">Sales</v-tab><v-tab value="watch">Watch list</v-tab><v-tab value="use">Usual use</v-tab></v-tabs>
        <v-window v-model="tab" :touch="false">
            <v-window-item value="licences">
                <div class="licences-bar">
                    <v-text-field v-model="search" type="search" label="Find a licence" clearable hide-details />
                    <v-btn variant="flat" color="primary" @click="look(null)">Record a licence</v-btn>
                    <span class="small">The whole shelf as a licence sheet: <a href="/api/licences/sheet.html" target="_blank" rel="noopener">to read</a> · <a href="/api/licences/sheet.pdf" download>PDF</a> · <a href="/api/licences/sheet.csv" download>CSV</a></span>
                </div>
                <p v-if="error" role="alert">{{ said(error) }} <v-btn size="small" @click="refetch()">Try again</v-btn></p>
                <v-data-table
                    v-else :headers="headers" :items="licences ?? []" :loading="isLoading" :search="search ?? ''" :items-per-page="25" hover no-data-text="No licence is recorded yet. What is put on the shelf brings its own, or record one here."
                >
                    <template #loader><v-progress-linear v-if="isLoading" indeterminate absolute color="primary" height="2" aria-label="The licences are being read" /></template>
                    <template #[`item.name`]="{ item }"><button type="button" class="token" @click="look(item.id)">{{ item.name }}</button><small v-if="item.spdx" class="licence-id">{{ item.spdx }}</small></template>
                    <template #[`item.licensor`]="{ item }"><span class="licence-giver" :title="item.licensor">{{ item.licensor }}</span></template>
                    <template #[`item.proofs`]="{ item }"><span :class="{ 'is-bad': item.proofs.length === 0 }">{{ item.proofs.length || 'none' }}</span></template>
                    <template #[`item.endsOn`]="{ item }"><span :class="{ 'is-bad': item.endsOn !== null && item.endsOn <= soon }">{{ ends(item.endsOn) }}</span><small v-if="item.endsOn !== null && item.endsOn <= soon && item.designs.length" class="licence-id">printed by {{ item.designs.join(', ') }}</small></template>
                    <template #[`item.open`]="{ item }">{{ item.open || '' }}</template>
                </v-data-table>
                <p class="small">{{ NO_ADVICE }}</p>
            </v-window-item>
            <v-window-item value="sales"><SalesPanel /></v-window-item>
            <v-window-item value="watch"><WatchPanel /></v-window-item>
            <v-window-item value="use">
                <p>What this shop's designs are for, as a rule. A job's brief may say otherwise.</p>
                <UsageForm v-if="usage" :usage="usage" />
            </v-window-item>
        </v-window>
        <LicenceDialog v-model="open" :licence="licence" @kept="chosen = $event.id" />
    </main>
</template>

<style>
.licences-bar { display: grid; grid-template-columns: minmax(200px, 320px) auto 1fr; gap: 14px; align-items: center; padding: 14px 0; }
.licences-bar ~ .v-table .token { text-align: left; }
.licence-giver { display: block; max-width: 340px; overflow: hidden; text-overflow: ellipsis; white-space: nowrap; }
.licence-id { display: block; color: var(--faded); }
.is-bad { color: var(--bad); font-weight: 600; }
.v-window-item > p, .v-window-item > form { margin-top: 14px; }
@media (max-width: 760px) { .licences-bar { grid-template-columns: 1fr; } }
</style>
