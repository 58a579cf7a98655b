import type { Box, Layer, Measure } from '../types';

/** The printing layers whose ink a rectangle touches. */
export function touched(by: Box, layers: Layer[], measures: Map<string, Measure>): string[] {
    return layers.filter((layer) => {
        const box = layer.on ? measures.get(layer.id)?.box : null;
        return box && box.left < by.left + by.width && by.left < box.left + box.width && box.top < by.top + by.height && by.top < box.top + box.height;
    }).map((layer) => layer.id);
}
