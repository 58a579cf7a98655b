import { useSessionStorage } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed } from 'vue';
import { findLayer } from '../bench/layers';
import { useSheet } from './sheet';

/** Sheets with more layers than this start folded. */
const MANY = 8;

/** Which layers are folded. A long sheet starts folded; layers that the seller unfolded or folded stay that way. */
export const useFolding = defineStore('folding', () => {
    const sheet = useSheet();
    const kept = useSessionStorage<Record<string, boolean>>('folded', {});
    const key = (id: string): string => `${sheet.job?.id ?? 0} ${id}`;
    const usual = computed(() => (sheet.artwork?.layers.length ?? 0) > MANY);

    const folded = (id: string): boolean => kept.value[key(id)] ?? usual.value;

    function fold(id: string, to: boolean): void {
        kept.value = { ...kept.value, [key(id)]: to };
    }

    function foldAll(to: boolean): void {
        kept.value = { ...kept.value, ...Object.fromEntries((sheet.artwork?.layers ?? []).map((layer) => [key(layer.id), to])) };
    }

    /** Unfolds a layer, or the group that contains it. */
    function open(id: string): void {
        const top = sheet.artwork?.layers.find((layer) => layer.id === id || (sheet.artwork && findLayer({ ...sheet.artwork, layers: [layer] }, id)));
        if (top && folded(top.id)) {
            fold(top.id, false);
        }
    }

    return { folded, fold, foldAll, open };
});
