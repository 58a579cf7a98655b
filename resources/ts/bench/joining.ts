import type { Operation } from '../types';

/** Merges two moves of the same layers into one. */
export function joined(before: Operation[], more: Operation[]): Operation[] {
    const last = before[before.length - 1];
    const [next, ...rest] = more;
    if (last?.op === 'move' && next?.op === 'move' && String(last.ids) === String(next.ids)) {
        return [...before.slice(0, -1), { ...last, dx: last.dx + next.dx, dy: last.dy + next.dy }, ...rest];
    }
    return [...before, ...more];
}
