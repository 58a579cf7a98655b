import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query';
import { toValue, type MaybeRefOrGetter } from 'vue';
import { api } from '../api';
import type { ListingCard } from '../types';

/** The editable part of a listing, with the seller's limits. */
export type ListingWords = Omit<ListingCard, 'credits' | 'faults' | 'watched'>;

export function useListing(job: MaybeRefOrGetter<number>) {
    return useQuery({ queryKey: ['listing', job], queryFn: () => api.get<ListingCard>(`jobs/${toValue(job)}/listing`) });
}

export function useListingSave(job: MaybeRefOrGetter<number>) {
    const client = useQueryClient();
    return useMutation({
        mutationFn: (words: ListingWords) => api.put<ListingCard>(`jobs/${toValue(job)}/listing`, words),
        onSuccess: (kept) => client.setQueryData(['listing', toValue(job)], kept),
    });
}
