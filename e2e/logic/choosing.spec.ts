import { expect, test } from '@playwright/test';
import { createPinia, setActivePinia } from 'pinia';
import { nextTick } from 'vue';
import { fresh, linesOf } from '../../resources/ts/bench/beginning';
import { newMask, withStroke } from '../../resources/ts/bench/drawing';
import type { Pen } from '../../resources/ts/peg/pen';
import { draftOf, dropDraft, keepDraft } from '../../resources/ts/stores/drafts';
import { GROUND, usePeg } from '../../resources/ts/stores/peg';
import { useSelection } from '../../resources/ts/stores/selection';
import { useSheet } from '../../resources/ts/stores/sheet';
import { colourOf } from '../../resources/ts/tokens/colours';
import type { Artwork, BenchJob, Layer, Stroke } from '../../resources/ts/types';

/** What is chosen, where the hand goes on, which cloth hangs, and what a browser keeps: stores alone. */

const piece = (id: string, more: Partial<Layer> = {}): Layer => ({ id, name: '', effects: [], masks: [], distress: [], repeat: null, source: { kind: 'shape' }, ...more }) as unknown as Layer;

function hang(layers: Layer[], garments: { name: string; colour: string }[] = []): void {
    const sheet = useSheet();
    sheet.artwork = { layers, garments, swatches: [], distress: [], sheet: { width: 900, height: 900, ppi: 300 } } as unknown as Artwork;
    sheet.job = { id: 7, version: 1, revision: 101, artwork: sheet.artwork } as unknown as BenchJob;
}

const pen = (tip?: Pen['tip']): Pen => ({ says: 'Ink', closed: false, stroke: { width: 0.1, hardness: 1, restores: false, symmetry: 'none', count: 6 }, box: { left: 0, top: 0, width: 1, height: 1 }, lies: null, done: () => undefined, ...(tip ? { tip } : {}) });

const stroke: Stroke = { points: [[0, 0], [1, 1]], width: 0.3, hardness: 1, restores: false, symmetry: 'none', count: 6 };

const before = { localStorage: globalThis.localStorage, document: globalThis.document, window: globalThis.window, BroadcastChannel: globalThis.BroadcastChannel };

test.beforeEach(() => {
    setActivePinia(createPinia());
    globalThis.BroadcastChannel = class extends EventTarget {
        postMessage(): void {}
    } as unknown as typeof BroadcastChannel;
});

test.afterEach(() => Object.assign(globalThis, before));

test.describe('choosing', () => {
    test('takes one line, then others besides it, and each of them out again', () => {
        hang([piece('a'), piece('b'), piece('c')]);
        const selection = useSelection();
        selection.choose('a');
        selection.choose('b', true);
        selection.choose('c', true);
        expect(selection.ids).toEqual(['a', 'b', 'c']);
        selection.choose('b', true);
        expect(selection.ids).toEqual(['a', 'c']);
        // The first goes: the next takes its place.
        selection.choose('a', true);
        expect(selection.ids).toEqual(['c']);
        selection.choose('c', true);
        expect(selection.ids).toEqual([]);
        expect(selection.layer).toBeUndefined();
    });

    test('lets go of the others when one is chosen alone, and of all when nothing is', () => {
        hang([piece('a'), piece('b')]);
        const selection = useSelection();
        selection.chooseAll(['a', 'b']);
        expect(selection.ids).toEqual(['a', 'b']);
        selection.choose('b');
        expect(selection.ids).toEqual(['b']);
        selection.choose(null);
        expect(selection.ids).toEqual([]);
        selection.chooseAll([]);
        expect(selection.chosen).toBeNull();
    });

    test('begins with the first where one is to be chosen among none', () => {
        hang([piece('a'), piece('b')]);
        const selection = useSelection();
        selection.choose('b', true);
        expect(selection.ids).toEqual(['b']);
    });

    test('finds what lies in a group, and forgets what is no longer on the sheet', () => {
        const inner = piece('inner');
        hang([piece('group', { source: { kind: 'group', layers: [inner] } as unknown as Layer['source'] }), piece('b')]);
        const selection = useSelection();
        selection.chooseAll(['inner', 'b', 'gone']);
        expect(selection.layer?.id).toBe('inner');
        expect(selection.ids).toEqual(['inner', 'b']);
        hang([piece('b')]);
        selection.settle([]);
        expect(selection.chosen).toBeNull();
    });

    test('goes on with what a change made, and stays where nothing new was', () => {
        hang([piece('a'), piece('b'), piece('c')]);
        const selection = useSelection();
        selection.choose('a');
        selection.settle([]);
        expect(selection.ids).toEqual(['a']);
        selection.settle(['b', 'c']);
        expect(selection.ids).toEqual(['b', 'c']);
    });

    test('puts a brush away with its line, and keeps the pen that draws ink', () => {
        hang([piece('a'), piece('b')]);
        const [selection, peg] = [useSelection(), usePeg()];
        selection.choose('a');
        peg.pen = pen();
        selection.choose('a');
        expect(peg.pen).not.toBeNull();
        selection.choose('b');
        expect(peg.pen).toBeNull();
        peg.pen = pen('round');
        selection.choose('a');
        expect(peg.pen).not.toBeNull();
    });

    test('asks to be brought into sight each time anew', () => {
        const selection = useSelection();
        const first = selection.revealed;
        selection.reveal();
        selection.reveal();
        expect(selection.revealed).toBe(first + 2);
    });
});

