import { keepPreviousData, useQuery } from '@tanstack/vue-query';
import { computed, toValue, type MaybeRefOrGetter } from 'vue';
import { api } from '../api';
import type { Interview, LicenceCard, RightsReport, SalesOfJob, UsageCard, WatchedCard } from '../types';

/** Query keys to invalidate when terms, sales or usage change. */
export const JUDGED = ['licences', 'rights', 'assets', 'sales'];

export function useLicences() {
    return useQuery({ queryKey: ['licences'], queryFn: () => api.get<LicenceCard[]>('licences') });
}

/** Licences as options of a select; long copyright notices are shortened. */
export function useLicenceChoices() {
    const { data } = useLicences();
    return computed(() => (data.value ?? []).map((one) => ({ value: one.id, title: one.licensor && one.licensor.length < 60 ? `${one.name}, ${one.licensor}` : one.name })));
}

/** The interview's questions, the terms of open licences and the SPDX list. */
export function useInterview() {
    return useQuery({ queryKey: ['interview'], queryFn: () => api.get<Interview>('licences/interview'), staleTime: Infinity });
}

/** The rights report of a revision; the previous one is shown until it arrives. */
export function useRights(revision: MaybeRefOrGetter<number | undefined>) {
    return useQuery({
        queryKey: ['rights', revision],
        queryFn: () => api.get<RightsReport>(`revisions/${toValue(revision)}/rights`),
        enabled: () => toValue(revision) !== undefined,
        placeholderData: keepPreviousData,
    });
}

export function useUsage() {
    return useQuery({ queryKey: ['usage'], queryFn: () => api.get<UsageCard>('usage') });
}

export function useSales() {
    return useQuery({ queryKey: ['sales'], queryFn: () => api.get<SalesOfJob[]>('sales') });
}

export function useWatched() {
    return useQuery({ queryKey: ['watched'], queryFn: () => api.get<WatchedCard[]>('watched') });
}
