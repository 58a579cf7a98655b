<script setup lang="ts">
import { computed, reactive, ref } from 'vue';
import { VBtn, VCheckbox, VFileInput, VForm, VNumberInput, VSelect, VTextarea } from 'vuetify/components';
import { api } from '../api';
import { useFaults } from '../server/faults';
import { useChange } from '../server/queries';
import { SERIES } from '../server/series';
import type { RowsRead, SeriesCard } from '../types';

/** Adds rows: typed, pasted, from a table or spreadsheet, built in, or combined. */
const props = defineProps<{ job: number; series: SeriesCard }>();
const table = ref('');
const instead = ref(false);
const file = ref<File | File[] | null>(null);
const unread = ref('');
const columns = reactive<Record<string, string | null>>({});
const came = ref<RowsRead | null>(null);
const asks = ref(false);
const { mutate: read, isPending: reading, error: refused } = useChange(() => api.post<RowsRead>(`jobs/${props.job}/series/rows`, { table: table.value, instead: instead.value, columns: Object.fromEntries(Object.entries(columns).filter(([, heading]) => heading)) }), ...SERIES);
const made = reactive({ slot: props.series.slots[0]?.name ?? '', list: 'typed', values: '', from: 1, to: 12, cross: false });
const lists = [{ value: 'typed', title: 'values that I type' }, { value: 'years', title: 'years' }, { value: 'numbers', title: 'numbers' }, { value: 'grades', title: 'school grades' }, { value: 'relations', title: 'relations' }, { value: 'months', title: 'months' }];
const { mutate: make, isPending: making, error: unmade } = useChange(() => api.post<RowsRead>(`jobs/${props.job}/series/made`, { slot: made.slot, cross: made.cross, ...(made.list === 'typed' ? { values: made.values } : { list: made.list, from: made.from, to: made.to }) }), ...SERIES);
const trouble = useFaults(() => refused.value ?? unmade.value);
const names = computed(() => props.series.slots.map((slot) => slot.name));

async function takeFile(): Promise<void> {
    const one = [file.value].flat()[0];
    unread.value = '';
    if (!one) {
        return;
    }
    try {
        if (/\.xlsx$/i.test(one.name)) {
            const { readSheet } = await import('read-excel-file/browser');
            const rows = await readSheet(one);
            const cell = (value: unknown): string => (value instanceof Date ? value.toISOString().slice(0, 10) : value === null || value === undefined ? '' : String(value as string | number | boolean));
            table.value = rows.map((row) => row.map((value) => `"${cell(value).replaceAll('"', '""')}"`).join(',')).join('\r\n');
        } else {
            table.value = await one.text();
        }
    } catch {
        unread.value = `${one.name} is no table that can be read. Keep it as CSV or XLSX, its headings in the first row.`;
    }
    file.value = null;
}

function take(): void {
    read(undefined, { onSuccess: (done) => {
        came.value = done;
        asks.value = done.taken === 0 && done.headings.length > 0;
        if (done.taken > 0) {
            table.value = '';
        }
    } });
}
</script>

<template>
    <div class="rows-forms">
        <v-form class="rows-form" @submit.prevent="take">
            <v-textarea v-model="table" :label="`A list, its first row the headings: ${names.join(', ')}`" rows="5" variant="outlined" density="compact" hide-details />
            <div class="rows-bar">
                <v-file-input v-model="file" label="From a file: CSV or XLSX" accept=".csv,.tsv,.txt,.xlsx,text/csv" prepend-icon="" density="compact" variant="outlined" hide-details @update:model-value="takeFile" />
                <v-checkbox v-model="instead" label="in place of the rows that are there" />
                <v-btn type="submit" :loading="reading" :disabled="!table.trim()">Take these rows</v-btn>
            </div>
            <div v-if="asks" class="rows-bar"><v-select v-for="slot in names" :key="slot" :model-value="columns[slot] ?? null" @update:model-value="columns[slot] = $event" :label="`Column for ${slot}`" :items="came?.headings ?? []" clearable /></div>
        </v-form>
        <v-form class="rows-form" @submit.prevent="make(undefined)">
            <div class="rows-bar">
                <v-select v-model="made.slot" label="Fill" :items="names" /><v-select v-model="made.list" label="with" :items="lists" />
                <template v-if="made.list === 'years' || made.list === 'numbers'"><v-number-input v-model="made.from" label="from" control-variant="hidden" /><v-number-input v-model="made.to" label="to" control-variant="hidden" /></template>
                <v-text-field v-if="made.list === 'typed'" v-model="made.values" class="rows-values" label="Values, with commas between" />
            </div>
            <div class="rows-bar"><v-checkbox v-model="made.cross" label="each with every row that is there" /><v-btn type="submit" :loading="making">{{ made.cross ? 'Cross them' : 'Add these rows' }}</v-btn></div>
        </v-form>
        <p v-if="unread || trouble.other" role="alert">{{ unread || trouble.other }}</p>
        <div v-if="came" role="status"><p>{{ came.taken }} {{ came.taken === 1 ? 'row' : 'rows' }} taken.</p><ul class="rows-problems"><li v-for="problem in came.problems" :key="problem">{{ problem }}</li></ul></div>
    </div>
</template>

<style>
.rows-forms { display: grid; grid-template-columns: 1.3fr 1fr; gap: 14px; align-items: start; }
.rows-form { display: grid; gap: 10px; border: 1px solid var(--hair); background: var(--card); padding: 10px; }
.rows-bar { display: flex; flex-wrap: wrap; gap: 10px; align-items: center; }
.rows-bar > .v-input { flex: 1 1 180px; }
.rows-bar > .rows-values { flex-basis: 100%; }
.rows-forms > p, .rows-forms > div { grid-column: 1 / -1; }
.rows-problems { color: var(--bad); }
@media (max-width: 900px) { .rows-forms { grid-template-columns: 1fr; } }
</style>
