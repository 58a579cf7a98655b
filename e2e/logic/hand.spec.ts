import { expect, test } from '@playwright/test';
import { onceReleased, released, watchHand } from '../../resources/ts/hand';

/** What waits for a press to end: the module alone, with a pointer that is told what to do. */
const where = { isDragged: false };
const page = Object.assign(new EventTarget(), { closest: () => (where.isDragged ? {} : null) });
const before = globalThis.window;
test.beforeAll(() => {
    globalThis.window = page as unknown as typeof globalThis.window;
    watchHand();
});
test.afterAll(() => {
    globalThis.window = before;
});
const happens = (name: string): boolean => page.dispatchEvent(new Event(name));

test('what is typed settles at once when no pointer is down, and before a press is heard when one is', async () => {
    const heard: string[] = [];
    onceReleased(() => heard.push('at once'));
    page.addEventListener('pointerup', () => heard.push('the press'), { once: true });
    happens('pointerdown');
    onceReleased(() => heard.push('typed'));
    expect(heard).toEqual(['at once']);
    happens('pointerup');
    expect(heard).toEqual(['at once', 'typed', 'the press']);
});

test('an answer waits until the press was heard, but not for a drag', async () => {
    const heard: string[] = [];
    await released();
    happens('pointerdown');
    const answer = released().then(() => heard.push('the answer'));
    await new Promise((done) => setTimeout(done, 70));
    expect(heard).toEqual([]);
    page.addEventListener('pointerup', () => void Promise.resolve().then(() => heard.push('the press')), { once: true });
    happens('pointerup');
    await answer;
    expect(heard).toEqual(['the press', 'the answer']);
    happens('pointerdown');
    await released();
    happens('pointercancel');
});

test('where things are dragged nothing waits', () => {
    const heard: string[] = [];
    where.isDragged = true;
    happens('pointerdown');
    onceReleased(() => heard.push('typed'));
    expect(heard).toEqual(['typed']);
    happens('pointerup');
    where.isDragged = false;
    happens('pointerdown');
    onceReleased(() => heard.push('typed again'));
    expect(heard).toEqual(['typed']);
    happens('pointerup');
});

for (const [what, end] of [['that is lost with the window', 'blur'], ['whose letting go was heard elsewhere', 'pointermove'], ['that was left for the keys', 'keydown']] as const) {
    test(`a pointer ${what} holds nothing up`, () => {
        const heard: string[] = [];
        happens('pointerdown');
        onceReleased(() => heard.push('typed'));
        page.dispatchEvent(Object.assign(new Event('pointermove'), { buttons: 1 }));
        expect(heard).toEqual([]);
        page.dispatchEvent(Object.assign(new Event(end), { buttons: 0 }));
        expect(heard).toEqual(['typed']);
    });
}
