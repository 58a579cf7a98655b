import type { Artwork } from '../types';
import { everyLayer } from './layers';

/** The colours that stand on a sheet's lines, each once, in the order in which they come. */
export function coloursOf(artwork: Artwork): string[] {
    const found = everyLayer(artwork.layers).flatMap((layer) => layer.effects.map((effect) => effect['colour']).filter((colour) => typeof colour === 'string'));
    return [...new Set(found)];
}
