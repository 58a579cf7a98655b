import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import type { Pen } from '../peg/pen';
import { useSheet } from './sheet';

/** What hangs on the peg and what is done there: the cloth, the pen, a colour that is looked for. */
export const usePeg = defineStore('peg', () => {
    const sheet = useSheet();
    const cloth = ref(0);
    /** What is being drawn. */
    const pen = shallowRef<Pen | null>(null);
    /** What is shown over the art. */
    const overlay = ref<'none' | 'taken' | 'mask'>('none');
    const colourWanted = shallowRef<((colour: string | null) => void) | null>(null);

    const garment = computed(() => sheet.artwork?.garments[Math.min(cloth.value, sheet.artwork.garments.length - 1)]);

    /** Asks the seller for a place on the peg and answers the colour there. */
    function pickColour(): Promise<string | null> {
        colourWanted.value?.(null);
        return new Promise((resolve) => {
            colourWanted.value = (colour) => {
                colourWanted.value = null;
                resolve(colour);
            };
        });
    }

    return { cloth, garment, pen, overlay, colourWanted, pickColour };
});
