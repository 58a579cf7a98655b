import { useQuery } from '@tanstack/vue-query';
import { toValue, type MaybeRefOrGetter } from 'vue';
import { api } from '../api';
import type { FitCard, HouseCard } from '../types';

export function useHouses() {
    return useQuery({ queryKey: ['houses'], queryFn: () => api.get<HouseCard[]>('houses') });
}

/** A design refitted to each destination of its job. */
export function useFits(revision: MaybeRefOrGetter<number | undefined>) {
    return useQuery({ queryKey: ['fits', revision], queryFn: () => api.get<FitCard[]>(`revisions/${toValue(revision)}/fits`), enabled: () => toValue(revision) !== undefined });
}

/** Lengths that can keep their size while the rest is scaled. */
export const keepWords: Record<string, string> = { words: 'words', rings: 'rings', gaps: 'gaps' };

/** Wording of the fit modes. */
export const fitWords: Record<FitCard['mode'], string> = {
    contain: 'as large as fits', width: 'by the width', height: 'by the height', ink: 'by its ink, within the margin', inches: 'keeping its inches, in the middle', place: 'keeping its inches and place below the collar', spread: 'pieces keep their inches, spread out',
};
