import type { Artwork, EffectKind, EffectLine, Layer, Placement, Repeat, Wear } from '../types';

/** Changes of build sheets, each answering a new one: the store saves what comes back. */

export function everyLayer(layers: Layer[]): Layer[] {
    return layers.flatMap((layer) => [layer, ...(layer.source.kind === 'group' ? everyLayer(layer.source.layers) : [])]);
}

export function findLayer(artwork: Artwork, id: string | null): Layer | undefined {
    return everyLayer(artwork.layers).find((layer) => layer.id === id);
}

/** Puts what `change` answers in the place of one layer, at any depth; an empty list takes it out. */
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

/** Takes a layer out, and out of every shield that named it. */
export function removeLayer(artwork: Artwork, id: string): Artwork {
    const layer = findLayer(artwork, id);
    const gone = new Set(everyLayer(layer ? [layer] : []).map((one) => one.id));
    const spare = (wear: Wear): Wear => ({ ...wear, shielded: wear.shielded.filter((shield) => !gone.has(shield)) });
    const walk = (layers: Layer[]): Layer[] =>
        layers.map((layer) => ({
            ...layer,
            distress: layer.distress.map(spare),
            source: layer.source.kind === 'group' ? { ...layer.source, layers: walk(layer.source.layers) } : layer.source,
        }));
    const without = replaceLayer(artwork, id, () => []);
    return { ...without, layers: walk(without.layers), distress: without.distress.map(spare) };
}

/** Moves a top line to another place in print order. */
export function moveLayer(artwork: Artwork, id: string, to: number): Artwork {
    const layers = [...artwork.layers];
    const from = layers.findIndex((layer) => layer.id === id);
    const [moved] = from < 0 ? [] : layers.splice(from, 1);
    if (moved) {
        layers.splice(Math.max(0, Math.min(layers.length, to)), 0, moved);
    }
    return { ...artwork, layers };
}

/** Maps every placement of a piece; a group has none of its own. */
export function placed(layer: Layer, change: (placement: Placement) => Placement): Layer {
    if (layer.source.kind === 'group') {
        return { ...layer, source: { ...layer.source, layers: layer.source.layers.map((child) => placed(child, change)) } };
    }
    return layer.placement ? { ...layer, placement: change(layer.placement) } : layer;
}

const round = (inches: number): number => Math.round(inches * 10000) / 10000;

export function moved(layer: Layer, dx: number, dy: number): Layer {
    const there = placed(layer, (p) => ({ ...p, x: round(p.x + dx), y: round(p.y + dy) }));
    return there.repeat ? { ...there, repeat: { ...there.repeat, x: round(there.repeat.x + dx), y: round(there.repeat.y + dy) } } : there;
}

export function sized(layer: Layer, by: number, x: number, y: number): Layer {
    return placed(layer, (p) => ({
        ...p,
        x: round(x + (p.x - x) * by),
        y: round(y + (p.y - y) * by),
        width: p.width === null ? null : round(Math.max(0.05, p.width * by)),
        height: p.height === null ? null : round(Math.max(0.05, p.height * by)),
    }));
}

export function turned(layer: Layer, degrees: number, x: number, y: number): Layer {
    const angle = (degrees * Math.PI) / 180;
    return placed(layer, (p) => ({
        ...p,
        x: round(x + (p.x - x) * Math.cos(angle) - (p.y - y) * Math.sin(angle)),
        y: round(y + (p.x - x) * Math.sin(angle) + (p.y - y) * Math.cos(angle)),
        turn: Math.round(((((p.turn + degrees + 180) % 360) + 360) % 360 - 180) * 100) / 100,
    }));
}

export function freshId(artwork: Artwork): string {
    const taken = new Set(everyLayer(artwork.layers).map((layer) => layer.id));
    for (let n = taken.size + 1; ; n++) {
        if (!taken.has(`line-${n}`)) {
            return `line-${n}`;
        }
    }
}

/** A copy with ids of its own, also of what a group holds. */
export function copied(artwork: Artwork, layer: Layer): Layer {
    const work = { ...artwork, layers: [...artwork.layers] };
    const copy = (one: Layer): Layer => {
        const id = freshId(work);
        const made: Layer = { ...one, id };
        work.layers = [...work.layers, { ...made, source: { kind: 'group', layers: [] } }];
        return one.source.kind === 'group' ? { ...made, source: { ...one.source, layers: one.source.layers.map(copy) } } : made;
    };
    return copy(layer);
}

export function newLayer(artwork: Artwork, source: Layer['source'], width: number): Layer {
    const { sheet } = artwork;
    return {
        id: freshId(artwork),
        name: '',
        on: true,
        role: { kind: 'ink' },
        source,
        placement: { x: round(sheet.width / sheet.ppi / 2), y: round(sheet.height / sheet.ppi / 3), width: round(width), height: null, turn: 0, flip: 'none' },
        opacity: 1,
        blend: 'normal',
        effects: [],
        masks: [],
        distress: [],
    };
}

export function newEffect(kind: EffectKind): EffectLine {
    return { kind: kind.kind, on: true, ...Object.fromEntries(kind.parameters.map((parameter) => [parameter.name, parameter.default])) };
}

export function newWear(texture: string): Wear {
    return { texture, amount: 0.14, scale: 1, seed: Math.floor(Math.random() * 1000) + 1, inverted: false, shielded: [], on: true };
}

/** A repeat about the middle of the sheet; a stack leads downwards. */
export function newRepeat(artwork: Artwork, kind: string): Repeat {
    const { sheet } = artwork;
    return {
        kind, x: round(sheet.width / sheet.ppi / 2), y: round(sheet.height / sheet.ppi / 2), count: kind === 'stack' ? 4 : 8, facing: 'turned',
        stepX: 0, stepY: 1, size: 1, changed: 0, as: 'same', colour: '#f3ead7', on: true,
    };
}

/** What a line is called where there is room for a few words. */
export function called(layer: Layer): string {
    if (layer.name) {
        return layer.name;
    }
    switch (layer.source.kind) {
        case 'text':
            return layer.source.text.replace(/\s+/g, ' ').slice(0, 32);
        case 'art':
            return layer.source.file.replace(/\.[^.]+$/, '');
        case 'shape':
            return layer.source.shape;
        case 'grid':
            return `${layer.source.columns} × ${layer.source.rows} frames`;
        default:
            return 'Group';
    }
}
