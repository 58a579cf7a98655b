import type { Artwork, EffectLine, Layer, Source } from './generated/api';

/** Types of the API, generated from the server's schema (docs/api.schema.json). */
export type * from './generated/api';

export type Sheet = Artwork['sheet'];
export type Knockout = Extract<Layer['role'], { kind: 'knockout' }>;
export type Words = Extract<Source, { kind: 'text' }>;

/** The value of a parameter. */
export type Value = number | string | boolean | string[];

export function valueOf(line: EffectLine, parameter: string): Value | undefined {
    return (line as unknown as Record<string, Value>)[parameter];
}

/** The effect with some values changed. */
export function withValues(line: EffectLine, values: Record<string, Value>): EffectLine {
    return { ...line, ...values } as EffectLine;
}
