import type { Artwork, Asset, Catalogue, Layer } from '../types';
import { effectWords, textureWords } from '../words/lines';
import { copied, newEffect, newLayer, newRepeat, newWear, replaceLayer } from './layers';

/** One thing that "Add a line" offers. `apply` answers the new sheet and the line to choose. */
export interface Verb {
    say: string;
    hint: string;
    also: string[];
    apply: (artwork: Artwork) => { artwork: Artwork; chosen: string | null };
}

/** What can be added, given what is chosen. */
export function verbs(artwork: Artwork, catalogue: Catalogue, assets: Asset[], chosen: Layer | undefined): Verb[] {
    return [...newPieces(assets), ...(chosen ? onPiece(artwork, catalogue, assets, chosen) : []), ...onSheet(catalogue)];
}

function newPieces(assets: Asset[]): Verb[] {
    const font = assets.find((asset) => asset.kind === 'font')?.file;
    const art = assets.find((asset) => asset.kind === 'art')?.file;
    const piece = (say: string, hint: string, also: string[], source: Layer['source'], share: number): Verb => ({
        say, hint, also,
        apply: (artwork) => {
            const layer = newLayer(artwork, source, (artwork.sheet.width / artwork.sheet.ppi) * share);
            if (source.kind !== 'art') {
                layer.effects = [{ kind: 'fill', on: true, colour: '#f3ead7' }];
            }
            return { artwork: { ...artwork, layers: [...artwork.layers, layer] }, chosen: layer.id };
        },
    });
    return [
        ...(font ? [piece('Set words', 'a new piece of type', ['text', 'type', 'letters'], { kind: 'text', text: 'YOUR WORDS', font, align: 'centre', leading: 1 }, 0.6)] : []),
        ...(art ? [piece('Lay a picture', 'clip art or a photo from the shelf', ['art', 'image', 'clip'], { kind: 'art', file: art }, 0.4)] : []),
        piece('Lay out a grid of frames', 'two by two, three in a row, any; each frame its own fill', ['grid', 'squares', 'frames', 'collage', 'panels'], { kind: 'grid', columns: 2, rows: 2, gap: 0.25 }, 0.7),
        piece('Draw a shape', 'rectangle, ellipse, star, ring, line', ['rectangle', 'ellipse', 'circle', 'star', 'line', 'ring'], { kind: 'shape', shape: 'ellipse', count: 5, share: 0.5 }, 0.4),
    ];
}

function onPiece(artwork: Artwork, catalogue: Catalogue, assets: Asset[], chosen: Layer): Verb[] {
    const change = (say: string, hint: string, also: string[], by: (layer: Layer) => Layer): Verb => ({
        say, hint, also,
        apply: (artwork) => ({ artwork: replaceLayer(artwork, chosen.id, (layer) => [by(layer)]), chosen: chosen.id }),
    });
    const fits = (stage: string): boolean => ['ink', 'geometry'].includes(stage) || chosen.source.kind === 'text';
    const effects = catalogue.effects
        .filter((effect) => fits(effect.stage))
        .map((effect) => change(effectWords[effect.kind]?.verb ?? effect.kind, 'on the chosen piece', effectWords[effect.kind]?.also ?? [], (layer) => {
            const line = newEffect(effect);
            const at = placeFor(catalogue, layer, effect.kind);
            return { ...layer, effects: [...layer.effects.slice(0, at), line, ...layer.effects.slice(at)] };
        }));
    return [
        ...effects,
        chosen.role.kind === 'ink'
            ? change('Knock out of all below', 'the chosen piece becomes a gap', ['knockout', 'cut', 'hole'], (layer) => ({ ...layer, role: { kind: 'knockout', gap: 0.08, join: 'round' } }))
            : change('Print it as ink again', 'the gap becomes a piece', ['ink'], (layer) => ({ ...layer, role: { kind: 'ink' } })),
        {
            say: 'Cut a gap around it', hint: 'a knockout of the chosen piece, right below it', also: ['knockout', 'set in the gap', 'halo'],
            apply: (artwork) => {
                const hole: Layer = { ...copied(artwork, chosen), role: { kind: 'knockout', gap: 0.08, join: 'round' }, effects: chosen.effects.filter((e) => !['fill', 'outline'].includes(e.kind)) };
                return { artwork: replaceLayer(artwork, chosen.id, (layer) => [hole, layer]), chosen: chosen.id };
            },
        },
        change('Mask to an ellipse', 'show only a part of the chosen piece', ['mask', 'clip', 'oval', 'rectangle', 'feather', 'soft edge'], (layer) => ({
            ...layer, masks: [...layer.masks, { kind: 'ellipse', x: 0.5, y: 0.5, width: 1, height: 1, feather: 0, inverted: false, on: true }],
        })),
        ...catalogue.textures.map((texture) => change(`Wear this piece with ${textureWords[texture] ?? texture}`, 'takes ink away', ['distress', 'worn', 'vintage', 'grunge'], (layer) => ({
            ...layer, distress: [...layer.distress, newWear(texture)],
        }))),
        ...catalogue.repeats.kinds.map((kind) => change(repeatVerbs[kind]?.[0] ?? kind, 'the chosen piece, again and again', repeatVerbs[kind]?.[1] ?? [], (layer) => ({ ...layer, repeat: newRepeat(artwork, kind) }))),
        ...cuts(assets, chosen),
        change('Print it weaker', 'opacity of the chosen piece', ['opacity', 'strength', 'fade', 'transparent'], (layer) => ({ ...layer, opacity: 0.8 })),
        change('Blend it with what lies below', 'multiply, screen, overlay …', ['blend', 'multiply', 'screen', 'overlay'], (layer) => ({ ...layer, blend: 'multiply' })),
        ...(chosen.placement ? [change('Stretch it', 'a height of its own', ['tall', 'height', 'stretch'], (layer) => (layer.placement ? { ...layer, placement: { ...layer.placement, height: layer.placement.height ?? layer.placement.width ?? 1, width: layer.placement.width ?? layer.placement.height ?? 1 } } : layer))] : []),
        {
            say: 'Keep it together with the line before', hint: 'a group: moved and sized as one', also: ['group'],
            apply: (artwork) => group(artwork, chosen),
        },
    ];
}

