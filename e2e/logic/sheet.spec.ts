import { isFound, summary } from '../../resources/ts/bench/finding';
import { read } from '../../resources/ts/bench/useKeys';
import { expect, test } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { namesOf, stepOf } from '../../resources/ts/bench/axes';
import { coloursOf, freshName } from '../../resources/ts/bench/colours';
import { groupsOf } from '../../resources/ts/bench/grouping';
import { joined } from '../../resources/ts/bench/joining';
import { below, everyLayer, findLayer, replaceLayer } from '../../resources/ts/bench/layers';
import { found, verbs, type Verb } from '../../resources/ts/bench/verbs';
import { middleOf, thinned, toShares } from '../../resources/ts/peg/pen';
import { finds, genresOf } from '../../resources/ts/tokens/finding';
import type { Artwork, AssetCard, Catalogue, EffectKind, EffectLine, Finding, FontAxis, Layer, Measure, Operation } from '../../resources/ts/types';
import { phrase, phrasesOf } from '../../resources/ts/words/choices';
import { effectWords, parts } from '../../resources/ts/words/lines';

/** The interface's own sums, without a browser. */

function layer(id: string, more: Partial<Layer> = {}): Layer {
    return {
        id, name: '', on: true, role: { kind: 'ink' }, source: { kind: 'shape', shape: 'ellipse', count: 5, share: 0.5 },
        placement: { x: 2, y: 3, width: 1, height: null, turn: 0, flip: 'none' }, opacity: 1, blend: 'normal', effects: [], masks: [], distress: [], ...more,
    };
}

function group(id: string, layers: Layer[]): Layer {
    const made = layer(id, { source: { kind: 'group', layers } });
    delete made.placement;
    return made;
}

function sheet(layers: Layer[], more: Partial<Artwork> = {}): Artwork {
    return {
        format: 'tallcrow.artwork/3', title: 'Kites', product: 'tee', side: 'front', method: 'dtg', rule: 'strict-300', sheet: { width: 3600, height: 4800, ppi: 300 },
        garments: [], swatches: [], layers, distress: [], limits: { letterLost: 0.4, stroke: 0.012 }, ...more,
    };
}

const ids = (layers: Layer[]): string[] => everyLayer(layers).map((one) => one.id);

test('finds layers at any depth', () => {
    const art = sheet([layer('a'), group('g', [layer('b'), group('h', [layer('c')])])]);
    expect(ids(art.layers)).toEqual(['a', 'g', 'b', 'h', 'c']);
    expect(findLayer(art, 'c')?.id).toBe('c');
    expect(findLayer(art, null)).toBeUndefined();
});

test('replaces a layer at any depth and leaves the rest as it was', () => {
    const art = sheet([layer('a'), group('g', [layer('b')])]);
    const changed = replaceLayer(art, 'b', (one) => [one, layer('b2')]);
    expect(ids(changed.layers)).toEqual(['a', 'g', 'b', 'b2']);
    expect(changed.layers[0]).toBe(art.layers[0]);
    expect(ids(art.layers)).toEqual(['a', 'g', 'b']);
});

test('lists the colours of a sheet once each', () => {
    const fill = (colour: string): EffectLine => ({ kind: 'fill', on: true, colour });
    expect(coloursOf(sheet([layer('a', { effects: [fill('#111111')] }), group('g', [layer('b', { effects: [fill('#222222'), fill('#111111')] })])]))).toEqual(['#111111', '#222222']);
});

test('finds fonts by every word, genre and licence, favourites first', () => {
    const font = (title: string, genre: string, more: object = {}): AssetCard => ({ kind: 'font', title, genre, pack: '', cut: '', favourite: false, licence: { name: 'OFL-1.1' }, ...more }) as unknown as AssetCard;
    const all = [font('Anton', 'condensed'), font('Kite Shadow', 'varsity', { cut: 'shadow', licence: { name: 'bought' } }), font('Rye', 'western', { favourite: true })];
    const titles = (wanted: object): string[] => finds(all, { wanted: '', genre: '', licence: '', favourites: false, ...wanted }).map((one) => one.title);
    expect(titles({})).toEqual(['Rye', 'Anton', 'Kite Shadow']);
    expect(titles({ wanted: 'shadow KITE' })).toEqual(['Kite Shadow']);
    expect(titles({ genre: 'condensed' })).toEqual(['Anton']);
    expect(titles({ licence: 'bought' })).toEqual(['Kite Shadow']);
    expect(titles({ favourites: true })).toEqual(['Rye']);
    expect(genresOf(all)).toEqual(['condensed', 'varsity', 'western']);
});

