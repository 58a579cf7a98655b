import { expect, test } from '@playwright/test';
import { coloursOf, freshName, nameColour, removeSwatch, renameSwatch } from '../../resources/ts/bench/colours';
import {
    called, copied, everyLayer, findLayer, freshId, moved, moveLayer, newEffect, newLayer, newRepeat, newWear, removeLayer, replaceLayer, sized, turned,
} from '../../resources/ts/bench/layers';
import { takenOut, withStroke } from '../../resources/ts/bench/drawing';
import { verbs } from '../../resources/ts/bench/verbs';
import { thinned, toShares } from '../../resources/ts/peg/pen';
import { finds, genresOf } from '../../resources/ts/tokens/finding';
import type { Artwork, Asset, Catalogue, Layer } from '../../resources/ts/types';

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
        format: 'tallcrow.artwork/2', title: 'Kites', product: 'tee', side: 'front', method: 'dtg', rule: 'strict-300', sheet: { width: 3600, height: 4800, ppi: 300 },
        garments: [], swatches: [], layers, distress: [], ...more,
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

test('takes a layer out, and out of every shield that named it', () => {
    const wear = { ...newWear('speckle'), shielded: ['b', 'a'] };
    const art = sheet([layer('a', { distress: [wear] }), layer('b')], { distress: [wear] });
    const without = removeLayer(art, 'b');
    expect(ids(without.layers)).toEqual(['a']);
    expect(without.distress[0]?.shielded).toEqual(['a']);
    expect(without.layers[0]?.distress[0]?.shielded).toEqual(['a']);
});

test('takes a group out with all it holds, and out of the shields', () => {
    const wear = { ...newWear('speckle'), shielded: ['b', 'a'] };
    const art = sheet([layer('a'), group('outer', [layer('c'), group('g', [layer('b')])])], { distress: [wear] });
    const without = removeLayer(art, 'g');
    expect(ids(without.layers)).toEqual(['a', 'outer', 'c']);
    expect(without.distress[0]?.shielded).toEqual(['a']);
});

test('moves top lines and keeps within the list', () => {
    const art = sheet([layer('a'), layer('b'), layer('c')]);
    expect(ids(moveLayer(art, 'c', 0).layers)).toEqual(['c', 'a', 'b']);
    expect(ids(moveLayer(art, 'a', 9).layers)).toEqual(['b', 'c', 'a']);
    expect(ids(moveLayer(art, 'none', 1).layers)).toEqual(['a', 'b', 'c']);
});

test('moves, sizes and turns a piece, and a group as one', () => {
    expect(moved(layer('a'), 0.01, -0.1).placement).toMatchObject({ x: 2.01, y: 2.9 });
    expect(sized(layer('a'), 2, 2, 3).placement).toMatchObject({ x: 2, y: 3, width: 2, height: null });
    expect(turned(layer('a'), 200, 2, 3).placement?.turn).toBe(-160);

    const pair = group('g', [layer('left', { placement: { x: 1, y: 1, width: 1, height: 2, turn: 10, flip: 'none' } }), layer('right', { placement: { x: 3, y: 1, width: 1, height: null, turn: 0, flip: 'none' } })]);
    const [left, right] = everyLayer([sized(pair, 0.5, 2, 1)]).slice(1);
    expect(left?.placement).toMatchObject({ x: 1.5, width: 0.5, height: 1 });
    expect(right?.placement).toMatchObject({ x: 2.5, width: 0.5 });
    const [up, down] = everyLayer([turned(pair, 90, 2, 1)]).slice(1);
    expect(up?.placement).toMatchObject({ x: 2, y: 0, turn: 100 });
    expect(down?.placement).toMatchObject({ x: 2, y: 2, turn: 90 });
});

test('gives new and copied layers ids of their own', () => {
    const art = sheet([layer('line-1'), layer('line-3'), group('g', [layer('line-4')])]);
    expect(freshId(art)).toBe('line-5');
    const twin = copied(art, findLayer(art, 'g') as Layer);
    const all = [...ids(art.layers), ...ids([twin])];
    expect(new Set(all).size).toBe(all.length);
    expect(newLayer(art, { kind: 'art', file: 'kite.svg' }, 4).placement).toMatchObject({ x: 6, width: 4 });
});

test('makes an effect of the catalogue with its defaults', () => {
    const outline = { kind: 'outline', stage: 'ink' as const, parameters: [{ name: 'width', kind: 'length' as const, least: 0, most: 2, default: 0.1, choices: [] }] };
    expect(newEffect(outline)).toEqual({ kind: 'outline', on: true, width: 0.1 });
});

test('calls layers by their words', () => {
    expect(called(layer('a', { name: 'Sun disc' }))).toBe('Sun disc');
    expect(called(layer('a', { source: { kind: 'text', text: 'QUARRY\nROAD', font: 'x', align: 'left', leading: 1 } }))).toBe('QUARRY ROAD');
    expect(called(layer('a', { source: { kind: 'art', file: 'old-lantern.svg' } }))).toBe('old-lantern');
    expect(called(group('g', []))).toBe('Group');
});

