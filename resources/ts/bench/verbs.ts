import { phrase } from '../words/choices';
import { effectWords, textureWords } from '../words/lines';
import { vary } from './axes';
import type { Artwork, AssetCard, Catalogue, EffectLine, FontAxis, Layer, Mask, Operation, Repeat, Source, Wear } from '../types';
import { brushOn, cutByHand, drawInk, newMask } from './drawing';

/** One option of "Add a line": operations of the core, or an action that starts on the garment view or the shelf. */
export interface Verb {
    say: string;
    hint: string;
    also: string[];
    operations?: Operation[];
    /** Operations for its preview on the selected layer, if a preview is useful. */
    seen?: Operation[];
    begin?: () => unknown;
}

interface Desk {
    artwork: Artwork;
    catalogue: Catalogue;
    assets: AssetCard[];
    called: (id: string) => string;
    /** The axes of a layer's variable fonts. */
    axes: (id: string) => FontAxis[];
    trace: (asset: number, layer: string) => void;
    /** Opens the dialog of recipes. */
    recipes: () => unknown;
    /** Opens the dialog of letters. */
    letters: (tab: 'forms' | 'characters') => unknown;
    /** Goes to the page where files are added. */
    gather: () => unknown;
    /** Focuses a token of the selected layer, by its label. */
    point: (label: string) => unknown;
}

/** The options for a selection. */
export function verbs(desk: Desk, chosen: Layer | undefined): Verb[] {
    return [...newPieces(desk), ...(chosen ? [...onPiece(desk, chosen), ...atHand(desk, chosen)] : []), { say: 'Follow a recipe', hint: 'a look that is kept under a name, on your words', also: ['recipe', 'style', 'template', 'preset', 'look', 'keep', 'save', 'idea'], begin: desk.recipes }, { say: 'Put files on the shelf', hint: 'fonts, clip art and photos of your own', also: ['upload', 'import', 'file', 'add font', 'add picture', 'photo', 'logo'], begin: desk.gather }, ...worn(desk.catalogue, '', 'Wear the whole sheet')];
}

/** Sorts matches: names that begin with the words, then names that contain them, then synonyms. */
export function found(all: Verb[], typed: string): Verb[] {
    const words = typed.toLowerCase().trim();
    if (words === '') {
        return all;
    }
    const rank = (verb: Verb): number => {
        const say = verb.say.toLowerCase();
        return say.startsWith(words) ? 0 : say.includes(` ${words}`) ? 1 : say.includes(words) ? 2 : verb.also.some((text) => text.toLowerCase().startsWith(words)) ? 3 : 4;
    };
    const parts = words.split(/\s+/);
    const of = (verb: Verb): string => [verb.say, ...verb.also].join(' ').toLowerCase();
    return all.filter((verb) => parts.every((part) => of(verb).includes(part))).sort((a, b) => rank(a) - rank(b));
}

function newPieces({ assets, catalogue }: Desk): Verb[] {
    const font = assets.find((asset) => asset.kind === 'font')?.file;
    const art = assets.find((asset) => asset.kind === 'art')?.file;
    const piece = (say: string, hint: string, also: string[], source: Source, share: number): Verb => ({ say, hint, also, operations: [{ op: 'add', source, share }] });
    return [
        ...(font ? [piece('Set words', 'a new piece of type', ['text', 'type', 'letters', 'font', 'title', 'caption'], { kind: 'text', text: catalogue.newWords, font, align: 'centre', leading: 1 }, 0.6)] : []),
        ...(art ? [piece('Lay a picture', 'clip art or a photo from the shelf', ['art', 'image', 'clip art', 'clipart', 'photo', 'logo', 'graphic', 'png', 'svg'], { kind: 'art', file: art, frame: 'ink' }, 0.4)] : []),
        piece('Lay out a grid of frames', 'two by two, three in a row, any; each frame its own fill', ['grid', 'squares', 'frames', 'collage', 'panels'], { kind: 'grid', columns: 2, rows: 2, gap: 0.25 }, 0.7),
        piece('Draw a shape', 'rectangle, ellipse, star, ring, line', ['rectangle', 'ellipse', 'circle', 'star', 'line', 'ring'], { kind: 'shape', shape: 'ellipse', count: 5, share: 0.5 }, 0.4),
        { say: 'Draw by hand', hint: 'strokes of a round brush, a flat nib, a dry brush or a spray', also: ['draw', 'paint', 'ink', 'brush', 'sketch', 'spray', 'scribble', 'doodle', 'pen'], begin: () => drawInk('') },
    ];
}

