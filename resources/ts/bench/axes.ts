import type { EffectLine, FontAxis, Operation } from '../types';

/** Where a new line on an axis begins: at the end that is farther from the usual place, so that it is seen. */
export function begun(axis: FontAxis): number {
    return axis.most - axis.usual >= axis.usual - axis.least ? axis.most : axis.least;
}

/** How far a press of an arrow key goes along an axis. */
export function stepOf({ least, most }: FontAxis): number {
    return [10, 1, 0.1].find((step) => most - least >= 20 * step) ?? 0.01;
}

/** The names of axes by their tags; of a tag that no font has, the tag. */
export function namesOf(axes: FontAxis[], tag: string): Record<string, string> {
    return { ...(axes.some((axis) => axis.tag === tag) ? {} : { [tag]: tag }), ...Object.fromEntries(axes.map((axis) => [axis.tag, axis.name])) };
}

/** Adds a line that goes along an axis. */
export function vary(id: string, axis: FontAxis): Operation {
    return { op: 'add-effect', id, line: { kind: 'variation', on: true, axis: axis.tag, value: begun(axis), line: 0 } as EffectLine, first: false, standsOut: false };
}
