import drawn from '../../../core/src/Listing/garments.json' with { type: 'json' };

/** A point of an outline, with the control point of the curve that leads to it if it is not a straight line. */
type Point = [number, number] | [number, number, number, number];

/**
 * Garment outlines in inches: the centre line is x = 0, the neck point y = 0. Only the right half
 * is given; the left half is its mirror image.
 */
export interface Cut {
    /** Body outline from the neck to the centre of the hem. */
    half: Point[];
    /** Depth of the neckline at the centre, front and back. */
    neck: { front: number; back: number; half: number };
    /** Distance from the neck point to the print area, and the body around it. */
    top: number;
    body: { width: number; height: number };
    length: number;
    /** Seams, drawn as thin lines and mirrored. */
    seams: { front: string[]; back: string[] };
    /** Space above the neck point for a hood or handles. */
    above: number;
    /** Path of a hood or handles, if any. */
    extra: string | null;
}

/** Shared with the listing pictures. */
export const cuts = drawn as unknown as Record<string, Cut>;

function to(x: number, y: number, handle: [number, number] | null): string {
    return handle ? `Q${handle[0]} ${handle[1]} ${x} ${y}` : `L${x} ${y}`;
}

/** The whole outline, both halves. */
export function outline(cut: Cut, side: string): string {
    const depth = side === 'back' ? cut.neck.back : cut.neck.front;
    const points = cut.half.map((p) => ({ x: p[0], y: p[1], handle: p.length === 4 ? ([p[2], p[3]] as [number, number]) : null }));
    const right = points.slice(1).map((p) => to(p.x, p.y, p.handle));
    const left = points
        .slice(1)
        .map((p, i) => ({ from: points[i] as (typeof points)[number], handle: p.handle }))
        .reverse()
        .map(({ from, handle }) => to(-from.x, from.y, handle ? [-handle[0], handle[1]] : null));
    return `M${cut.neck.half} 0${right.join('')}${left.join('')}Q0 ${depth * 2} ${cut.neck.half} 0Z`;
}

/** A hood, or a tote's handles; null for other products. */
export function extra(product: string): string | null {
    return cuts[product]?.extra ?? null;
}