test('tells places on the sheet in shares of a piece, its turn and flip undone', () => {
    const box = { left: -2, top: -1, width: 4, height: 2 };
    expect(toShares([6, 5], box, { x: 6, y: 5, width: 4, height: null, turn: 30, flip: 'both' })).toEqual([0.5, 0.5]);
    const [x, y] = toShares([6, 7], box, { x: 6, y: 5, width: 4, height: null, turn: 90, flip: 'none' });
    expect([x, y].map((v) => Number(v.toFixed(6)))).toEqual([1, 0.5]);
    expect(toShares([8, 5], box, { x: 6, y: 5, width: 4, height: null, turn: 0, flip: 'across' })[0]).toBeCloseTo(0, 9);
    expect(toShares([3, 2], { left: 1, top: 1, width: 4, height: 4 }, null)).toEqual([0.5, 0.25]);
});

test('turns words about the centre that they stand around, and all else about its middle', () => {
    const [box, place] = [{ left: 1, top: 1, width: 4, height: 2 }, { x: 3, y: 5, width: null, height: null, turn: 0, flip: 'none' as const }];
    const measure = (own: typeof box): Measure => ({ own }) as Measure;
    expect(middleOf(layer('w', { placement: place }), measure({ left: -2, top: -4, width: 4, height: 2 }), box)).toEqual([3, 5]);
    expect(middleOf(layer('w', { placement: { ...place, y: 2 } }), measure({ left: -2, top: -1, width: 4, height: 2 }), box)).toEqual([3, 2]);
    expect(middleOf(layer('g'), undefined, box)).toEqual([3, 2]);
});

test('keeps of a drawn line the points that shape it', () => {
    const line: [number, number][] = [[0, 0], [1, 0.001], [2, -0.001], [3, 0], [3, 1], [3.001, 2], [3, 3]];
    expect(thinned(line, 0.01)).toEqual([[0, 0], [3, 0], [3, 3]]);
    expect(thinned([[0, 0]], 0.01)).toEqual([[0, 0]]);
});

const kind = (name: string, stage: EffectKind['stage'], more: Partial<EffectKind> = {}): EffectKind => ({
    kind: name, stage, forAny: ['geometry', 'ink', 'look'].includes(stage), forRasters: stage === 'retouch', changesAspect: false, clearsInk: false, followsEdge: false, parameters: [], ...more,
});
const catalogue = {
    effects: [kind('crop', 'retouch'), kind('letter-spacing', 'type'), kind('arch', 'geometry'), kind('outline', 'ink', { parameters: [{ name: 'width', kind: 'length', least: 0, most: 2, default: 0.1, choices: [], pictured: false }] })],
    newWords: 'SAY IT',
    textures: ['speckle', 'dry-roller'],
    repeats: { kinds: ['radial', 'stack'], facings: [], changes: [], most: 120 },
} as unknown as Catalogue;
const shelf = [{ kind: 'font', file: 'rye.woff2', type: 'woff2' }, { kind: 'art', file: 'kite.svg', type: 'svg' }, { kind: 'art', file: 'pool.png', type: 'png', id: 7 }] as AssetCard[];

const axes: FontAxis[] = [{ tag: 'wght', name: 'weight', least: 100, usual: 100, most: 900 }, { tag: 'slnt', name: 'slant', least: -12, usual: 0, most: 0 }];

function offered(layers: Layer[], chosen?: Layer, assets = shelf, trace: (asset: number, id: string) => void = () => undefined): Verb[] {
    return verbs({ artwork: sheet(layers), catalogue, assets, called: (id) => id.toUpperCase(), axes: () => (chosen?.source.kind === 'text' ? axes : []), trace, recipes: () => undefined, letters: () => undefined, gather: () => undefined, point: () => undefined }, chosen);
}
const says = (all: Verb[]): string[] => all.map((verb) => verb.say);
const stands = (all: Verb[], say: string): Operation[] | undefined => all.find((verb) => verb.say === say)?.operations;
const words = layer('w', { source: { kind: 'text', text: 'X', font: 'rye.woff2', align: 'left', leading: 1 } });