function onPiece(desk: Desk, chosen: Layer): Verb[] {
    const { artwork, catalogue, assets } = desk;
    const { id } = chosen;
    const change = (say: string, hint: string, also: string[], ...operations: Operation[]): Verb => ({ say, hint, also, operations });
    const begin = (say: string, hint: string, also: string[], work: () => unknown): Verb => ({ say, hint, also, begin: work });
    const mask = (say: string, hint: string, also: string[], line: Mask): Verb => change(say, hint, also, { op: 'add-mask', id, mask: line });
    const hollow = { kind: 'hollow', on: true, width: 0.06, colour: '#f3ead7' } as EffectLine;
    const raster = rasterOf(chosen, assets);
    const light = assets.find((asset) => asset.kind === 'art' && asset.type !== 'svg')?.file;
    return [
        ...effectsFor(catalogue, chosen, raster !== undefined),
        ...desk.axes(id).map((axis): Verb => ({ say: `Set the ${axis.name} of its letters`, hint: `of this font, from ${axis.least} to ${axis.most}`, also: effectWords.variation?.also ?? [], operations: [vary(id, axis)], seen: [vary(id, axis)] })),
        ...(chosen.source.kind === 'text' ? around(desk, id) : []),
        chosen.role.kind === 'ink'
            ? change('Knock out of all below', 'the chosen piece becomes a gap', ['knockout', 'cut', 'hole'], { op: 'set-role', id, role: knockedOut })
            : change('Print it as ink again', 'the gap becomes a piece', ['ink'], { op: 'set-role', id, role: { kind: 'ink' } }),
        change('Cut a gap around it', 'it knocks out what lies below and sits in its own gap', ['knockout', 'set in the gap', 'halo'], { op: 'set-role', id, role: inGap }),
        change('Set it in the gap, hollow', 'a gap with a hollow copy in it', ['knockout', 'outline only', 'empty'], { op: 'set-role', id, role: inGap }, { op: 'add-effect', id, line: hollow, standsOut: true }),
        mask('Mask to an ellipse', 'show only a part of the chosen piece', ['mask', 'clip', 'oval', 'rectangle', 'feather', 'soft edge'], newMask('ellipse', { x: 0.5, y: 0.5, width: 1, height: 1, feather: 0, count: 5 })),
        ...(chosen.source.kind === 'drawn' ? [begin('Draw more on it', 'further strokes of the same drawing', ['draw', 'ink', 'brush'], () => drawInk(id))] : []),
        begin('Brush parts away', 'erase and restore by hand', ['erase', 'brush', 'mask', 'paint', 'restore'], () => brushOn(chosen, -1)),
        begin('Cut it by hand', 'show only what you draw round', ['mask', 'lasso', 'freehand', 'clip'], () => cutByHand(chosen, false)),
        begin('Take a part out', 'what you draw round becomes a piece of its own', ['lasso', 'freehand', 'cut out', 'extract'], () => cutByHand(chosen, true)),
        ...others(artwork, chosen).map((other) => mask(`Clip it to ${desk.called(other.id)}`, 'show it only where that has ink', ['clip', 'mask', 'inside letters'], newMask('clip', { layer: other.id }))),
        ...(light ? [mask('Mask by the light of a picture', 'show it as far as a picture is light', ['mask', 'luminance', 'texture'], newMask('picture', { file: light, scale: 1, x: 0, y: 0, turn: 0 }))] : []),
        ...(raster ? [begin('Trace it to a drawing', 'few colours as outlines that can be ringed and scaled', ['vector', 'potrace', 'svg', 'outline'], () => desk.trace(raster.id, id))] : []),
        ...worn(catalogue, id, 'Wear this piece'),
        ...catalogue.repeats.kinds.map((kind) => change(repeatVerbs[kind]?.[0] ?? phrase(kind), 'the chosen piece, again and again', repeatVerbs[kind]?.[1] ?? [], { op: 'add-repeat', id, kind: kind as Repeat['kind'] })),
        ...cuts(assets, chosen),
        change('Print it weaker', 'opacity of the chosen piece', ['opacity', 'strength', 'fade', 'transparent'], { op: 'set-opacity', id, opacity: 0.8 }),
        change('Blend it with what lies below', 'multiply, screen, overlay …', ['blend', 'multiply', 'screen', 'overlay'], { op: 'set-blend', id, blend: 'multiply' }),
        ...(chosen.placement ? [change('Stretch it', 'a height of its own', ['tall', 'height', 'stretch'], { op: 'stretch', id })] : []),
        ...together(artwork, chosen),
    ];
}

