import { touched } from '../../resources/ts/peg/touched';
import { expect, test } from '@playwright/test';
import { cuts, extra, outline } from '../../resources/ts/peg/garments';
import { gap, snap } from '../../resources/ts/peg/snapping';
import { quantities } from '../../resources/ts/tokens/quantity';
import { ago, effectWords, label, parts } from '../../resources/ts/words/lines';
import type { EffectLine, Parameter } from '../../resources/ts/types';

const sheet = { width: 12, height: 16 };
const other = { name: 'Sun disc', box: { left: 4, top: 4, width: 2, height: 2 } };

test('snaps to the middle of the sheet and to the edges and middles of pieces', () => {
    const near = snap({ left: 5.03, top: 10, width: 2, height: 1 }, sheet, [], 0.1);
    expect(near.dx).toBeCloseTo(-0.03, 9);
    expect(near.guides).toEqual([{ axis: 'x', at: 6, to: 'the middle of the sheet' }]);

    const beside = snap({ left: 3.95, top: 4.96, width: 3, height: 5 }, sheet, [other], 0.1);
    expect(beside.dx).toBeCloseTo(0.05, 9);
    expect(beside.dy).toBeCloseTo(0.04, 9);
    expect(beside.guides.map((guide) => guide.to)).toEqual(['Sun disc', 'Sun disc']);
});

test('leaves alone what is not near', () => {
    expect(snap({ left: 0.4, top: 0.4, width: 1, height: 1 }, sheet, [other], 0.1)).toEqual({ dx: 0, dy: 0, guides: [] });
});

test('takes the nearest of two lines', () => {
    const two = [other, { name: 'Kite', box: { left: 5.02, top: 0, width: 1, height: 1 } }];
    expect(snap({ left: 5.03, top: 10, width: 0.5, height: 0.5 }, sheet, two, 0.1).guides[0]?.to).toBe('Kite');
});

test('tells the narrowest room to a piece that lies across from it', () => {
    expect(gap({ left: 4.5, top: 6.4, width: 1, height: 1 }, [other])).toMatchObject({ side: 'below', name: 'Sun disc' });
    expect(gap({ left: 4.5, top: 6.4, width: 1, height: 1 }, [other])?.inches).toBeCloseTo(0.4, 9);
    expect(gap({ left: 7, top: 4, width: 1, height: 1 }, [other])?.side).toBe('right of');
    expect(gap({ left: 2.9, top: 4, width: 1, height: 1 }, [other])?.side).toBe('left of');
    expect(gap({ left: 4, top: 1, width: 1, height: 1 }, [other])?.side).toBe('above');
    expect(gap({ left: 9, top: 9, width: 1, height: 1 }, [other])).toBeNull();
    expect(gap({ left: 4.5, top: 4.5, width: 1, height: 1 }, [other])).toBeNull();
});

test('draws every garment closed and the same on both sides', () => {
    for (const [product, cut] of Object.entries(cuts)) {
        for (const side of ['front', 'back']) {
            const path = outline(cut, side);
            expect(path.startsWith(`M${cut.neck.half} 0`) && path.endsWith('Z')).toBe(true);
            const xs = [...path.matchAll(/[ML](-?[\d.]+) |Q\S+ \S+ (-?[\d.]+) /g)].map((found) => Number(found[1] ?? found[2]));
            expect(Math.abs(Math.max(...xs) + Math.min(...xs)), product).toBeLessThan(1e-9);
        }
        expect(cut.body.height + cut.top).toBeLessThanOrEqual(cut.length);
    }
    expect(extra('hoodie')).not.toBeNull();
    expect(extra('tee')).toBeNull();
});

test('shows and reads shares, angles and numbers as sellers write them', async () => {
    expect(quantities.share.show(0.355)).toBe('35.5 %');
    expect(await quantities.share.read('35,5 %', 300)).toBeCloseTo(0.355, 9);
    expect(await quantities.angle.read('−4.5°', 300)).toBe(-4.5);
    expect(await quantities.number.read('1.2×', 300)).toBe(1.2);
    expect(quantities.length.show(9.4)).toBe('9.40 in');
    await expect(quantities.share.read('much', 300)).rejects.toThrow('"much" is not a number.');
    await expect(quantities.number.read('  ', 300)).rejects.toThrow('is not a number');
});