test('offers what suits the chosen piece, as each kind of line says for itself', () => {
    expect(says(offered([]))).toEqual(['Set words', 'Lay a picture', 'Lay out a grid of frames', 'Draw a shape', 'Draw by hand', 'Follow a recipe', 'Put files on the shelf', 'Wear the whole sheet with fine speckle', 'Wear the whole sheet with dry roller']);
    expect(says(offered([words], words))).toEqual(expect.arrayContaining(['Space letters', 'Arch', 'Outline']));
    expect(says(offered([layer('s')], layer('s')))).toEqual(expect.arrayContaining(['Arch', 'Repeat it about a centre', 'Stack copies of it']));
    expect(says(offered([], layer('s')))).not.toEqual(expect.arrayContaining(['Space letters']));
    expect(says(offered([], layer('a', { source: { kind: 'art', file: 'kite.svg', frame: 'ink' } })))).not.toContain('Crop');
    expect(says(offered([], layer('a', { source: { kind: 'art', file: 'pool.png', frame: 'ink' } })))).toEqual(expect.arrayContaining(['Crop', 'Trace it to a drawing']));
    expect(says(offered([], layer('k', { role: { kind: 'knockout', gap: 0.1, join: 'round', from: [], whole: false, sets: false } })))).toContain('Print it as ink again');
    expect(says(offered([], undefined, []))).not.toContain('Set words');
});

test('sets new words that say what the core knows as not written yet', () => {
    expect(stands(offered([]), 'Set words')).toEqual([expect.objectContaining({ op: 'add', source: expect.objectContaining({ text: 'SAY IT' }) as unknown })]);
});

test('asks the core for what a verb says', () => {
    const all = offered([layer('plate'), words], words);
    expect(stands(all, 'Outline')).toEqual([{ op: 'add-effect', id: 'w', line: { kind: 'outline', on: true, width: 0.1 }, first: false, standsOut: true }]);
    expect(stands(all, 'Cut a gap around it')).toEqual([{ op: 'set-role', id: 'w', role: { kind: 'knockout', gap: 0.08, join: 'round', from: [], whole: false, sets: true } }]);
    expect(stands(all, 'Keep it together with the line before')).toEqual([{ op: 'group', ids: ['plate', 'w'] }]);
    expect(stands(all, 'Clip it to PLATE')).toMatchObject([{ op: 'add-mask', id: 'w', mask: { kind: 'clip', layer: 'plate' } }]);
    expect(stands(all, 'Stack copies of it')).toEqual([{ op: 'add-repeat', id: 'w', kind: 'stack' }]);
    expect(stands(all, 'Wear this piece with dry roller')).toMatchObject([{ op: 'add-wear', id: 'w', wear: { texture: 'dry-roller', amount: 0.14 } }]);
    expect(stands(all, 'Wear the whole sheet with dry roller')).toMatchObject([{ op: 'add-wear', id: '' }]);
    expect(says(offered([words], words))).not.toContain('Keep it together with the line before');
});

test('offers the axes of a variable font, each from the end that is seen best', () => {
    const all = offered([words], words);
    const line = { kind: 'variation', on: true, line: 0 };
    expect(stands(all, 'Set the weight of its letters')).toEqual([{ op: 'add-effect', id: 'w', line: { ...line, axis: 'wght', value: 900 }, first: false, standsOut: false }]);
    expect(stands(all, 'Set the slant of its letters')).toMatchObject([{ line: { axis: 'slnt', value: -12 } }]);
    expect(says(offered([], layer('s')))).not.toContain('Set the weight of its letters');
    expect(axes.map(stepOf)).toEqual([10, 0.1]);
    expect(namesOf(axes, 'wght')).toEqual({ wght: 'weight', slnt: 'slant' });
    expect(namesOf(axes, 'opsz')).toEqual({ opsz: 'opsz', wght: 'weight', slnt: 'slant' });
});

