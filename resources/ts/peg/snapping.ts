import type { Box } from '../types';

export interface Guide {
    axis: 'x' | 'y';
    at: number;
    to: string;
}

export interface Neighbour {
    name: string;
    box: Box;
}

interface Edge {
    at: number;
    name: string;
}

/** Left, middle and right (or top, middle, bottom) of a box along one axis. */
function edges(box: Box, axis: 'x' | 'y'): [number, number, number] {
    const [start, length] = axis === 'x' ? [box.left, box.width] : [box.top, box.height];
    return [start, start + length / 2, start + length];
}

function nearest(box: Box, axis: 'x' | 'y', lines: Edge[], reach: number): { by: number; guide: Guide | null } {
    let best = { by: 0, guide: null as Guide | null, off: reach };
    for (const own of edges(box, axis)) {
        for (const line of lines) {
            const off = Math.abs(line.at - own);
            if (off < best.off) {
                best = { by: line.at - own, guide: { axis, at: line.at, to: line.name }, off };
            }
        }
    }
    return best;
}

/** The shift that aligns a box with the sheet's centre or with other layers, and the guide lines to show. */
export function snap(box: Box, sheet: { width: number; height: number }, others: Neighbour[], reach: number): { dx: number; dy: number; guides: Guide[] } {
    const lines = (axis: 'x' | 'y'): Edge[] => [
        { at: (axis === 'x' ? sheet.width : sheet.height) / 2, name: 'the middle of the sheet' },
        ...others.flatMap((other) => edges(other.box, axis).map((at) => ({ at, name: other.name }))),
    ];
    const x = nearest(box, 'x', lines('x'), reach);
    const y = nearest(box, 'y', lines('y'), reach);
    return { dx: x.by, dy: y.by, guides: [x.guide, y.guide].filter((guide) => guide !== null) };
}

/** The smallest gap to a neighbouring layer above, below, left or right of the box. */
export function gap(box: Box, others: Neighbour[]): { inches: number; side: string; name: string } | null {
    let best: { inches: number; side: string; name: string } | null = null;
    for (const { name, box: other } of others) {
        const overX = Math.min(box.left + box.width, other.left + other.width) - Math.max(box.left, other.left);
        const overY = Math.min(box.top + box.height, other.top + other.height) - Math.max(box.top, other.top);
        const rooms: [number, string, boolean][] = [
            [box.top - (other.top + other.height), 'below', overX > 0],
            [other.top - (box.top + box.height), 'above', overX > 0],
            [box.left - (other.left + other.width), 'right of', overY > 0],
            [other.left - (box.left + box.width), 'left of', overY > 0],
        ];
        for (const [inches, side, faces] of rooms) {
            if (faces && inches >= 0 && (best === null || inches < best.inches)) {
                best = { inches, side, name };
            }
        }
    }
    return best;
}
