import { useQuery } from '@tanstack/vue-query';
import { toValue, type MaybeRefOrGetter } from 'vue';
import { api } from '../api';
import type { HouseService, LogPage, ParcelCard } from '../types';

const MOVING: ParcelCard['state'][] = ['waiting', 'sending', 'accepted'];

/** Files of a job sent to houses; polled while their state can still change. */
export function useParcels(job: MaybeRefOrGetter<number>) {
    return useQuery({
        queryKey: ['parcels', job],
        queryFn: () => api.get<ParcelCard[]>(`jobs/${toValue(job)}/parcels`),
        staleTime: 0,
        refetchInterval: (query) => (query.state.data?.some((one) => MOVING.includes(one.state)) ? 2000 : false),
    });
}

export function useServices() {
    return useQuery({ queryKey: ['house-services'], queryFn: () => api.get<HouseService[]>('house-services'), staleTime: Infinity });
}

/** Log entries about a job's listings. */
export function useJobLog(job: MaybeRefOrGetter<number>) {
    return useQuery({ queryKey: ['log', 'job', job], queryFn: () => api.get<LogPage>(`log?job=${toValue(job)}`), staleTime: 0 });
}

export const parcelWords: Record<ParcelCard['state'], string> = {
    waiting: 'waits for its turn', sending: 'on its way', accepted: 'accepted, not printed yet', refused: 'refused', printed: 'printed', failed: 'not sent',
};

export const eventWords: Record<string, string> = {
    file: 'file made', accepted: 'accepted', refused: 'refused', printed: 'printed', listed: 'listed', priced: 'price set', 'taken-down': 'taken down',
};
