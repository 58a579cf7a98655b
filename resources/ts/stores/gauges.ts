import { refDebounced } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import { said } from '../api';
import { useReport } from '../server/queries';
import { useSheet } from './sheet';

/** Debounce in milliseconds, since several values are often changed in a row. */
const REST = 250;

/** The preflight report of the sheet, and the open finding. */
export const useGauges = defineStore('gauges', () => {
    const sheet = useSheet();
    const revision = computed(() => sheet.job?.revision);
    const { data: report, error, isFetching, refetch } = useReport(refDebounced(revision, REST));
    const open = ref<string | null>(null);

    const findings = computed(() => report.value?.findings ?? []);
    const measuring = computed(() => isFetching.value || (revision.value !== undefined && report.value?.revision !== revision.value && !error.value));
    const trouble = computed(() => (error.value ? said(error.value) : ''));
    const where = computed(() => findings.value.find((finding) => finding.key === open.value)?.where ?? []);

    return { report, findings, open, where, measuring, trouble, again: () => void refetch() };
});
