/** A point of an outline, and the handle of the curve that leads to it when the way there is not straight. */
type Point = [number, number] | [number, number, number, number];

/**
 * Garments as this bench draws them, in inches: the middle line is x = 0, the neck point y = 0. Only the right half
 * is given; the left mirrors it.
 */
export interface Cut {
    /** Body outline from the neck to the middle of the hem. */
    half: Point[];
    /** Depth of the neck at the middle, front and back. */
    neck: { front: number; back: number; half: number };
    /** Where the print area begins below the neck point, and the body about it. */
    top: number;
    body: { width: number; height: number };
    length: number;
    /** Seams, drawn as thin lines, mirrored too. */
    seams: { front: string[]; back: string[] };
    /** Room above the neck point for a hood or handles. */
    above: number;
}

const tee: Cut = {
    half: [[3.3, 0], [8.9, 1.7, 6.2, 0.6], [14.3, 8.4, 12.2, 4], [11.2, 10.9, 12.9, 9.9], [10, 9.1, 10.5, 10.3], [10.4, 28.3, 9.7, 18], [0, 29, 5.4, 29]],
    neck: { front: 3.6, back: 1.1, half: 3.3 },
    top: 4.2,
    body: { width: 20.4, height: 24 },
    length: 29,
    seams: { front: ['M8.9 1.7C8 4 8.4 7 10 9.1', 'M0 28.2Q5.4 28.2 10.3 27.5', 'M13.7 9L10.8 10.2', 'M3.9 0.2Q0 8.7 0 4.35'], back: ['M8.9 1.7C8 4 8.4 7 10 9.1', 'M0 28.2Q5.4 28.2 10.3 27.5', 'M13.7 9L10.8 10.2', 'M0 2.6Q4.6 2.6 8.5 3.2'] },
    above: 1.5,
};

const sweatshirt: Cut = {
    half: [[3.4, 0], [9.1, 1.8, 6.4, 0.6], [16.3, 23, 13.4, 7], [13.3, 24.3, 14.9, 24], [10.5, 11.4, 12.4, 17], [10.9, 25.6, 10, 18], [10.1, 28.3, 10.8, 27.4], [0, 28.7, 5, 28.7]],
    neck: { front: 2.8, back: 1, half: 3.4 },
    top: 4.2,
    body: { width: 21, height: 22.5 },
    length: 28.7,
    seams: { front: ['M9.1 1.8C8.2 5 8.6 9 10.5 11.4', 'M0 25.9Q5.4 25.9 10.9 25.6', 'M15.7 21.2L12.8 22.4'], back: ['M9.1 1.8C8.2 5 8.6 9 10.5 11.4', 'M0 25.9Q5.4 25.9 10.9 25.6', 'M15.7 21.2L12.8 22.4'] },
    above: 1.5,
};

export const cuts: Record<string, Cut> = {
    tee,
    sweatshirt,
    hoodie: {
        ...sweatshirt,
        top: 5,
        seams: {
            front: [...sweatshirt.seams.front, 'M0 17.6L5.2 17.6Q6.4 20 7.6 22.6L7.6 25.5', 'M1.1 2.6C1.3 5.4 1.2 6.4 1.5 7.6'],
            back: sweatshirt.seams.back,
        },
        above: 6.6,
    },
    tote: {
        half: [[8.6, 0], [8.9, 18.6], [0, 18.9, 4, 18.9]],
        neck: { front: 0, back: 0, half: 8.6 },
        top: 2.4,
        body: { width: 17.2, height: 15.6 },
        length: 18.9,
        seams: { front: ['M0 1.1L8.6 1.1'], back: ['M0 1.1L8.6 1.1'] },
        above: 7,
    },
};

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

/** A hood behind and about the neck, or a tote's handles; nothing for the rest. */
export function extra(product: string): string | null {
    if (product === 'hoodie') {
        return 'M-5.6 1.9C-7 -3.4 -4.2 -6.2 0 -6.2C4.2 -6.2 7 -3.4 5.6 1.9C3.6 4.4 -3.6 4.4 -5.6 1.9Z';
    }
    return product === 'tote' ? 'M-4.6 0.4C-4.6 -8.4 4.6 -8.4 4.6 0.4L3.5 0.4C3.5 -6.6 -3.5 -6.6 -3.5 0.4Z' : null;
}