/** Options that need no entry of their own: they focus the control where they are set. */
function atHand(desk: Desk, { id, source, placement }: Layer): Verb[] {
    const say = (text: string, hint: string, also: string[], ...operations: Operation[]): Verb => ({ say: text, hint, also, operations });
    const lead = (text: string, hint: string, also: string[], label: string): Verb => ({ say: text, hint, also, begin: () => desk.point(label) });
    return [
        ...(source.kind === 'text' ? [
            { say: 'Choose other forms of letters', hint: 'swashes, tails, ligatures: all that its font draws', also: ['alternates', 'swash', 'glyph', 'tail', 'flourish', 'stylistic', 'ligature', 'opentype', 'fancy'], begin: () => desk.letters('forms') },
            { say: 'Write a character of its font', hint: 'ornaments, signs, accents that no keyboard has', also: ['glyph', 'character map', 'symbol', 'ornament', 'dingbat', 'special character', 'accent', 'heart', 'star'], begin: () => desk.letters('characters') },
            lead('Choose another font', 'on its own line', ['font', 'typeface', 'lettering', 'type'], 'font'),
        ] : []),
        ...(placement ? [lead('Turn it', 'by degrees, at the foot of the sheet', ['rotate', 'rotation', 'angle', 'tilt', 'spin'], 'turn'), lead('Size it', 'by its width or height', ['size', 'resize', 'scale', 'bigger', 'smaller', 'width'], 'size')] : []),
        say('Bring it to the middle of the sheet', 'across', ['align', 'centre', 'center', 'middle'], { op: 'align', ids: [id], edge: 'middle', to: 'sheet' }),
        say('Flip it across', 'as in a mirror', ['flip', 'mirror', 'reverse'], { op: 'flip', ids: [id], way: 'across' }),
        say('Copy it', 'beside itself', ['duplicate', 'copy', 'clone'], { op: 'copy', ids: [id], linked: false }),
        ...(placement ? [say('Link a copy to it', 'same words, shape and place', ['linked', 'glow', 'shine', 'follow', 'shadow copy'], { op: 'copy', ids: [id], linked: true })] : []),
        say('Take it out', 'of the sheet', ['delete', 'remove', 'erase', 'clear'], { op: 'remove', ids: [id] }),
    ];
}

/** The kinds of effects that suit a layer, as stated by the catalogue. */
function effectsFor(catalogue: Catalogue, chosen: Layer, raster: boolean): Verb[] {
    return catalogue.effects
        // Offered axis by axis, and circle by circle.
        .filter((effect) => !['variation', 'around'].includes(effect.kind))
        .filter((effect) => effect.forAny || (effect.forRasters ? raster : chosen.source.kind === 'text'))
        .map((effect) => {
            const operations: Operation[] = [{ op: 'add-effect', id: chosen.id, line: { kind: effect.kind, on: true, ...Object.fromEntries(effect.parameters.map((parameter) => [parameter.name, parameter.default])) } as EffectLine, first: false, standsOut: true }];
            return {
                say: effectWords[effect.kind]?.verb ?? phrase(effect.kind),
                hint: 'on the chosen piece',
                also: effectWords[effect.kind]?.also ?? [],
                operations,
                ...(['letters', 'geometry', 'look'].includes(effect.stage) ? { seen: operations } : {}),
            };
        });
}

/** Circles that words may stand around: one that suits them, and those of round shapes on the sheet. */
function around({ artwork, called }: Desk, id: string): Verb[] {
    const verb = (say: string, hint: string, about: string, edge: 'inside' | 'outside'): Verb => {
        const operations: Operation[] = [{ op: 'stand-around', id, about, edge, side: 'over', gap: null }];
        return { say, hint, also: effectWords.around?.also ?? [], operations, seen: operations };
    };
    const round = artwork.layers.filter(({ source }) => source.kind === 'shape' && ['ellipse', 'ring'].includes(source.shape)).slice(0, 6);
    return [
        verb('Stand its letters around a circle', 'they keep to it, whatever they say', '', 'outside'),
        ...round.flatMap((shape) => [verb(`Stand its letters around ${called(shape.id)}, inside its edge`, 'about the same middle', shape.id, 'inside'), verb(`Stand its letters around ${called(shape.id)}, outside its edge`, 'about the same middle', shape.id, 'outside')]),
    ];
}

