import type { Box, InkStroke, Layer, Measure, Placement, Stroke } from '../types';

export type Tip = NonNullable<InkStroke['tip']>;

type Point = [number, number];

/** What is being drawn on the peg, and what becomes of it. */
export interface Pen {
    says: string;
    /** A closed cut, or strokes of a brush. */
    closed: boolean;
    stroke: Omit<Stroke, 'points'>;
    /** What it leaves as ink, when it draws. */
    tip?: Tip;
    /** The box that points are shares of, and how it lies on the sheet. */
    box: Box;
    lies: Placement | null;
    done: (points: Point[], stroke: Omit<Stroke, 'points'>) => void;
}

/** From a place on the sheet to shares of a piece's own box, its turn and flip undone. */
export function toShares([x, y]: Point, box: Box, lies: Placement | null): Point {
    if (!lies) {
        return [(x - box.left) / box.width, (y - box.top) / box.height];
    }
    const angle = (-lies.turn * Math.PI) / 180;
    const [dx, dy] = [x - lies.x, y - lies.y];
    const across = (dx * Math.cos(angle) - dy * Math.sin(angle)) * (lies.flip === 'across' || lies.flip === 'both' ? -1 : 1);
    const down = (dx * Math.sin(angle) + dy * Math.cos(angle)) * (lies.flip === 'down' || lies.flip === 'both' ? -1 : 1);
    return [0.5 + across / box.width, 0.5 + down / box.height];
}

/** A piece's own box before it is turned: of a group or of copies the box about all of it on the sheet. */
export function ownBox(layer: Layer, measure: Measure | undefined): { box: Box; lies: Placement | null } | null {
    if (layer.placement && !layer.repeat?.on && measure?.width && measure.height) {
        return { box: { left: 0, top: 0, width: measure.width, height: measure.height }, lies: layer.placement };
    }
    return measure?.box ? { box: measure.box, lies: null } : null;
}

/** Leaves out points that lie within a distance of the line between those kept (Douglas and Peucker, 1973). */
export function thinned(points: Point[], within: number): Point[] {
    const [first, last] = [points[0], points[points.length - 1]];
    if (!first || !last || points.length < 3) {
        return points;
    }
    let [far, at] = [0, 0];
    const length = Math.hypot(last[0] - first[0], last[1] - first[1]);
    points.forEach((p, i) => {
        const off = length < 1e-9 ? Math.hypot(p[0] - first[0], p[1] - first[1]) : Math.abs((p[0] - first[0]) * (last[1] - first[1]) - (p[1] - first[1]) * (last[0] - first[0])) / length;
        if (off > far) {
            [far, at] = [off, i];
        }
    });
    return far <= within ? [first, last] : [...thinned(points.slice(0, at + 1), within).slice(0, -1), ...thinned(points.slice(at), within)];
}
