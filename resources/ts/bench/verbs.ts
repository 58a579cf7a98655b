import type { Artwork, Asset, Catalogue, Layer } from '../types';
import { phrase } from '../words/choices';
import { effectWords, textureWords } from '../words/lines';
import type { useBench } from '../stores/bench';
import { brushOn, cutByHand, newMask } from './drawing';
import { called, copied, newEffect, newLayer, newRepeat, newWear, replaceLayer } from './layers';

/** One thing that "Add a line" offers. `apply` answers the new sheet and the line to choose. */
export interface Verb {
    say: string;
    hint: string;
    also: string[];
    apply: (artwork: Artwork) => { artwork: Artwork; chosen: string | null };
    /** What begins on the peg or at the shelf instead. */
    begin?: (bench: Bench) => void;
}

type Bench = ReturnType<typeof useBench>;

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
    const raster = chosen.source.kind === 'art' && assets.some((asset) => chosen.source.kind === 'art' && asset.file === chosen.source.file && asset.type !== 'svg');
    const fits = (stage: string): boolean => ['ink', 'geometry', 'look'].includes(stage) || (stage === 'retouch' ? raster : chosen.source.kind === 'text');
    const effects = catalogue.effects
        .filter((effect) => fits(effect.stage))
        .map((effect) => change(effectWords[effect.kind]?.verb ?? effect.kind, 'on the chosen piece', effectWords[effect.kind]?.also ?? [], (layer) => {
            const line = newEffect(effect);
            const at = placeFor(catalogue, layer, effect.kind);
            return { ...layer, effects: [...layer.effects.slice(0, at), line, ...layer.effects.slice(at)] };
        }));
    const draws = (say: string, hint: string, also: string[], begin: (bench: Bench) => void): Verb => ({ say, hint, also, begin, apply: (sheet) => ({ artwork: sheet, chosen: chosen.id }) });
    return [
        ...effects,
        chosen.role.kind === 'ink'
            ? change('Knock out of all below', 'the chosen piece becomes a gap', ['knockout', 'cut', 'hole'], (layer) => ({ ...layer, role: { kind: 'knockout', gap: 0.08, join: 'round' } }))
            : change('Print it as ink again', 'the gap becomes a piece', ['ink'], (layer) => ({ ...layer, role: { kind: 'ink' } })),
        change('Cut a gap around it', 'it knocks out what lies below and sits in its own gap', ['knockout', 'set in the gap', 'halo'], (layer) => ({ ...layer, role: { kind: 'knockout', gap: 0.08, join: 'round', from: [], sets: true } })),
        change('Set it in the gap, hollow', 'a gap with a hollow copy in it', ['knockout', 'outline only', 'empty'], (layer) => ({
            ...layer, role: { kind: 'knockout', gap: 0.08, join: 'round', from: [], sets: true }, effects: [...layer.effects, { kind: 'hollow', on: true, width: 0.06, colour: '#f3ead7' }],
        })),
        change('Mask to an ellipse', 'show only a part of the chosen piece', ['mask', 'clip', 'oval', 'rectangle', 'feather', 'soft edge'], (layer) => ({
            ...layer, masks: [...layer.masks, newMask('ellipse', { x: 0.5, y: 0.5, width: 1, height: 1, feather: 0, count: 5 })],
        })),
        draws('Brush parts away', 'erase and restore by hand', ['erase', 'brush', 'mask', 'paint', 'restore'], (bench) => brushOn(bench, chosen, -1)),
        draws('Cut it by hand', 'show only what you draw round', ['mask', 'lasso', 'freehand', 'clip'], (bench) => cutByHand(bench, chosen, false)),
        draws('Take a part out', 'what you draw round becomes a piece of its own', ['lasso', 'freehand', 'cut out', 'extract'], (bench) => cutByHand(bench, chosen, true)),
        ...otherPieces(artwork, chosen).map((other) => change(`Clip it to ${called(other)}`, 'show it only where that has ink', ['clip', 'mask', 'inside letters'], (layer) => ({ ...layer, masks: [...layer.masks, newMask('clip', { layer: other.id })] }))),
        ...(firstRaster(assets) ? [change('Mask by the light of a picture', 'show it as far as a picture is light', ['mask', 'luminance', 'texture'], (layer) => ({ ...layer, masks: [...layer.masks, newMask('picture', { file: firstRaster(assets) ?? '' })] }))] : []),
        ...(raster ? [draws('Trace it to a drawing', 'few colours as outlines that can be ringed and scaled', ['vector', 'potrace', 'svg', 'outline'], (bench) => void trace(bench, assets, chosen))] : []),
        ...catalogue.textures.map((texture) => change(`Wear this piece with ${textureWords[texture] ?? phrase(texture)}`, 'takes ink away', ['distress', 'worn', 'vintage', 'grunge'], (layer) => ({
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

const otherPieces = (artwork: Artwork, chosen: Layer): Layer[] => artwork.layers.filter((layer) => layer.id !== chosen.id).slice(0, 12);
const firstRaster = (assets: Asset[]): string | undefined => assets.find((asset) => asset.kind === 'art' && asset.type !== 'svg')?.file;

/** The drawing goes on the shelf under the picture's licence, and takes its place on the sheet. */
async function trace(bench: Bench, assets: Asset[], chosen: Layer): Promise<void> {
    const asset = chosen.source.kind === 'art' ? assets.find((one) => chosen.source.kind === 'art' && one.file === chosen.source.file) : undefined;
    if (asset) {
        await bench.trace(asset.id, chosen.id);
    }
}

/** What a seller may type for each repeat. */
const repeatVerbs: Record<string, [string, string[]]> = {
    'mirror-across': ['Mirror it across', ['mirror', 'symmetry', 'flip', 'half']],
    'mirror-down': ['Mirror it down', ['mirror', 'symmetry', 'flip', 'reflection']],
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
    const order = ['retouch', 'type', 'letters', 'geometry', 'ink', 'look'];
    const rank = (of: string): number => order.indexOf(of);
    if (!['ink', 'look'].includes(stage(kind))) {
        const first = stage(kind) === 'retouch' ? 'type' : 'ink';
        const firstInk = layer.effects.findIndex((line) => rank(stage(line.kind)) >= order.indexOf(first));
        return firstInk < 0 ? layer.effects.length : firstInk;
    }
    const late = (of: string): boolean => stage(of) === 'look' || (RINGS.includes(kind) && (OVERLAYS.includes(of) || of === 'only'));
    const overlay = stage(kind) === 'ink' ? layer.effects.findIndex((line) => late(line.kind)) : -1;
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
        say: `Wear the whole sheet with ${textureWords[texture] ?? phrase(texture)}`, hint: 'takes ink away', also: ['distress', 'worn', 'vintage', 'grunge'],
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
