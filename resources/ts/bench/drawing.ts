import type { Pen } from '../peg/pen';
import { ownBox } from '../peg/pen';
import { usePeg } from '../stores/peg';
import { useSelection } from '../stores/selection';
import { useSheet } from '../stores/sheet';
import type { Layer, Mask, Stroke, Wear } from '../types';

type Brush = Pen['stroke'];
type Kind = Mask['kind'];

const brush = (width: number, restores = false): Brush => ({ width, hardness: 1, restores, symmetry: 'none', count: 6 });

export const newMask = <K extends Kind>(kind: K, more: Omit<Extract<Mask, { kind: K }>, 'kind' | 'inverted' | 'joining' | 'on' | 'rings'>): Mask =>
    ({ kind, inverted: false, joining: 'within', on: true, rings: ['brush', 'picture'].includes(kind) ? 'cut' : 'around', ...more }) as unknown as Mask;

/** Adds a stroke to the brush mask at an index; adds the mask if there is none. */
export function withStroke(layer: Layer, stroke: Stroke, index: number): Layer {
    const masks = [...layer.masks];
    const held = masks[index];
    if (held?.kind === 'brush') {
        masks[index] = { ...held, strokes: [...held.strokes, stroke] };
    } else {
        masks.push(newMask('brush', { strokes: [stroke] }));
    }
    return { ...layer, masks };
}

/** Starts the brush for a mask; at index -1 the first stroke adds the mask. */
export function brushOn(layer: Layer, index: number): void {
    const [sheet, peg] = [useSheet(), usePeg()];
    const own = ownBox(layer, sheet.measures.get(layer.id));
    if (!own) {
        return;
    }
    const at = index < 0 ? layer.masks.length : index;
    peg.pen = {
        says: 'Brush', closed: false, stroke: peg.pen?.stroke ?? brush(0.3), ...own,
        done: (points, stroke) => void sheet.changeLayer(layer.id, (now) => withStroke(now, { ...stroke, points }, at)),
    };
}

/** Starts the brush for wear, which adds wear or spares ink; without a layer, for the wear of the whole sheet. */
export function brushWear(layer: Layer | null, index: number): void {
    const store = useSheet();
    const sheet = store.artwork?.sheet;
    const box = layer ? store.measures.get(layer.id)?.box : sheet && { left: 0, top: 0, width: sheet.width / sheet.ppi, height: sheet.height / sheet.ppi };
    if (!box) {
        return;
    }
    const more = (list: Wear[], stroke: Stroke): Wear[] => list.map((wear, i) => (i === index ? { ...wear, strokes: [...wear.strokes, stroke] } : wear));
    usePeg().pen = {
        says: 'Brush of wear; restoring spares ink', closed: false, stroke: brush(0.6, true), box, lies: null,
        done: (points, stroke) =>
            void (layer
                ? store.changeLayer(layer.id, (now) => ({ ...now, distress: more(now.distress, { ...stroke, points }) }))
                : store.change((artwork) => ({ ...artwork, distress: more(artwork.distress, { ...stroke, points }) }))),
    };
}

/** Starts drawing a closed outline: a mask for the layer, or a part to split off. */
export function cutByHand(layer: Layer, out: boolean): void {
    const [sheet, peg] = [useSheet(), usePeg()];
    const own = ownBox(layer, sheet.measures.get(layer.id));
    if (!own) {
        return;
    }
    peg.pen = {
        says: out ? 'Draw round the part to take out' : 'Draw round what is to be seen', closed: true, stroke: brush(0.03), ...own,
        done: (points) => {
            peg.pen = null;
            void sheet.operate(out ? { op: 'take-out', id: layer.id, points } : { op: 'add-mask', id: layer.id, mask: newMask('freehand', { points, feather: 0 }) });
        },
    };
}

/** Starts drawing ink by hand: the first stroke creates a drawing, later ones are added to it. */
export function drawInk(id: string): void {
    const [sheet, peg, selection] = [useSheet(), usePeg(), useSelection()];
    const page = sheet.artwork?.sheet;
    if (!page) {
        return;
    }
    const box = { left: 0, top: 0, width: page.width / page.ppi, height: page.height / page.ppi };
    let on = id;
    peg.pen = {
        says: 'Ink', closed: false, stroke: brush(0.15), tip: 'round', box, lies: null,
        done: (points, { width, symmetry, count }) => {
            const tip = peg.pen?.tip ?? 'round';
            const stroke = { points: points.map(([x, y]) => [x * box.width, y * box.height]), width, tip, symmetry, count, seed: Math.floor(Math.random() * 1000) + 1 };
            void sheet.operate({ op: 'draw', id: on, stroke }).then(() => {
                on = on || (selection.chosen ?? '');
            });
        },
    };
}