test('lists the colours of a sheet once each', () => {
    const fill = (colour: string): Layer['effects'][number] => ({ kind: 'fill', on: true, colour });
    expect(coloursOf(sheet([layer('a', { effects: [fill('#111111')] }), group('g', [layer('b', { effects: [fill('#222222'), fill('#111111')] })])]))).toEqual(['#111111', '#222222']);
});

const catalogue = {
    effects: [
        { kind: 'letter-spacing', stage: 'type', parameters: [] }, { kind: 'arch', stage: 'geometry', parameters: [] },
        { kind: 'fill', stage: 'ink', parameters: [] }, { kind: 'outline', stage: 'ink', parameters: [] },
    ],
    textures: ['speckle'],
    repeats: { kinds: ['radial', 'stack'], facings: [], changes: [], most: 120 },
} as unknown as Catalogue;
const shelf = [{ kind: 'font', file: 'rye.woff2' }, { kind: 'art', file: 'kite.svg' }] as Asset[];

test('offers what suits the chosen piece', () => {
    const says = (chosen?: Layer): string[] => verbs(sheet([]), catalogue, shelf, chosen).map((verb) => verb.say);
    expect(says()).toEqual(['Set words', 'Lay a picture', 'Lay out a grid of frames', 'Draw a shape', 'Wear the whole sheet with fine speckle']);
    const words = layer('w', { source: { kind: 'text', text: 'X', font: 'rye.woff2', align: 'left', leading: 1 } });
    expect(says(words)).toContain('Space letters');
    expect(says(layer('s'))).toContain('Arch');
    expect(says(layer('s'))).not.toContain('Space letters');
    expect(says(layer('a', { source: { kind: 'art', file: 'kite.svg' } }))).toEqual(expect.arrayContaining(['Arch', 'Repeat it about a centre', 'Stack copies of it']));
    expect(says(layer('a', { source: { kind: 'art', file: 'kite.svg' } }))).not.toContain('Space letters');
    expect(says(layer('k', { role: { kind: 'knockout', gap: 0.1, join: 'round' } }))).toContain('Print it as ink again');
    expect(verbs(sheet([]), catalogue, [], undefined).map((verb) => verb.say)).not.toContain('Set words');
});

function apply(say: string, art: Artwork, chosen: Layer): { artwork: Artwork; chosen: string | null } {
    const verb = verbs(art, catalogue, shelf, chosen).find((one) => one.say === say);
    if (!verb) {
        throw new Error(`no verb "${say}"`);
    }
    return verb.apply(art);
}

test('bends before it inks: an arch goes before a ring that was there', () => {
    const inked = layer('a', { effects: [{ kind: 'fill', on: true }, { kind: 'outline', on: true }] });
    const after = apply('Arch', sheet([inked]), inked).artwork.layers[0];
    expect(after?.effects.map((effect) => effect.kind)).toEqual(['arch', 'fill', 'outline']);
});

test('lays a ring before a fill over the whole', () => {
    const inked = layer('a', { effects: [{ kind: 'fill', on: true }, { kind: 'paper', on: true }] });
    expect(apply('Outline', sheet([inked]), inked).artwork.layers[0]?.effects.map((effect) => effect.kind)).toEqual(['fill', 'outline', 'paper']);
});

test('lays the other cuts of a pack behind or over the words', () => {
    const pack = [['fill', 'k.otf'], ['shadow', 'k-shadow.otf'], ['outline', 'k-outline.otf']].map(([cut, file]) => ({ kind: 'font', pack: 'Kite', cut, file, title: file })) as unknown as Asset[];
    const words = layer('w', { source: { kind: 'text', text: 'X', font: 'k.otf', align: 'left', leading: 1 } });
    const all = verbs(sheet([words]), catalogue, pack, words);
    const fonts = (say: string): (string | null)[] => (all.find((verb) => verb.say === say)?.apply(sheet([words])).artwork.layers ?? []).map((one) => (one.source.kind === 'text' ? one.source.font : null));
    expect(fonts('Lay its shadow cut behind')).toEqual(['k-shadow.otf', 'k.otf']);
    expect(fonts('Lay its outline cut over')).toEqual(['k.otf', 'k-outline.otf']);
    expect(verbs(sheet([words]), catalogue, shelf, words).map((verb) => verb.say)).not.toContain('Lay its shadow cut behind');
});

test('names, renames and forgets a colour on every line, in groups and among several', () => {
    const art = sheet([
        layer('a', { effects: [{ kind: 'fill', on: true, colour: '#AA0000' }] }),
        group('g', [layer('b', { effects: [{ kind: 'gradient', on: true, colours: ['#aa0000', '#00bb00'] }] })]),
    ]);
    const named = nameColour(art, '#aa0000', 'Rust');
    expect(named.swatches).toEqual([{ name: 'Rust', colour: '#aa0000' }]);
    const colours = (of: Artwork): unknown[] => everyLayer(of.layers).flatMap((one) => one.effects.map((effect) => effect['colour'] ?? effect['colours']));
    expect(colours(named)).toEqual(['@Rust', ['@Rust', '#00bb00']]);
    expect(colours(renameSwatch(named, 'Rust', 'Brick'))).toEqual(['@Brick', ['@Brick', '#00bb00']]);
    expect(colours(removeSwatch(named, 'Rust'))).toEqual(['#aa0000', ['#aa0000', '#00bb00']]);
    expect(freshName(named)).toBe('Colour 2');
});