test('offers the other cuts of a pack, a shadow behind and the rest over', () => {
    const pack = [['fill', 'k.otf'], ['shadow', 'k-shadow.otf'], ['outline', 'k-outline.otf']].map(([cut, file]) => ({ kind: 'font', pack: 'Kite', cut, file, title: file })) as unknown as AssetCard[];
    const set = layer('w', { source: { kind: 'text', text: 'X', font: 'k.otf', align: 'left', leading: 1 } });
    const all = offered([set], set, pack);
    expect(stands(all, 'Lay its shadow cut behind')).toEqual([{ op: 'lay-cut', id: 'w', font: 'k-shadow.otf', behind: true }]);
    expect(stands(all, 'Lay its outline cut over')).toEqual([{ op: 'lay-cut', id: 'w', font: 'k-outline.otf', behind: false }]);
    expect(says(offered([words], words))).not.toContain('Lay its shadow cut behind');
});

test('traces the picture of the chosen piece', () => {
    const traced: unknown[] = [];
    const art = layer('a', { source: { kind: 'art', file: 'pool.png', frame: 'ink' } });
    offered([art], art, shelf, (...asked) => traced.push(asked)).find((verb) => verb.say === 'Trace it to a drawing')?.begin?.();
    expect(traced).toEqual([[7, 'a']]);
});

test('finds what begins with the words first, then what holds them, then what is akin', () => {
    const all = [{ say: 'Mask to an ellipse', hint: '', also: ['outline'] }, { say: 'Set it out', hint: '', also: [] }, { say: 'Outline', hint: '', also: [] }];
    expect(says(found(all, ' OUT'))).toEqual(['Outline', 'Set it out', 'Mask to an ellipse']);
    expect(says(found(all, ''))).toHaveLength(3);
    expect(found(all, 'sparkle')).toEqual([]);
});

test('knows the words that people bring', () => {
    const all = offered([layer('plate'), words], words);
    const first: Record<string, string> = {
        upload: 'Put files on the shelf', font: 'Choose another font', rotate: 'Turn it', delete: 'Take it out', size: 'Size it', align: 'Bring it to the middle of the sheet',
        duplicate: 'Copy it', merge: 'Keep it together with the line before', logo: 'Lay a picture', photo: 'Lay a picture', 'clip art': 'Lay a picture', curve: 'Arch', flip: 'Flip it across',
    };
    for (const [typed, say] of Object.entries(first)) {
        expect(says(found(all, typed)), typed).toContain(say);
    }
    expect(says(found(all, 'picture lay'))).toContain('Lay a picture');
    const led: string[] = [];
    verbs({ artwork: sheet([words]), catalogue, assets: shelf, called: (id) => id, axes: () => [], trace: () => undefined, recipes: () => undefined, letters: (tab) => led.push(tab), gather: () => led.push('shelf'), point: (label) => led.push(label) }, words)
        .filter((verb) => ['Turn it', 'Size it', 'Choose another font', 'Put files on the shelf', 'Choose other forms of letters', 'Write a character of its font'].includes(verb.say)).forEach((verb) => verb.begin?.());
    expect(led.sort()).toEqual(['characters', 'font', 'forms', 'shelf', 'size', 'turn']);
});

test('keeps and reads lines as text of its own form, and nothing else', () => {
    expect(read('{"tallcrow.lines":1,"layers":[{"id":"a"}]}')).toEqual({ 'tallcrow.lines': 1, layers: [{ id: 'a' }], swatches: [] });
    expect([read('plain words'), read('{"layers":[]}'), read('{broken'), read('[1]')]).toEqual([null, null, null, null]);
});

test('finds pieces by their words, verbs, fonts and colours, and says in short what is done to them', () => {
    const ringed = layer('r', { effects: [{ kind: 'outline', on: true, colour: '#b04a2c', width: 0.1 }] as unknown as Layer['effects'] });
    const called = (id: string): string => (id === 'w' ? 'Kite day' : id);
    expect(isFound(words, 'kite RYE', called)).toBe(true);
    expect(isFound(ringed, 'outline #b04a2c', called)).toBe(true);
    expect(isFound(ringed, 'kite', called)).toBe(false);
    expect(summary(ringed)).toBe('1 line');
    expect(summary(layer('n'))).toBe('as it is');
    expect(summary(group('g', [layer('a'), layer('b')]))).toBe('2 pieces');
    expect(summary(group('g', [layer('a')]))).toBe('1 piece');
});