test.describe('the peg', () => {
    test('hangs the cloth that is chosen, the last where there are fewer, and a plain ground of any tone', () => {
        hang([], [{ name: 'Slate', colour: '#3d4a57' }, { name: 'Oat', colour: '#e4d9c3' }]);
        const peg = usePeg();
        expect(peg.garment?.name).toBe('Slate');
        peg.cloth = 5;
        expect(peg.garment?.name).toBe('Oat');
        peg.cloth = GROUND;
        expect(peg.garment).toEqual({ name: 'plain ground', colour: '#808080' });
        for (const [tone, colour] of [[0, '#000000'], [2, '#050505'], [100, '#ffffff']] as const) {
            peg.tone = tone;
            expect(peg.garment?.colour).toBe(colour);
        }
    });

    test('holds the art of one revision of one job', async () => {
        hang([]);
        const peg = usePeg();
        expect(peg.hangs).toBe(false);
        peg.hung = 101;
        expect(peg.hangs).toBe(true);
        const sheet = useSheet();
        sheet.job = { ...sheet.job, revision: 102 } as BenchJob;
        expect(peg.hangs).toBe(false);
        sheet.job = { ...sheet.job, id: 8, revision: 101 } as BenchJob;
        await nextTick();
        expect(peg.hung).toBeNull();
    });

    test('answers the colour that is picked, and tells the one who asked before that nothing comes', async () => {
        const peg = usePeg();
        const first = peg.pickColour();
        const second = peg.pickColour();
        expect(await first).toBeNull();
        peg.colourWanted?.('#c8452c');
        expect(await second).toBe('#c8452c');
        expect(peg.colourWanted).toBeNull();
    });
});

test.describe('a piece', () => {
    test('has its lines in the order in which they stand', () => {
        const lines = linesOf(piece('a', { effects: [{ kind: 'fill' }], repeat: { kind: 'row' }, masks: [{ kind: 'ellipse' }], distress: [{ texture: 'speckle' }] } as unknown as Partial<Layer>));
        expect(lines.id).toBe('a');
        expect(lines.lines.map((line) => Object.values(JSON.parse(line) as object)[0])).toEqual(['fill', 'row', 'ellipse', 'speckle']);
        expect(linesOf(undefined)).toEqual({ id: '', lines: [] });
    });

    test('tells which line is new, wherever it was put', () => {
        expect(fresh(['a', 'b'], ['a', 'b', 'c'])).toBe(2);
        expect(fresh(['a', 'b'], ['c', 'a', 'b'])).toBe(0);
        expect(fresh(['a', 'b'], ['a', 'c', 'b'])).toBe(1);
        expect(fresh(['a', 'b'], ['a', 'b'])).toBe(-1);
        expect(fresh([], ['a'])).toBe(0);
    });

    test('takes a stroke on the brush of its line, or on a new one', () => {
        const mask = newMask('brush', { strokes: [stroke] });
        expect(mask).toMatchObject({ kind: 'brush', inverted: false, joining: 'within', on: true });
        const once = withStroke(piece('a'), stroke, 0);
        expect(once.masks).toEqual([mask]);
        const twice = withStroke(once, { ...stroke, restores: true }, 0);
        expect(twice.masks).toHaveLength(1);
        expect(twice.masks[0]).toMatchObject({ strokes: [{ restores: false }, { restores: true }] });
        // What it was called on is left as it was.
        expect(once.masks[0]).toMatchObject({ strokes: [{ restores: false }] });
        const other = piece('a', { masks: [newMask('ellipse', { x: 0.5, y: 0.5, width: 1, height: 1, feather: 0, count: 5 })] });
        expect(withStroke(other, stroke, 0).masks.map((one) => one.kind)).toEqual(['ellipse', 'brush']);
    });
});

test.describe('what this browser keeps', () => {
    const held = { title: 'Moth night' } as Artwork;
    const set = { title: 'Moth night, late' } as Artwork;

    function storage(full = false): Map<string, string> {
        const kept = new Map<string, string>();
        globalThis.localStorage = {
            getItem: (key: string) => kept.get(key) ?? null,
            setItem: (key: string, value: string) => {
                if (full) {
                    throw new DOMException('full', 'QuotaExceededError');
                }
                kept.set(key, value);
            },
            removeItem: (key: string) => void kept.delete(key),
        } as unknown as Storage;
        return kept;
    }

    test('is what differs from the sheet that the server holds, by job', () => {
        storage();
        keepDraft(7, { version: 3, artwork: set });
        expect(draftOf(7, held)).toEqual({ version: 3, artwork: set });
        expect(draftOf(8, held)).toBeNull();
        expect(draftOf(7, set)).toBeNull();
        dropDraft(7);
        expect(draftOf(7, held)).toBeNull();
    });

    test('is nothing where it is full, spoiled or not to be had, and nothing breaks', () => {
        const kept = storage(true);
        kept.set('unsaved 7', JSON.stringify({ version: 1, artwork: held }));
        keepDraft(7, { version: 3, artwork: set });
        // An older draft is no draft of what is set now.
        expect(draftOf(7, set)).toBeNull();
        kept.set('unsaved 7', '{"version":');
        expect(draftOf(7, held)).toBeNull();
        globalThis.localStorage = { getItem: () => { throw new DOMException('no', 'SecurityError'); }, setItem: () => { throw new DOMException('no', 'SecurityError'); }, removeItem: () => { throw new DOMException('no', 'SecurityError'); } } as unknown as Storage;
        keepDraft(7, { version: 3, artwork: set });
        dropDraft(7);
        expect(draftOf(7, held)).toBeNull();
    });
});

test('a colour is three digits or six, with its sign or without', () => {
    expect(['#C8452C', 'c8452c', ' #fa0 ', 'FA0'].map(colourOf)).toEqual(['#c8452c', '#c8452c', '#ffaa00', '#ffaa00']);
    expect(['', '#', '#12', '#12345', '#1234567', 'red', '#12345g', '##123456'].map(colourOf)).toEqual(Array(8).fill(null));
});
