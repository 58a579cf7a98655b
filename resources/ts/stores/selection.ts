import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import { findLayer } from '../bench/layers';
import type { Layer } from '../types';
import { usePeg } from './peg';
import { useSheet } from './sheet';

/** Which lines are chosen: one, and others besides it. */
export const useSelection = defineStore('selection', () => {
    const sheet = useSheet();
    const chosen = ref<string | null>(null);
    const also = ref<string[]>([]);

    const layer = computed<Layer | undefined>(() => (sheet.artwork ? findLayer(sheet.artwork, chosen.value) : undefined));
    const ids = computed(() => (chosen.value ? [chosen.value, ...also.value.filter((id) => id !== chosen.value && sheet.artwork && findLayer(sheet.artwork, id))] : []));

    /** Chooses one line, or adds it to those that are chosen and takes it out again. */
    function choose(id: string | null, among = false): void {
        if (id !== chosen.value) {
            // A pen that draws ink chooses what it has drawn, and goes on.
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

    /** Counts up whenever what is chosen should be brought into sight on the sheet. */
    const revealed = ref(0);
    const reveal = (): number => ++revealed.value;

    /** Chooses all of some lines. */
    function chooseAll(wanted: string[]): void {
        choose(wanted[0] ?? null);
        also.value = wanted.slice(1);
    }

    /** After a change: the layers that it made are chosen, and what is gone is chosen no longer. */
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
