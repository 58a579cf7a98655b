import { useQuery } from '@tanstack/vue-query';
import { toValue, type MaybeRefOrGetter } from 'vue';
import { api } from '../api';
import type { BatchCard, SeriesCard, SeriesPlace, SeriesRowCard } from '../types';

/** Query keys to invalidate when a pattern, its rows or their verdicts change. */
export const SERIES = ['series', 'series-rows'];

/** The series of a job; null if it has none. */
export function useSeries(job: MaybeRefOrGetter<number>) {
    return useQuery({
        queryKey: ['series', job],
        queryFn: async () => (await api.get<SeriesCard[]>(`jobs/${toValue(job)}/series`))[0] ?? null,
    });
}

export function usePlaces(job: MaybeRefOrGetter<number>, revision: MaybeRefOrGetter<number>) {
    return useQuery({ queryKey: ['series-places', job, revision], queryFn: () => api.get<SeriesPlace[]>(`jobs/${toValue(job)}/series/places`), staleTime: Infinity });
}

/** The rows of a series, polled while some of them are unchecked. */
export function useSeriesRows(job: MaybeRefOrGetter<number>, revision: MaybeRefOrGetter<number>, series: MaybeRefOrGetter<number | undefined>) {
    return useQuery({
        queryKey: ['series-rows', job, revision],
        queryFn: () => api.get<SeriesRowCard[]>(`jobs/${toValue(job)}/series/rows`),
        enabled: () => toValue(series) !== undefined,
        staleTime: 0,
        placeholderData: (before) => before,
        refetchInterval: (query) => (query.state.data?.some((row) => row.verdict === '') ? 2500 : false),
    });
}

/** The batches of a job, newest first. */
export function useBatches(job: MaybeRefOrGetter<number | undefined>) {
    return useQuery({
        queryKey: ['batches', job],
        queryFn: () => api.get<BatchCard[]>(`jobs/${toValue(job)}/sends`),
        enabled: () => toValue(job) !== undefined,
        staleTime: 0,
        refetchInterval: (query) => (query.state.data?.some((one) => one.live > 0) ? 1500 : false),
    });
}

export const keepWords = [{ value: 'width', title: 'keep their width' }, { value: 'letters', title: 'keep the height of their letters' }, { value: 'box', title: 'fit into the same box' }];
