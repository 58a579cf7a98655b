import { computed, ref, type ComputedRef, type Ref } from 'vue';
import { usePeg } from '../stores/peg';
import { thinned, toShares } from './pen';

type Point = [number, number];

/** Tolerance in inches for simplifying a drawn line. */
const FINE = 0.004;
const STEP = 0.1;

/** Draws with the pointer, or with a crosshair moved by the arrow keys. */
export function usePen(sheet: ComputedRef<{ width: number; height: number }>): {
    line: Ref<Point[]>;
    cross: Ref<Point | null>;
    d: ComputedRef<string>;
    press: (at: Point) => void;
    move: (at: Point) => void;
    release: () => void;
    key: (event: KeyboardEvent) => boolean;
} {
    const peg = usePeg();
    const line = ref<Point[]>([]);
    const cross = ref<Point | null>(null);
    let drawing = false;

    const d = computed(() => {
        const shown = cross.value && line.value.length && !drawing ? [...line.value, cross.value] : line.value;
        return shown.length ? `M${shown.map((p) => p.join(' ')).join('L')}${peg.pen?.closed && shown.length > 2 ? 'Z' : shown.length === 1 ? 'h0.001' : ''}` : '';
    });

    function finish(): void {
        const { pen } = peg;
        const points = thinned(line.value, FINE);
        line.value = [];
        drawing = false;
        if (pen && points.length >= (pen.closed ? 3 : 1)) {
            const round = (p: Point): Point => [Math.round(p[0] * 1e5) / 1e5, Math.round(p[1] * 1e5) / 1e5];
            pen.done(points.slice(0, 1900).map((p) => round(toShares(p, pen.box, pen.lies))), pen.stroke);
        }
    }

    function press(at: Point): void {
        drawing = true;
        cross.value = null;
        line.value = [at];
    }

    function move(at: Point): void {
        if (drawing) {
            line.value = [...line.value, at];
        }
    }

    function release(): void {
        if (drawing) {
            finish();
        }
    }

    /** Arrow keys move the crosshair, the space bar sets a point, Enter ends the line, Escape cancels the pen. */
    function key(event: KeyboardEvent): boolean {
        if (!peg.pen) {
            return false;
        }
        const step = event.shiftKey ? STEP * 5 : STEP;
        const ways: Record<string, Point> = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] };
        const way = ways[event.key];
        const at: Point = cross.value ?? [sheet.value.width / 2, sheet.value.height / 2];
        if (way) {
            cross.value = [at[0] + way[0], at[1] + way[1]];
        } else if (event.key === ' ') {
            cross.value = at;
            line.value = [...line.value, at];
        } else if (event.key === 'Enter') {
            finish();
        } else if (event.key === 'Escape') {
            line.value = [];
            cross.value = null;
            peg.pen = null;
        } else {
            return false;
        }
        event.preventDefault();
        return true;
    }

    return { line, cross, d, press, move, release, key };
}
