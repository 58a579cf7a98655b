import type { Pen } from '../peg/pen';
import { ownBox } from '../peg/pen';
import type { useBench } from '../stores/bench';
import type { Artwork, Layer, Mask, Stroke, Wear } from '../types';
import { copied, replaceLayer } from './layers';

type Bench = ReturnType<typeof useBench>;

const brush = (width: number, restores = false): Pen['stroke'] => ({ width, hardness: 1, restores, symmetry: 'none', count: 6 });

export const newMask = (kind: string, more: Partial<Mask> = {}): Mask => ({ kind, inverted: false, joining: 'within', on: true, ...more });

/** Strokes go on the piece's last brush line; without one a line is added. */
export function withStroke(layer: Layer, stroke: Stroke, index: number): Layer {
    const masks = [...layer.masks];
    const held = masks[index];
    if (held?.kind === 'brush') {
        masks[index] = { ...held, strokes: [...(held.strokes ?? []), stroke] };
    } else {
        masks.push(newMask('brush', { strokes: [stroke] }));
    }
    return { ...layer, masks };
}

/** The brush of a mask's line; at -1 its first stroke adds the line. */
export function brushOn(bench: Bench, layer: Layer, index: number): void {
    const own = ownBox(layer, bench.measures.get(layer.id));
    if (!own) {
        return;
    }
    const at = index < 0 ? layer.masks.length : index;
    bench.pen = {
        says: 'Brush', closed: false, stroke: bench.pen?.stroke ?? brush(0.3), ...own,
        done: (points, stroke) => void bench.changeLayer(layer.id, (now) => [withStroke(now, { ...stroke, points }, at)]),
    };
}

/** The brush of a line of wear: it wears more, or spares. Of the whole sheet when there is no layer. */
export function brushWear(bench: Bench, layer: Layer | null, index: number): void {
    const sheet = bench.artwork?.sheet;
    const box = layer ? bench.measures.get(layer.id)?.box : sheet && { left: 0, top: 0, width: sheet.width / sheet.ppi, height: sheet.height / sheet.ppi };
    if (!box) {
        return;
    }
    const more = (list: Wear[], stroke: Stroke): Wear[] => list.map((wear, i) => (i === index ? { ...wear, strokes: [...(wear.strokes ?? []), stroke] } : wear));
    bench.pen = {
        says: 'Brush of wear; restoring spares ink', closed: false, stroke: brush(0.6, true), box, lies: null,
        done: (points, stroke) =>
            void (layer
                ? bench.changeLayer(layer.id, (now) => [{ ...now, distress: more(now.distress, { ...stroke, points }) }])
                : bench.change((artwork) => ({ ...artwork, distress: more(artwork.distress, { ...stroke, points }) }))),
    };
}

/** A part of a picture taken out as a piece of its own: the part lies over what is left. */
export function takenOut(artwork: Artwork, layer: Layer, points: [number, number][]): { artwork: Artwork; part: string } {
    const part: Layer = { ...copied(artwork, layer), name: `Part of ${layer.name || layer.id}`, masks: [...layer.masks, newMask('freehand', { points, feather: 0 })] };
    const rest: Layer = { ...layer, masks: [...layer.masks, newMask('freehand', { points, feather: 0, inverted: true })] };
    return { artwork: replaceLayer(artwork, layer.id, () => [rest, part]), part: part.id };
}

/** Draws a closed line on the peg: a cut of the piece, or a part to take out of it. */
export function cutByHand(bench: Bench, layer: Layer, out: boolean): void {
    const own = ownBox(layer, bench.measures.get(layer.id));
    if (!own) {
        return;
    }
    bench.pen = {
        says: out ? 'Draw round the part to take out' : 'Draw round what is to be seen', closed: true, stroke: brush(0.03), ...own,
        done: (points) => {
            bench.pen = null;
            if (out && bench.artwork) {
                const done = takenOut(bench.artwork, layer, points);
                void bench.change(() => done.artwork);
                bench.choose(done.part);
            } else {
                void bench.changeLayer(layer.id, (now) => [{ ...now, masks: [...now.masks, newMask('freehand', { points, feather: 0 })] }]);
            }
        },
    };
}