/** What a seller may type for each repeat. */
const repeatVerbs: Record<string, [string, string[]]> = {
    'mirror across': ['Mirror it across', ['mirror', 'symmetry', 'flip', 'half']],
    'mirror down': ['Mirror it down', ['mirror', 'symmetry', 'flip', 'reflection']],
    quadrants: ['Repeat it in four quarters', ['quadrants', 'mirror', 'symmetry', 'kaleidoscope']],
    radial: ['Repeat it about a centre', ['radial', 'rays', 'burst', 'circle', 'mandala', 'turned']],
    stack: ['Stack copies of it', ['repeat', 'stack', 'copies', 'echo', 'retro']],
};

/** Overlays: laid over a piece last, so that rings stay whole. */
const OVERLAYS = ['gradient', 'paper', 'picture', 'hatch'];
const RINGS = ['outline', 'gap'];

/** Where a new line goes: warps before ink, rings before fills over the whole, as they read best. */
function placeFor(catalogue: Catalogue, layer: Layer, kind: string): number {
    const stage = (of: string): string => catalogue.effects.find((effect) => effect.kind === of)?.stage ?? 'ink';
    if (stage(kind) !== 'ink') {
        const firstInk = layer.effects.findIndex((line) => stage(line.kind) === 'ink');
        return firstInk < 0 ? layer.effects.length : firstInk;
    }
    const overlay = RINGS.includes(kind) ? layer.effects.findIndex((line) => OVERLAYS.includes(line.kind) || line.kind === 'only') : -1;
    return overlay < 0 ? layer.effects.length : overlay;
}

/** The other cuts of a pack's face, laid behind or over the chosen words. */
function cuts(assets: Asset[], chosen: Layer): Verb[] {
    const own = chosen.source.kind === 'text' ? assets.find((asset) => chosen.source.kind === 'text' && asset.file === chosen.source.font) : undefined;
    if (!own?.pack) {
        return [];
    }
    return assets
        .filter((asset) => asset.pack === own.pack && asset.cut !== own.cut)
        .map((asset) => ({
            say: `Lay its ${asset.cut} cut ${asset.cut === 'shadow' ? 'behind' : 'over'}`, hint: asset.title, also: ['cut', 'pack', asset.cut],
            apply: (artwork) => {
                const twin = copied(artwork, chosen);
                const cut: Layer = { ...twin, source: twin.source.kind === 'text' ? { ...twin.source, font: asset.file } : twin.source };
                return { artwork: replaceLayer(artwork, chosen.id, (layer) => (asset.cut === 'shadow' ? [cut, layer] : [layer, cut])), chosen: cut.id };
            },
        }));
}

function onSheet(catalogue: Catalogue): Verb[] {
    return catalogue.textures.map((texture) => ({
        say: `Wear the whole sheet with ${textureWords[texture] ?? texture}`, hint: 'takes ink away', also: ['distress', 'worn', 'vintage', 'grunge'],
        apply: (artwork) => ({ artwork: { ...artwork, distress: [...artwork.distress, newWear(texture)] }, chosen: null }),
    }));
}

function group(artwork: Artwork, chosen: Layer): { artwork: Artwork; chosen: string | null } {
    const at = artwork.layers.findIndex((layer) => layer.id === chosen.id);
    const before = artwork.layers[at - 1];
    if (!before) {
        return { artwork, chosen: chosen.id };
    }
    const frame = newLayer(artwork, { kind: 'group', layers: before.source.kind === 'group' ? [...before.source.layers, chosen] : [before, chosen] }, 1);
    delete frame.placement;
    return { artwork: { ...artwork, layers: [...artwork.layers.slice(0, at - 1), frame, ...artwork.layers.slice(at + 1)] }, chosen: frame.id };
}
