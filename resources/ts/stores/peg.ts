import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import type { Pen } from '../peg/pen';
import { useSheet } from './sheet';

/** What is shown over the art: nothing, what wear and knockouts take, a mask, or the print as a press would leave it on the cloth. */
export type Overlay = 'none' | 'taken' | 'mask' | 'press';

/** The place of the plain ground among the cloths. */
export const GROUND = -1;

/** What hangs on the peg and what is done there: the cloth, the pen, a colour that is looked for. */
export const usePeg = defineStore('peg', () => {
    const sheet = useSheet();
    const cloth = ref(0);
    /** What is being drawn. */
    const pen = shallowRef<Pen | null>(null);
    const overlay = ref<Overlay>('none');
    /** The revision of which the art hangs there, or could not be had: what else is drawn of it waits for that. */
    const hung = ref<number | null>(null);
    /** Whether the art of the sheet as it is now hangs there. */
    const hangs = computed(() => hung.value !== null && hung.value === sheet.job?.revision);
    watch(() => sheet.job?.id, () => (hung.value = null));
    const colourWanted = shallowRef<((colour: string | null) => void) | null>(null);

    /** How light the plain ground is, in percent; it is no cloth of the job. */
    const tone = ref(50);
    const garment = computed(() => {
        const grey = Math.round((tone.value * 255) / 100).toString(16).padStart(2, '0');
        return cloth.value === GROUND ? { name: 'plain ground', colour: `#${grey.repeat(3)}` } : sheet.artwork?.garments[Math.min(cloth.value, sheet.artwork.garments.length - 1)];
    });

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

    return { cloth, tone, garment, pen, overlay, hung, hangs, colourWanted, pickColour };
});
