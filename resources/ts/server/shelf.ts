import { keepPreviousData, useQuery } from '@tanstack/vue-query';
import { toValue, type MaybeRefOrGetter } from 'vue';
import { api } from '../api';
import type { AssetDetail, ShelfPage } from '../types';

/** Query keys to invalidate when the shelf changes. */
export const SHELVED = ['shelf', 'assets', 'asset', 'licences', 'rights'];

/** The search of the shelf; empty values do not filter. */
export interface Wanted {
    q: string;
    kind: string;
    genre: string;
    tag: string;
    licence: number | null;
    used: string;
    collection: number | null;
    for: number | null;
    favourite: boolean;
    bin: boolean;
    page: number;
}

export const NOTHING: Wanted = { q: '', kind: '', genre: '', tag: '', licence: null, used: '', collection: null, for: null, favourite: false, bin: false, page: 1 };

export function queryOf(wanted: Wanted): string {
    const asked = Object.entries(wanted).filter(([, value]) => value !== '' && value !== null && value !== false);
    return new URLSearchParams(asked.map(([name, value]) => [name, value === true ? '1' : String(value)])).toString();
}

export function useShelf(wanted: MaybeRefOrGetter<Wanted>) {
    return useQuery({ queryKey: ['shelf', () => queryOf(toValue(wanted))], queryFn: () => api.get<ShelfPage>(`shelf?${queryOf(toValue(wanted))}`), placeholderData: keepPreviousData });
}

export function useAsset(id: MaybeRefOrGetter<number | null>) {
    return useQuery({ queryKey: ['asset', id], queryFn: () => api.get<AssetDetail>(`assets/${toValue(id)}`), enabled: () => toValue(id) !== null });
}
