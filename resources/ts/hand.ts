import { onBeforeUnmount } from 'vue';

/** Layout changes wait while a pointer is down, so that nothing moves under a press. */
let down = false;
const waiting: (() => void)[] = [];

/** Milliseconds that a response or page waits for a press to end; a drag lasts longer and may need it. */
const PATIENCE = 250;

function letGo(): void {
    down = false;
    waiting.splice(0).forEach((go) => go());
}

/** Starts watching the pointer. The release is handled before other handlers, so that a press sees typed values already committed. */
export function watchHand(): void {
    // Not on drag surfaces, which never shift and need responses at once. Native selects do not report the release.
    window.addEventListener('pointerdown', ({ target, button }) => (down = !button && !(target as Partial<Element> | null)?.closest?.('[role=application], select')), { capture: true });
    for (const end of ['pointerup', 'pointercancel', 'keydown', 'blur']) {
        window.addEventListener(end, (event) => (end !== 'blur' || event.target === window) && letGo(), { capture: true });
    }
    // A release that went elsewhere, such as to a browser menu, is noticed when the pointer returns.
    window.addEventListener('pointermove', ({ buttons }) => down && buttons === 0 && letGo(), { capture: true });
}

/** Runs at once, or when the pointer is released. */
export function onceReleased(work: () => void): void {
    if (down) {
        waiting.push(work);
    } else {
        work();
    }
}

/** Resolves when no pointer is down and the click was handled, or after a quarter of a second. */
export function released(): Promise<void> {
    return down ? new Promise((done) => { onceReleased(() => setTimeout(done)); setTimeout(done, PATIENCE); }) : Promise.resolve();
}

/** Commits a field when it loses the focus, after the pointer is released, or when it is unmounted, such as when another layer is selected. */
export function useLeaving(commit: () => void, asItGoes = commit): () => void {
    let gone = false;
    onBeforeUnmount(() => {
        asItGoes();
        gone = true;
    });

    return () => onceReleased(() => gone || commit());
}
