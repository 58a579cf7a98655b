import type { Box, InkStroke, Layer, Measure, Placement, Stroke } from '../types';

export type Tip = NonNullable<InkStroke['tip']>;

type Point = [number, number];

/** The pen: what is being drawn, and where it goes. */
export interface Pen {
    says: string;
    /** Whether it draws a closed outline or brush strokes. */
    closed: boolean;
    stroke: Omit<Stroke, 'points'>;
    /** The kind of ink stroke, if it draws ink. */
    tip?: Tip;
    /** The box to which points are relative, on the sheet or, with a placement, from the place that it tells. */
    box: Box;
    lies: Placement | null;
    done: (points: Point[], stroke: Omit<Stroke, 'points'>) => void;
}

/** Converts a point on the sheet to fractions of a layer's own box, undoing rotation and mirroring. */
export function toShares([x, y]: Point, box: Box, lies: Placement | null): Point {
    if (!lies) {
        return [(x - box.left) / box.width, (y - box.top) / box.height];
    }
    const angle = (-lies.turn * Math.PI) / 180;
    const [dx, dy] = [x - lies.x, y - lies.y];
    const across = (dx * Math.cos(angle) - dy * Math.sin(angle)) * (lies.flip === 'across' || lies.flip === 'both' ? -1 : 1);
    const down = (dx * Math.sin(angle) + dy * Math.cos(angle)) * (lies.flip === 'down' || lies.flip === 'both' ? -1 : 1);
    return [(across - box.left) / box.width, (down - box.top) / box.height];
}

/** A layer's own box before rotation, from the place that its placement tells; for groups and repeats the bounding box on the sheet. */
export function ownBox(layer: Layer, measure: Measure | undefined): { box: Box; lies: Placement | null } | null {
    if (layer.placement && !layer.repeat?.on && measure?.own) {
        return { box: measure.own, lies: layer.placement };
    }
    return measure?.box ? { box: measure.box, lies: null } : null;
}

/** The middle that a layer stands about: of its ink, or the centre of the circle that its words stand around. */
export function middleOf(layer: Layer, measure: Measure | undefined, box: Box): Point {
    const own = measure?.own;
    const isOff = own && layer.placement && !layer.repeat?.on && Math.hypot(own.left + own.width / 2, own.top + own.height / 2) > 1e-6;
    return isOff && layer.placement ? [layer.placement.x, layer.placement.y] : [box.left + box.width / 2, box.top + box.height / 2];
}

/** Simplifies a polyline: removes points within a distance of the line between those kept (Douglas and Peucker, 1973). */
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