test('asks the core for lengths and for nothing else', async () => {
    const asked: string[] = [];
    const before = globalThis.fetch;
    const page = globalThis.document;
    globalThis.document = { cookie: '' } as Document;
    globalThis.fetch = (async (url: string) => {
        asked.push(url);
        return new Response(JSON.stringify({ inches: 9.448818 }), { status: 200 });
    }) as typeof fetch;
    try {
        expect(await quantities.length.read('240 mm', 300)).toBeCloseTo(9.448818, 6);
        await quantities.share.read('5 %', 300);
    } finally {
        globalThis.fetch = before;
        globalThis.document = page;
    }
    expect(asked).toEqual(['/api/lengths?text=240+mm&ppi=300']);
});

const parameter = (name: string): Parameter => ({ name, kind: 'length', least: 0, most: 1, default: 0, choices: [], pictured: false });

test('puts an effect\'s parameters into its sentence', () => {
    const says = (line: Record<string, string>, names: string[]): string =>
        parts({ kind: 'outline', on: true, ...line } as EffectLine, names.map(parameter)).map((part) => (typeof part === 'string' ? part : `<${part.name}>`)).join('');
    const names = ['width', 'colour', 'side', 'join', 'mitreLimit', 'about', 'crumbs'];
    expect(says({ join: 'mitre', side: 'outside' }, names)).toBe('Outline <width> in <colour>, <side>, <join> corners, points up to <mitreLimit> ×, about <about>, crumbs under <crumbs> dropped');
    expect(says({ join: 'round', side: 'outside' }, names)).toBe('Outline <width> in <colour>, <side>, <join> corners, about <about>, crumbs under <crumbs> dropped');
    expect(says({ join: 'mitre', side: 'inside' }, names)).toBe('Outline <width> in <colour>, <side>, <join> corners, points up to <mitreLimit> ×');
    expect(says({ kind: 'wave', by: 'inches' }, ['by', 'bend', 'rise', 'waves'])).toBe('Wave <by> <rise>, waves <waves>');
    expect(says({ kind: 'wave', by: 'percent' }, ['by', 'bend', 'rise', 'waves'])).toBe('Wave <by> <bend>, waves <waves>');
});

test('reads an effect that has no words yet by its own name', () => {
    expect(parts({ kind: 'shimmer', on: true } as unknown as EffectLine, [parameter('by')]).map((part) => (typeof part === 'string' ? part : part.name))).toEqual(['shimmer ', 'by']);
    expect(label('shimmer', 'by')).toBe('by');
});

test('names every parameter that a sentence shows', () => {
    for (const [kind, words] of Object.entries(effectWords)) {
        for (const [, name] of words.sentence.matchAll(/\{(\w+)\}/g)) {
            expect(words.labels[name ?? ''], `${kind} ${name}`).toBeTruthy();
        }
    }
});

test('says how long ago in few words', () => {
    const before = (minutes: number): string => new Date(Date.now() - minutes * 60000).toISOString();
    expect(ago(before(0))).toBe('just now');
    expect(ago(before(12))).toBe('12 min ago');
    expect(ago(before(180))).toBe('3 h ago');
    expect(ago('2026-01-05T10:00:00Z')).toBe('2026-01-05');
});

test('chooses by a rectangle what prints and is touched', () => {
    const box = (left: number, top: number) => ({ left, top, width: 2, height: 1 });
    const layers = ['a', 'b', 'c', 'd'].map((id) => ({ id, on: id !== 'c' })) as never;
    const measures = new Map([['a', { box: box(0, 0) }], ['b', { box: box(5, 5) }], ['c', { box: box(0, 0) }], ['d', { box: null }]]) as never;
    expect(touched({ left: 1.9, top: 0.9, width: 1, height: 1 }, layers, measures)).toEqual(['a']);
    expect(touched({ left: 2, top: 0, width: 3, height: 5 }, layers, measures)).toEqual([]);
    expect(touched({ left: -1, top: -1, width: 9, height: 9 }, layers, measures)).toEqual(['a', 'b']);
});
