import type { Artwork, Layer } from '../types';
import { everyLayer } from './layers';

/** The colours that stand on a sheet's lines, each once, in the order in which they come; named ones are the job's own. */
export function coloursOf(artwork: Artwork): string[] {
    const found = everyLayer(artwork.layers)
        .flatMap((layer) => layer.effects.flatMap((effect) => [effect['colour'], effect['colours']].flat()))
        .filter((colour): colour is string => typeof colour === 'string' && colour.startsWith('#'));
    return [...new Set(found)];
}

/** Every colour on an effect's line, changed. */
function recoloured(layers: Layer[], change: (colour: string) => string): Layer[] {
    return layers.map((layer) => ({
        ...layer,
        effects: layer.effects.map((effect) => ({
            ...effect,
            ...(typeof effect['colour'] === 'string' ? { colour: change(effect['colour']) } : {}),
            ...(Array.isArray(effect['colours']) ? { colours: effect['colours'].map(change) } : {}),
        })),
        source: layer.source.kind === 'group' ? { ...layer.source, layers: recoloured(layer.source.layers, change) } : layer.source,
    }));
}

/** Gives a named colour another name, on every line that calls it too. */
export function renameSwatch(artwork: Artwork, from: string, to: string): Artwork {
    const layers = recoloured(artwork.layers, (colour) => (colour === `@${from}` ? `@${to}` : colour));
    return { ...artwork, layers, swatches: artwork.swatches.map((swatch) => (swatch.name === from ? { ...swatch, name: to } : swatch)) };
}

/** Takes a named colour away; the lines that called it keep the colour itself. */
export function removeSwatch(artwork: Artwork, name: string): Artwork {
    const own = artwork.swatches.find((swatch) => swatch.name === name)?.colour ?? '#000000';
    const layers = recoloured(artwork.layers, (colour) => (colour === `@${name}` ? own : colour));
    return { ...artwork, layers, swatches: artwork.swatches.filter((swatch) => swatch.name !== name) };
}

/** Makes a colour of the sheet one of the job's own: every line that has it calls it by name from now on. */
export function nameColour(artwork: Artwork, own: string, name: string): Artwork {
    const layers = recoloured(artwork.layers, (colour) => (colour.toLowerCase() === own.toLowerCase() ? `@${name}` : colour));
    return { ...artwork, layers, swatches: [...artwork.swatches, { name, colour: own }] };
}

export function freshName(artwork: Artwork, stem = 'Colour'): string {
    const taken = new Set(artwork.swatches.map((swatch) => swatch.name));
    for (let n = artwork.swatches.length + 1; ; n++) {
        if (!taken.has(`${stem} ${n}`)) {
            return `${stem} ${n}`;
        }
    }
}
