import type { Artwork, Value } from '../types';
import { everyLayer } from './layers';

const isColour = (value: Value | undefined): value is string => typeof value === 'string' && /^#[0-9a-f]{6}$/i.test(value);

/** The distinct colours used by a sheet's effects, in order of appearance; named ones belong to the job. */
export function coloursOf(artwork: Artwork): string[] {
    const found = everyLayer(artwork.layers).flatMap((layer) => layer.effects.flatMap((effect) => Object.values(effect as unknown as Record<string, Value>).flat()));
    return [...new Set(found.filter(isColour))];
}

export function freshName(artwork: Artwork, stem = 'Colour'): string {
    const taken = new Set(artwork.swatches.map((swatch) => swatch.name));
    for (let n = artwork.swatches.length + 1; ; n++) {
        if (!taken.has(`${stem} ${n}`)) {
            return `${stem} ${n}`;
        }
    }
}