test('lists the lines of a layer\'s own list that print before it', () => {
    const art = sheet([layer('a'), group('g', [layer('b'), layer('c')]), layer('d')]);
    expect(below(art.layers, 'd').map((one) => one.id)).toEqual(['a', 'g']);
    expect(below(art.layers, 'c').map((one) => one.id)).toEqual(['b']);
    expect(below(art.layers, 'gone')).toEqual([]);
});

test('gives a new colour a name that none has', () => {
    expect(freshName(sheet([], { swatches: [{ name: 'Colour 2', colour: '#123456' }] }))).toBe('Colour 3');
});

test('joins moves of the same pieces that wait, and no others', () => {
    const move = (dx: number, ...ids: string[]): Operation => ({ op: 'move', ids, dx, dy: 0 });
    expect(joined([move(1, 'a')], [move(2, 'a')])).toEqual([move(3, 'a')]);
    expect(joined([move(1, 'a')], [move(2, 'b')])).toEqual([move(1, 'a'), move(2, 'b')]);
    expect(joined([{ op: 'group', ids: ['a'] }], [move(1, 'a')])).toHaveLength(2);
});

test('shows findings under the groups that they name, one that it does not know too', () => {
    const finding = (key: string, of: string): Finding => ({ key, group: of }) as Finding;
    const groups = groupsOf([finding('x', 'novelty'), finding('a', 'cloth'), finding('b', 'sheet'), finding('c', 'cloth')], ['sheet', 'pictures', 'cloth']);
    expect(groups.map((one) => [one.name, one.findings.map((each) => each.key)])).toEqual([['Sheet', ['b']], ['Cloth', ['a', 'c']], ['Novelty', ['x']]]);
});

interface Described { properties: Record<string, { const?: string; enum?: string[] }> }
const api = JSON.parse(readFileSync(new URL('../../docs/api.schema.json', import.meta.url), 'utf8')) as { $defs: { effectLine: { oneOf: Described[] } } };

test('has a sentence for every kind of line, with every value of it, and a word for each', () => {
    const lacking = api.$defs.effectLine.oneOf.flatMap(({ properties }) => {
        const line = properties['kind']?.const ?? '';
        const wording = effectWords[line];
        const values = Object.keys(properties).filter((name) => !['kind', 'on', 'area', 'scribbles'].includes(name));
        return wording
            ? values.flatMap((name) => [...(wording.sentence.includes(`{${name}}`) ? [] : [`${line}: the sentence has no {${name}}`]), ...(wording.labels[name] ? [] : [`${line}: no label for ${name}`])])
            : [`${line}: no sentence in words/lines.ts`];
    });
    expect(lacking).toEqual([]);
});

test('has no words for lines that are not there', () => {
    const kinds = api.$defs.effectLine.oneOf.map(({ properties }) => properties['kind']?.const);
    expect(Object.keys(effectWords).filter((line) => !kinds.includes(line))).toEqual([]);
});

test('reads slugs as phrases, by the line where it reads otherwise', () => {
    expect(phrase('half-right')).toBe('the right half of each letter');
    expect(phrase('dry-roller')).toBe('dry roller');
    expect(phrasesOf('hatch', 'as', ['ink', 'cut'])).toEqual({ ink: 'lines of ink in', cut: 'lines cut out' });
    expect(phrasesOf('arch', 'by', ['percent', 'inches'])).toEqual({ percent: 'by', inches: 'by a rise of' });
    expect(phrasesOf('paper', 'paper', ['animal-spots'])).toEqual({ 'animal-spots': 'animal spots' });
});

test('leaves out of a sentence what means nothing as the line stands', () => {
    const parameters = ['by', 'bend', 'rise'].map((name) => ({ name, kind: 'share' as const, least: 0, most: 1, default: 0, choices: [], pictured: false }));
    const read = (line: EffectLine): string => parts(line, parameters).map((part) => (typeof part === 'string' ? part : `<${part.name}>`)).join('');
    expect(read({ kind: 'arch', on: true, by: 'percent', bend: 0.3, rise: 1 })).toBe('Arch <by> <bend>');
    expect(read({ kind: 'arch', on: true, by: 'inches', bend: 0.3, rise: 1 })).toBe('Arch <by> <rise>');
});
