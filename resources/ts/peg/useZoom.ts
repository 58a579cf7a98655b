import { useEventListener } from '@vueuse/core';
import { ref, type Ref } from 'vue';
import type { Box } from '../types';

/** Least and greatest width of the view in inches. */
const LEAST = 0.4;
const MOST = 80;
const STEP = 1.25;

/** Zooms the garment view: around the pointer by wheel or pinch, around the centre by keys; panned with the space bar or the middle button held. */
export function useZoom(svg: Ref<SVGSVGElement | null>, begun: () => void) {
    const free = ref<Box | null>(null);
    const holdsSpace = ref(false);

    /** The visible part of the view, in inches on the sheet. */
    function visible(): Box | null {
        const matrix = svg.value?.getScreenCTM()?.inverse();
        const frame = svg.value?.getBoundingClientRect();
        if (!matrix || !frame || frame.width === 0) {
            return null;
        }
        const [from, to] = [new DOMPoint(frame.left, frame.top).matrixTransform(matrix), new DOMPoint(frame.right, frame.bottom).matrixTransform(matrix)];
        return { left: from.x, top: from.y, width: to.x - from.x, height: to.y - from.y };
    }

    function zoom(by: number, at?: [number, number]): void {
        const seen = visible();
        if (!seen) {
            return;
        }
        const width = Math.min(MOST, Math.max(LEAST, seen.width / by));
        const share = width / seen.width;
        const [x, y] = at ?? [seen.left + seen.width / 2, seen.top + seen.height / 2];
        free.value = { left: x - (x - seen.left) * share, top: y - (y - seen.top) * share, width, height: seen.height * share };
        begun();
    }

    function pan(dx: number, dy: number): void {
        const seen = visible();
        if (seen) {
            free.value = { ...seen, left: seen.left + dx, top: seen.top + dy };
            begun();
        }
    }

    function wheel(event: WheelEvent): void {
        const matrix = svg.value?.getScreenCTM()?.inverse();
        if (!matrix) {
            return;
        }
        const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
        // A pinch is reported as a wheel event with Ctrl, in finer steps.
        zoom(Math.exp(-event.deltaY * (event.ctrlKey ? 0.01 : 0.0018)), [point.x, point.y]);
    }

    /** Whether the key was a zoom key. */
    function key(event: KeyboardEvent): boolean {
        const by = event.key === '+' || event.key === '=' ? STEP : event.key === '-' || event.key === '−' ? 1 / STEP : 0;
        if (by === 0 || event.ctrlKey || event.metaKey) {
            return false;
        }
        event.preventDefault();
        zoom(by);
        return true;
    }

    useEventListener(window, 'keydown', (event: KeyboardEvent) => {
        if (event.key === ' ' && event.target === svg.value) {
            event.preventDefault();
            holdsSpace.value = true;
        }
    });
    useEventListener(window, 'keyup', (event: KeyboardEvent) => (holdsSpace.value = event.key === ' ' ? false : holdsSpace.value));
    useEventListener(window, 'blur', () => (holdsSpace.value = false));

    return { free, holdsSpace, zoom, pan, wheel, key };
}
