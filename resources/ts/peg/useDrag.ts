import { computed, ref, type ComputedRef, type Ref } from 'vue';
import { useSheet } from '../stores/sheet';
import type { Box, Layer } from '../types';
import { middleOf } from './pen';
import { gap, snap, type Guide, type Neighbour } from './snapping';

export type Hold = 'move' | 'size' | 'turn';

interface Drag {
    hold: Hold;
    id: string;
    box: Box;
    /** The point that it is sized and turned about. */
    about: [number, number];
    from: [number, number];
    dx: number;
    dy: number;
    by: number;
    degrees: number;
    guides: Guide[];
}

const SNAP_PIXELS = 6;

/** Rounds to the precision of a pointer. */
const fine = (value: number): number => Math.round(value * 1e4) / 1e4;

/**
 * Moves, scales and rotates the selected layer by pointer. The layer's picture follows as a guess; on release
 * the core carries the operation out.
 */
export function useDrag(
    inchesPerPixel: () => number,
    others: ComputedRef<Neighbour[]>,
    sheet: ComputedRef<{ width: number; height: number }>,
): {
    drag: Ref<Drag | null>;
    transform: ComputedRef<string>;
    says: ComputedRef<string>;
    begin: (hold: Hold, layer: Layer, box: Box, at: [number, number]) => void;
    follow: (at: [number, number], free: boolean, steps: boolean) => void;
    drop: () => boolean;
    cancel: () => void;
} {
    const sheetStore = useSheet();
    const drag = ref<Drag | null>(null);

    const transform = computed(() => {
        const d = drag.value;
        if (!d) {
            return '';
        }
        const [x, y] = d.about;
        return `translate(${d.dx} ${d.dy}) rotate(${d.degrees} ${x} ${y}) translate(${x} ${y}) scale(${d.by}) translate(${-x} ${-y})`;
    });

    const says = computed(() => {
        const d = drag.value;
        if (!d) {
            return '';
        }
        if (d.hold === 'size') {
            return `${(d.box.width * d.by).toFixed(2)} × ${(d.box.height * d.by).toFixed(2)} in`;
        }
        if (d.hold === 'turn') {
            return `turned by ${d.degrees.toFixed(1)}°`;
        }
        const box = { ...d.box, left: d.box.left + d.dx, top: d.box.top + d.dy };
        const room = gap(box, others.value);
        const lines = d.guides.map((guide) => `in line with ${guide.to}`);
        return [`${d.dx >= 0 ? '+' : '−'}${Math.abs(d.dx).toFixed(2)}, ${d.dy >= 0 ? '+' : '−'}${Math.abs(d.dy).toFixed(2)} in`, ...new Set(lines), ...(room ? [`${room.inches.toFixed(2)} in ${room.side} ${room.name}`] : [])].join(' · ');
    });

    function begin(hold: Hold, layer: Layer, box: Box, at: [number, number]): void {
        drag.value = { hold, id: layer.id, box, about: middleOf(layer, sheetStore.measures.get(layer.id), box), from: at, dx: 0, dy: 0, by: 1, degrees: 0, guides: [] };
    }

    function follow(at: [number, number], free: boolean, steps: boolean): void {
        const d = drag.value;
        if (!d) {
            return;
        }
        const [x, y] = d.about;
        if (d.hold === 'move') {
            const [dx, dy] = [at[0] - d.from[0], at[1] - d.from[1]];
            const box = { ...d.box, left: d.box.left + dx, top: d.box.top + dy };
            const near = free ? { dx: 0, dy: 0, guides: [] } : snap(box, sheet.value, others.value, SNAP_PIXELS * inchesPerPixel());
            drag.value = { ...d, dx: dx + near.dx, dy: dy + near.dy, guides: near.guides };
        } else if (d.hold === 'size') {
            const by = Math.hypot(at[0] - x, at[1] - y) / Math.max(0.01, Math.hypot(d.from[0] - x, d.from[1] - y));
            drag.value = { ...d, by: Math.max(0.02, by) };
        } else {
            const angle = (point: [number, number]): number => (Math.atan2(point[1] - y, point[0] - x) * 180) / Math.PI;
            const turn = angle(at) - angle(d.from);
            drag.value = { ...d, degrees: steps ? Math.round(turn / 15) * 15 : turn };
        }
    }

    /** Returns whether anything was changed. */
    function drop(): boolean {
        const d = drag.value;
        if (!d || (Math.abs(d.dx) < 1e-4 && Math.abs(d.dy) < 1e-4 && Math.abs(d.by - 1) < 1e-4 && Math.abs(d.degrees) < 1e-2)) {
            drag.value = null;
            return false;
        }
        const ids = [d.id];
        void sheetStore.operate(
            d.hold === 'move' ? { op: 'move', ids, dx: fine(d.dx), dy: fine(d.dy) } : d.hold === 'size' ? { op: 'scale', ids, by: d.by } : { op: 'turn', ids, degrees: fine(d.degrees) },
        );
        return true;
    }

    return { drag, transform, says, begin, follow, drop, cancel: () => (drag.value = null) };
}
