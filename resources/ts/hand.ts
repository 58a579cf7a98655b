import { onBeforeUnmount } from 'vue';

/** Nothing moves under a press: what would change the page while a pointer is held down waits until it is let go. */
let down = false;
const waiting: (() => void)[] = [];

/** How long, in ms, an answer of the server or a page waits for a press to end; a drag takes longer, and may need it. */
const PATIENCE = 250;

function letGo(): void {
    down = false;
    waiting.splice(0).forEach((go) => go());
}

/** Begins to watch the pointer. Letting go is heard before anything on the page hears it, so that a press finds what was typed. */
export function watchHand(): void {
    // Where something is dragged, nothing gives way under the pointer, and what it asks is answered at once. The browser's own lists keep the letting go to themselves.
    window.addEventListener('pointerdown', ({ target, button }) => (down = !button && !(target as Partial<Element> | null)?.closest?.('[role=application], select')), { capture: true });
    for (const end of ['pointerup', 'pointercancel', 'keydown', 'blur']) {
        window.addEventListener(end, (event) => (end !== 'blur' || event.target === window) && letGo(), { capture: true });
    }
    // A letting go that went elsewhere, as to a menu of the browser's, is seen when the pointer comes back.
    window.addEventListener('pointermove', ({ buttons }) => down && buttons === 0 && letGo(), { capture: true });
}

/** At once, or when the pointer that is down is let go. */
export function onceReleased(work: () => void): void {
    if (down) {
        waiting.push(work);
    } else {
        work();
    }
}

/** When no pointer is down and the press has been heard, or after a quarter of a second. */
export function released(): Promise<void> {
    return down ? new Promise((done) => { onceReleased(() => setTimeout(done)); setTimeout(done, PATIENCE); }) : Promise.resolve();
}

/** Commits a field that is left when the hand lets go, or as the field itself goes away: as when another piece is chosen. */
export function useLeaving(commit: () => void, asItGoes = commit): () => void {
    let gone = false;
    onBeforeUnmount(() => {
        asItGoes();
        gone = true;
    });

    return () => onceReleased(() => gone || commit());
}