/** A plain knockout has no gap: it would fill in the letters. */
const knockedOut: Layer['role'] = { kind: 'knockout', gap: 0, join: 'round', from: [], whole: false, sets: false };

const inGap: Layer['role'] = { ...knockedOut, gap: 0.08, sets: true };

const others = (artwork: Artwork, chosen: Layer): Layer[] => artwork.layers.filter((layer) => layer.id !== chosen.id).slice(0, 12);

function rasterOf(chosen: Layer, assets: AssetCard[]): AssetCard | undefined {
    const file = chosen.source.kind === 'art' ? chosen.source.file : undefined;
    return assets.find((asset) => asset.file === file && asset.type !== 'svg');
}

/** Wear for a layer or for the whole sheet. */
function worn(catalogue: Catalogue, id: string, say: string): Verb[] {
    return catalogue.textures.map((texture) => ({
        say: `${say} with ${textureWords[texture] ?? phrase(texture)}`, hint: 'takes ink away', also: ['distress', 'worn', 'vintage', 'grunge'],
        operations: [{ op: 'add-wear', id, wear: newWear(texture) }],
        ...(id !== '' && texture !== 'picture' ? { seen: [{ op: 'add-wear', id, wear: newWear(texture, 1) }] satisfies Operation[] } : {}),
    }));
}

/** Every new wear gets a random pattern. */
export function newWear(texture: string, seed = Math.floor(Math.random() * 1000) + 1): Wear {
    return { texture: texture as Wear['texture'], amount: 0.14, scale: 1, seed, inverted: false, shielded: [], on: true, file: '', x: 0, y: 0, turn: 0, strokes: [], asItIs: false };
}

/** Words that find each kind of repeat. */
const repeatVerbs: Record<string, [string, string[]]> = {
    'mirror-across': ['Mirror it across', ['mirror', 'symmetry', 'flip', 'half']],
    'mirror-down': ['Mirror it down', ['mirror', 'symmetry', 'flip', 'reflection']],
    quadrants: ['Repeat it in four quarters', ['quadrants', 'mirror', 'symmetry', 'kaleidoscope']],
    radial: ['Repeat it about a centre', ['radial', 'rays', 'burst', 'circle', 'mandala', 'turned']],
    stack: ['Stack copies of it', ['repeat', 'stack', 'copies', 'echo', 'retro']],
};

/** Other styles of the same typeface, to be laid behind or over the selected words. */
function cuts(assets: AssetCard[], chosen: Layer): Verb[] {
    const font = chosen.source.kind === 'text' ? chosen.source.font : undefined;
    const own = assets.find((asset) => asset.file === font);
    if (!own?.pack) {
        return [];
    }
    const others = assets.filter((asset) => asset.pack === own.pack && asset.kind === 'font' && asset.cut !== own.cut);
    const lay = (asset: AssetCard): Operation => ({ op: 'lay-cut', id: chosen.id, font: asset.file, behind: asset.cut === 'shadow' });
    return [
        ...(others.length > 1 ? [{ say: 'Set all its cuts as one', hint: `${others.map((asset) => asset.cut).join(', ')}: one word to edit`, also: ['family', 'cuts', 'pack', 'layered', 'inline', 'shadow'], operations: others.map(lay) }] : []),
        ...others.map((asset) => ({
            say: `Lay its ${asset.cut} cut ${asset.cut === 'shadow' ? 'behind' : 'over'}`, hint: asset.title, also: ['cut', 'pack', asset.cut],
            operations: [lay(asset)],
        })),
    ];
}

function together(artwork: Artwork, chosen: Layer): Verb[] {
    const before = artwork.layers[artwork.layers.findIndex((layer) => layer.id === chosen.id) - 1];
    return before ? [{ say: 'Keep it together with the line before', hint: 'a group: moved and sized as one', also: ['group', 'merge', 'combine', 'join', 'link'], operations: [{ op: 'group', ids: [before.id, chosen.id] }] }] : [];
}