test('moves a repeat\'s centre with its piece', () => {
    const art = sheet([]);
    const ray = layer('a', { repeat: newRepeat(art, 'radial') });
    expect(ray.repeat).toMatchObject({ x: 6, y: 8, count: 8 });
    expect(moved(ray, 0.5, -1).repeat).toMatchObject({ x: 6.5, y: 7 });
});

test('finds fonts by every word, genre and licence, favourites first', () => {
    const font = (title: string, genre: string, more: object = {}): Asset => ({ kind: 'font', title, genre, pack: '', cut: '', favourite: false, licence: { name: 'OFL-1.1' }, ...more }) as unknown as Asset;
    const all = [font('Anton', 'condensed'), font('Kite Shadow', 'varsity', { cut: 'shadow', licence: { name: 'bought' } }), font('Rye', 'western', { favourite: true })];
    const titles = (wanted: object): string[] => finds(all, { wanted: '', genre: '', licence: '', favourites: false, ...wanted }).map((one) => one.title);
    expect(titles({})).toEqual(['Rye', 'Anton', 'Kite Shadow']);
    expect(titles({ wanted: 'shadow KITE' })).toEqual(['Kite Shadow']);
    expect(titles({ genre: 'condensed' })).toEqual(['Anton']);
    expect(titles({ licence: 'bought' })).toEqual(['Kite Shadow']);
    expect(titles({ favourites: true })).toEqual(['Rye']);
    expect(genresOf(all)).toEqual(['condensed', 'varsity', 'western']);
});

test('cuts a gap around a piece, which sits in it', () => {
    const inked = layer('a', { effects: [{ kind: 'arch', on: true }, { kind: 'fill', on: true }] });
    const { artwork, chosen } = apply('Cut a gap around it', sheet([layer('plate'), inked]), inked);
    expect(artwork.layers.map((one) => one.role.kind)).toEqual(['ink', 'knockout']);
    expect(artwork.layers[1]?.role).toMatchObject({ sets: true, gap: 0.08 });
    expect(artwork.layers[1]?.effects.map((effect) => effect.kind)).toEqual(['arch', 'fill']);
    expect(chosen).toBe('a');
});

test('tells places on the sheet in shares of a piece, its turn and flip undone', () => {
    const box = { left: 0, top: 0, width: 4, height: 2 };
    expect(toShares([6, 5], box, { x: 6, y: 5, width: 4, height: null, turn: 30, flip: 'both' })).toEqual([0.5, 0.5]);
    const [x, y] = toShares([6, 7], box, { x: 6, y: 5, width: 4, height: null, turn: 90, flip: 'none' });
    expect([x, y].map((v) => Number(v.toFixed(6)))).toEqual([1, 0.5]);
    expect(toShares([8, 5], box, { x: 6, y: 5, width: 4, height: null, turn: 0, flip: 'across' })[0]).toBeCloseTo(0, 9);
    expect(toShares([3, 2], { left: 1, top: 1, width: 4, height: 4 }, null)).toEqual([0.5, 0.25]);
});

test('keeps of a drawn line the points that shape it', () => {
    const line: [number, number][] = [[0, 0], [1, 0.001], [2, -0.001], [3, 0], [3, 1], [3.001, 2], [3, 3]];
    expect(thinned(line, 0.01)).toEqual([[0, 0], [3, 0], [3, 3]]);
    expect(thinned([[0, 0]], 0.01)).toEqual([[0, 0]]);
});

test('takes a part out: the part over what is left', () => {
    const art = sheet([layer('a')]);
    const cut: [number, number][] = [[0, 0], [1, 0], [1, 1]];
    const { artwork, part } = takenOut(art, art.layers[0] as Layer, cut);
    expect(artwork.layers.map((one) => [one.id, one.masks[0]?.inverted])).toEqual([['a', true], [part, false]]);
    expect(withStroke(layer('b'), { points: [[0, 0]], width: 0.1, hardness: 1, restores: false, symmetry: 'none', count: 6 }, 0).masks).toHaveLength(1);
});

test('groups a piece with the line before it, and not what has none', () => {
    const second = layer('b');
    const { artwork, chosen } = apply('Keep it together with the line before', sheet([layer('a'), second, layer('c')]), second);
    expect(artwork.layers).toHaveLength(2);
    expect(ids(artwork.layers)).toEqual([chosen, 'a', 'b', 'c']);
    expect(artwork.layers[0]?.placement).toBeUndefined();
    const alone = layer('a');
    expect(apply('Keep it together with the line before', sheet([alone]), alone).artwork.layers).toHaveLength(1);
});
