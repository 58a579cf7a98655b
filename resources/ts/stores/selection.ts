import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import { findLayer } from '../bench/layers';
import type { Layer } from '../types';
import { usePeg } from './peg';
import { useSheet } from './sheet';

/** The selection: one layer, and possibly others. */
export const useSelection = defineStore('selection', () => {
    const sheet = useSheet();
    const chosen = ref<string | null>(null);
    const also = ref<string[]>([]);

    const layer = computed<Layer | undefined>(() => (sheet.artwork ? findLayer(sheet.artwork, chosen.value) : undefined));
    const ids = computed(() => (chosen.value ? [chosen.value, ...also.value.filter((id) => id !== chosen.value && sheet.artwork && findLayer(sheet.artwork, id))] : []));

    /** Selects one layer, or toggles it in the selection. */
    function choose(id: string | null, among = false): void {
        if (id !== chosen.value) {
            // A pen that draws ink selects its drawing and stays active.
            usePeg().pen = usePeg().pen?.tip ? usePeg().pen : null;
        }
        if (!among || !id || !chosen.value) {
            also.value = [];
            chosen.value = id;
        } else if (id === chosen.value) {
            chosen.value = also.value[0] ?? null;
            also.value = also.value.slice(1);
        } else {
            also.value = also.value.includes(id) ? also.value.filter((one) => one !== id) : [...also.value, id];
        }
    }

    /** Incremented when the selection should be scrolled into view. */
    const revealed = ref(0);
    const reveal = (): number => ++revealed.value;

    /** Selects several layers. */
    function chooseAll(wanted: string[]): void {
        choose(wanted[0] ?? null);
        also.value = wanted.slice(1);
    }

    /** After a change: selects layers that it made, and deselects removed ones. */
    function settle(made: string[]): void {
        if (made[0]) {
            choose(made[0]);
            also.value = made.slice(1);
        } else if (!layer.value) {
            choose(null);
        }
    }

    return { chosen, also, ids, layer, revealed, reveal, choose, chooseAll, settle };
});
