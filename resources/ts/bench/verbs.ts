import type { Artwork, Asset, Catalogue, Layer } from '../types';
import { effectWords, textureWords } from '../words/lines';
import { copied, newEffect, newLayer, newWear, replaceLayer } from './layers';

/** One thing that "Add a line" offers. `apply` answers the new sheet and the line to choose. */
export interface Verb {
    say: string;
    hint: string;
    also: string[];
    apply: (artwork: Artwork) => { artwork: Artwork; chosen: string | null };
}

/** What can be added, given what is chosen. */
export function verbs(catalogue: Catalogue, assets: Asset[], chosen: Layer | undefined): Verb[] {
    return [...newPieces(assets), ...(chosen ? onPiece(catalogue, chosen) : []), ...onSheet(catalogue)];
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
        piece('Draw a shape', 'rectangle, ellipse, star, ring, line', ['rectangle', 'ellipse', 'circle', 'star', 'line', 'ring'], { kind: 'shape', shape: 'ellipse', count: 5, share: 0.5 }, 0.4),
    ];
}

function onPiece(catalogue: Catalogue, chosen: Layer): Verb[] {
    const change = (say: string, hint: string, also: string[], by: (layer: Layer) => Layer): Verb => ({
        say, hint, also,
        apply: (artwork) => ({ artwork: replaceLayer(artwork, chosen.id, (layer) => [by(layer)]), chosen: chosen.id }),
    });
    const isVector = chosen.source.kind === 'text' || chosen.source.kind === 'shape';
    const effects = catalogue.effects
        .filter((effect) => effect.stage === 'ink' || (effect.stage === 'geometry' ? isVector : chosen.source.kind === 'text'))
        .map((effect) => change(effectWords[effect.kind]?.verb ?? effect.kind, 'on the chosen piece', effectWords[effect.kind]?.also ?? [], (layer) => {
            const line = newEffect(effect);
            // Bending comes before ink, as it reads: a ring that is bent with its letters no longer keeps its width.
            const at = effect.stage === 'ink' ? layer.effects.length : layer.effects.filter((other) => catalogue.effects.find((e) => e.kind === other.kind)?.stage !== 'ink').length;
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
        change('Print it weaker', 'opacity of the chosen piece', ['opacity', 'strength', 'fade', 'transparent'], (layer) => ({ ...layer, opacity: 0.8 })),
        change('Blend it with what lies below', 'multiply, screen, overlay …', ['blend', 'multiply', 'screen', 'overlay'], (layer) => ({ ...layer, blend: 'multiply' })),
        ...(chosen.placement ? [change('Stretch it', 'a height of its own', ['tall', 'height', 'stretch'], (layer) => (layer.placement ? { ...layer, placement: { ...layer.placement, height: layer.placement.height ?? layer.placement.width } } : layer))] : []),
        {
            say: 'Keep it together with the line before', hint: 'a group: moved and sized as one', also: ['group'],
            apply: (artwork) => group(artwork, chosen),
        },
    ];
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
