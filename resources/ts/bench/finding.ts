import type { Layer } from '../types';
import { effectWords, textureWords } from '../words/lines';
import { phrase } from '../words/choices';
import { counted } from '../words/counted';
import { everyLayer } from './layers';

/** The number of layers in a group, in words. */
export function piecesIn(layers: readonly Layer[]): string {
    return counted(layers.length, 'piece');
}

/** A short summary of a folded layer. */
export function summary(layer: Layer): string {
    const lines = layer.effects.length + layer.masks.length + layer.distress.length + (layer.repeat ? 1 : 0);
    const inside = layer.source.kind === 'group' ? piecesIn(layer.source.layers) : '';
    const done = lines === 0 ? '' : counted(lines, 'line');
    return [layer.role.kind === 'knockout' ? 'knocks out' : '', inside, done].filter((part) => part !== '').join(', ') || 'as it is';
}

/** All searchable words of a layer: text, effects, fonts, files and colours, including those of child layers. */
export function wordsOf(layer: Layer, called: (id: string) => string): string {
    return everyLayer([layer]).flatMap((one) => [
        called(one.id), one.name ?? '', one.source.kind, ...Object.values(one.source).filter((value): value is string => typeof value === 'string'),
        ...one.effects.flatMap((line) => [effectWords[line.kind]?.verb ?? phrase(line.kind), line.kind, ...(effectWords[line.kind]?.also ?? []), ...Object.values(line).flat().filter((value): value is string => typeof value === 'string')]),
        ...one.masks.map((mask) => `mask ${mask.kind}`), ...one.distress.map((wear) => `wear ${textureWords[wear.texture] ?? wear.texture}`),
        one.repeat ? `repeat ${phrase(one.repeat.kind)}` : '', one.role.kind,
    ]).join(' ').toLowerCase();
}

export function isFound(layer: Layer, wanted: string, called: (id: string) => string): boolean {
    const all = wordsOf(layer, called);
    return wanted.toLowerCase().split(/\s+/).every((word) => all.includes(word));
}
