import type { Artwork, EffectLine, Layer, Source } from './generated/api';

/** What goes over the wire is described by the server (docs/api.schema.json); these types are made from it. */
export type * from './generated/api';

export type Sheet = Artwork['sheet'];
export type Knockout = Extract<Layer['role'], { kind: 'knockout' }>;
export type Words = Extract<Source, { kind: 'text' }>;

/** The value of one parameter, whatever its line is of. */
export type Value = number | string | boolean | string[];

export function valueOf(line: EffectLine, parameter: string): Value | undefined {
    return (line as unknown as Record<string, Value>)[parameter];
}

/** The same line with other values. */
export function withValues(line: EffectLine, values: Record<string, Value>): EffectLine {
    return { ...line, ...values } as EffectLine;
}
