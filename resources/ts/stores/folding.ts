import { useSessionStorage } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed } from 'vue';
import { findLayer } from '../bench/layers';
import { useSheet } from './sheet';

/** More lines than this do not lie open side by side. */
const MANY = 8;

/** Which pieces of the sheet lie folded to one short line. A long sheet begins folded; what the seller opened or folded stays so. */
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

    /** Opens the piece that is, or that holds, what is to be shown. */
    function open(id: string): void {
        const top = sheet.artwork?.layers.find((layer) => layer.id === id || (sheet.artwork && findLayer({ ...sheet.artwork, layers: [layer] }, id)));
        if (top && folded(top.id)) {
            fold(top.id, false);
        }
    }

    return { folded, fold, foldAll, open };
});
