import { computed, ref, watch, type Ref } from 'vue';
import { proofUrl } from '../api';
import { usePicture } from './useProof';

/**
 * Pictures of the selected layer and of the sheet without it, for dragging. Requested after the sheet itself is shown,
 * so that they delay nothing.
 */
export function useLifted(revision: Ref<number | null>, ppi: Ref<number>, chosen: Ref<string | null>, hangs: Ref<boolean>): { piece: Ref<string | null>; without: Ref<string | null> } {
    const of = ref<{ revision: number; layer: string } | null>(null);
    watch([revision, chosen, hangs], () => {
        if (hangs.value || revision.value === null) {
            of.value = revision.value !== null && chosen.value !== null ? { revision: revision.value, layer: chosen.value } : null;
        }
    }, { immediate: true });
    const piece = usePicture(computed(() => (of.value ? `/api/revisions/${of.value.revision}/layers/${of.value.layer}.png?ppi=${ppi.value}` : null)));
    const without = usePicture(computed(() => (of.value ? proofUrl(of.value.revision, ppi.value, { without: of.value.layer }) : null)));
    /** The picture of the previously selected layer is kept until the new one arrives; it must not be used for this layer. */
    const own = (address: string | null, part: string): string | null => (chosen.value !== null && `${address}&`.includes(part) ? address : null);
    return { piece: computed(() => own(piece.shown.value, `/layers/${chosen.value}.png`)), without: computed(() => own(without.shown.value, `without=${chosen.value}&`)) };
}
