import { shallowRef, type ComputedRef, type ShallowRef } from 'vue';
import { api } from '../api';
import { usePeg } from '../stores/peg';
import { useSelection } from '../stores/selection';
import type { Box, Layer, Picked } from '../types';

/** Two presses within this many milliseconds are a double press, which does not select the layer below. */
const DOUBLE = 400;

export function inside(box: Box | null, [x, y]: [number, number]): boolean {
    return box !== null && x >= box.left && x <= box.left + box.width && y >= box.top && y <= box.top + box.height;
}

/** Selects the layer that prints under the pointer, as determined by the server; a double press edits its words. */
export function usePicking(revision: ComputedRef<number | null>, chosenBox: ComputedRef<Box | null>): {
    pick: (point: [number, number], among?: boolean, below?: boolean) => Promise<void>;
    press: (point: [number, number]) => Promise<void> | null;
    release: (point: [number, number] | null) => void;
    write: () => Promise<void>;
    writing: ShallowRef<{ layer: Layer; box: Box } | null>;
} {
    const selection = useSelection();
    /** The layer and its box at the double press, so that later responses do not close the editor. */
    const writing = shallowRef<{ layer: Layer; box: Box } | null>(null);
    let released = -DOUBLE;
    let asked = 0;
    let picking: Promise<void> | null = null;
    /** The layer that was selected at the first of two presses. */
    let kept: string | null = null;

    async function pick(point: [number, number], among = false, below = false): Promise<void> {
        if (revision.value === null) {
            return;
        }
        const mine = ++asked;
        const answer = await api.get<Picked>(`revisions/${revision.value}/pick?x=${point[0]}&y=${point[1]}`);
        if (mine !== asked) {
            return;
        }
        const index = answer.layers.indexOf(selection.chosen ?? '');
        selection.choose(answer.layers[among || !below || index < 0 ? 0 : (index + 1) % answer.layers.length] ?? null, among);
        selection.reveal();
    }

    /** Selects the layer there, unless the press is on the selected layer, which may start a drag. */
    function press(point: [number, number]): Promise<void> | null {
        const on = inside(chosenBox.value, point);
        if (performance.now() - released > DOUBLE) {
            kept = on ? selection.chosen : null;
            picking = null;
        }
        if (on) {
            return null;
        }
        return (picking = pick(point));
    }

    /** A second, slower press on a layer selects the one below it. `null`: the press was a drag. */
    function release(point: [number, number] | null): void {
        if (point && performance.now() - released > DOUBLE) {
            picking = pick(point, false, true);
        }
        released = performance.now();
    }

    async function write(): Promise<void> {
        if (kept !== null) {
            asked++;
            selection.choose(kept);
        } else {
            await picking;
        }
        const layer = selection.layer;
        writing.value = layer?.source.kind === 'text' && chosenBox.value && !usePeg().pen ? { layer, box: chosenBox.value } : null;
    }

    return { pick, press, release, write, writing };
}
