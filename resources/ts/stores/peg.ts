import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import type { Pen } from '../peg/pen';
import { useSheet } from './sheet';

/** The overlay: none, ink removed by wear and knockouts, a mask, or the press simulation. */
export type Overlay = 'none' | 'taken' | 'mask' | 'press';

/** The index of the plain background among the cloths. */
export const GROUND = -1;

/** State of the garment view: the cloth, the pen, the colour picker. */
export const usePeg = defineStore('peg', () => {
    const sheet = useSheet();
    const cloth = ref(0);
    /** What is being drawn. */
    const pen = shallowRef<Pen | null>(null);
    const overlay = ref<Overlay>('none');
    /** The revision whose proof is shown, or failed to load: other pictures of it are requested afterwards. */
    const hung = ref<number | null>(null);
    /** Whether the proof of the current revision is shown. */
    const hangs = computed(() => hung.value !== null && hung.value === sheet.job?.revision);
    watch(() => sheet.job?.id, () => (hung.value = null));
    const colourWanted = shallowRef<((colour: string | null) => void) | null>(null);

    /** Lightness of the plain background in percent; it is no cloth of the job. */
    const tone = ref(50);
    const garment = computed(() => {
        const grey = Math.round((tone.value * 255) / 100).toString(16).padStart(2, '0');
        return cloth.value === GROUND ? { name: 'plain ground', colour: `#${grey.repeat(3)}` } : sheet.artwork?.garments[Math.min(cloth.value, sheet.artwork.garments.length - 1)];
    });

    /** Lets the seller pick a point and returns the colour there. */
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
