import { expect, test } from '@playwright/test';
import { allRead, reading, whileReading } from '../../resources/ts/stores/reading';
import { counted } from '../../resources/ts/words/counted';
import { CORNERS, cornersOf, inTurn, placed, toLine, type Corner } from '../../resources/ts/tokens/corners';

const whole: Corner[] = [[0, 0], [1, 0], [1, 1], [0, 1]];

test('reads the corners of a line and writes them back', () => {
    const line = { kind: 'straighten' as const, on: true, x1: 0.1, y1: 0.2, x2: 0.9, y2: 0.15, x3: 0.8, y3: 0.9, x4: 0.2, y4: 0.95 };
    expect(cornersOf(line)).toEqual([[0.1, 0.2], [0.9, 0.15], [0.8, 0.9], [0.2, 0.95]]);
    expect({ ...line, ...toLine(cornersOf(line)) }).toEqual(line);
    expect(CORNERS).toHaveLength(4);
});

test('holds corners near the picture, to a hundredth of a per cent', () => {
    expect(placed([-3, 2.2])).toEqual([-0.5, 1.5]);
    expect(placed([0.123456, 0.98765])).toEqual([0.1235, 0.9877]);
});

test('takes four corners that go round in turn, and nothing that crosses, folds in or has no breadth', () => {
    expect(inTurn(whole)).toBe(true);
    expect(inTurn([[0.2, 0.15], [0.85, 0.25], [0.7, 0.9], [0.1, 0.7]])).toBe(true);
    // The other way round the picture would come out as in a mirror.
    expect(inTurn([...whole].reverse())).toBe(false);
    expect(inTurn([[0, 0], [1, 1], [1, 0], [0, 1]])).toBe(false);
    expect(inTurn([[0, 0], [1, 0], [0.3, 0.3], [0, 1]])).toBe(false);
    expect(inTurn([[0, 0], [0.5, 0], [1, 0], [0, 1]])).toBe(false);
    expect(inTurn([[0.5, 0.5], [0.5, 0.5], [0.5, 0.5], [0.5, 0.5]])).toBe(false);
});

test('waits until all that was typed is read, however it ends', async () => {
    expect(reading.value).toBe(0);
    await allRead();
    const order: string[] = [];
    const after = (ms: number, what: string): Promise<void> => new Promise((done) => setTimeout(() => {
        order.push(what);
        done();
    }, ms));
    const slow = whileReading(() => after(60, 'slow'));
    const failing = whileReading(async () => {
        await after(20, 'failing');
        throw new Error('not a length');
    });
    expect(reading.value).toBe(2);
    const acted = allRead().then(() => order.push('acted'));
    await expect(failing).rejects.toThrow('not a length');
    expect(reading.value).toBe(1);
    await Promise.all([slow, acted]);
    expect(order).toEqual(['failing', 'slow', 'acted']);
    expect(reading.value).toBe(0);
});

test('counts one and several', () => {
    expect([counted(0, 'shirt'), counted(1, 'shirt'), counted(2, 'shirt'), counted(1, 'entry', 'entries'), counted(3, 'entry', 'entries')]).toEqual(['0 shirts', '1 shirt', '2 shirts', '1 entry', '3 entries']);
});
