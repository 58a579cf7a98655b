import { valueOf, type EffectLine } from '../types';

export type Corner = [number, number];

export const CORNERS = ['top left', 'top right', 'bottom right', 'bottom left'];

/** How far outside the picture a corner may lie, as a fraction of its sides. */
const LEAST = -0.5;
const MOST = 1.5;

/** The corners of a straighten effect as fractions of the picture: x1, y1 to x4, y4. */
export function cornersOf(line: EffectLine): Corner[] {
    return CORNERS.map((_, i) => [Number(valueOf(line, `x${i + 1}`)), Number(valueOf(line, `y${i + 1}`))]);
}

export function toLine(corners: Corner[]): Record<string, number> {
    return Object.fromEntries(corners.flatMap(([x, y], i) => [[`x${i + 1}`, x], [`y${i + 1}`, y]]));
}

export function placed([x, y]: Corner): Corner {
    const within = (value: number): number => Math.round(Math.min(MOST, Math.max(LEAST, value)) * 1e4) / 1e4;
    return [within(x), within(y)];
}

/** Whether the corners form a convex quadrilateral in order; others cannot be straightened. */
export function inTurn(corners: Corner[]): boolean {
    return corners.every(([x, y], i) => {
        const [nextX, nextY] = corners[(i + 1) % corners.length] as Corner;
        const [thenX, thenY] = corners[(i + 2) % corners.length] as Corner;
        return (nextX - x) * (thenY - nextY) - (nextY - y) * (thenX - nextX) > 1e-4;
    });
}
