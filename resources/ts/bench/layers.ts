import type { Artwork, Layer } from '../types';

/** Reads build sheets and sets values on them. Changes of order and lengths are left to the core. */

export function everyLayer(layers: Layer[]): Layer[] {
    return layers.flatMap((layer) => [layer, ...(layer.source.kind === 'group' ? everyLayer(layer.source.layers) : [])]);
}

export function findLayer(artwork: Artwork, id: string | null): Layer | undefined {
    return everyLayer(artwork.layers).find((layer) => layer.id === id);
}

/** Replaces one layer, at any depth, by the result of `change`. */
export function replaceLayer(artwork: Artwork, id: string, change: (layer: Layer) => Layer[]): Artwork {
    const walk = (layers: Layer[]): Layer[] =>
        layers.flatMap((layer) => {
            if (layer.id === id) {
                return change(layer);
            }
            return layer.source.kind === 'group' ? [{ ...layer, source: { ...layer.source, layers: walk(layer.source.layers) } }] : [layer];
        });
    return { ...artwork, layers: walk(artwork.layers) };
}

/** The layers below a layer in its own list. */
export function below(layers: Layer[], id: string): Layer[] {
    const at = layers.findIndex((one) => one.id === id);
    if (at >= 0) {
        return layers.slice(0, at);
    }
    return layers.flatMap((one) => (one.source.kind === 'group' ? below(one.source.layers, id) : []));
}
