import { onScopeDispose, ref, watch, type Ref } from 'vue';

/** Thumbnails are requested one after another, so that they never delay other requests. */
let last: Promise<unknown> = Promise.resolve();

function inTurn(address: string, wanted: AbortSignal): Promise<boolean> {
    const mine = last.then(async () => {
        if (wanted.aborted) {
            return false;
        }
        const image = new Image();
        image.src = address;
        let isLoading = true;
        const calledOff = new Promise<boolean>((done) => {
            wanted.addEventListener('abort', () => {
                // An empty URL aborts loading; a pending decode is then never settled.
                image.src = isLoading ? '' : image.src;
                done(false);
            }, { once: true });
        });
        return Promise.race([calledOff, image.decode().then(() => true, () => false)]).finally(() => (isLoading = false));
    });
    last = mine;
    return mine;
}

/**
 * A picture of what only changes with `of`: the old one until the new one has come.
 *
 * @param of  changes when the picture does
 * @param address  where it lies now; null while it is not to be asked for
 */
export function useSmallPicture(of: Ref<string>, address: Ref<string | null>): Ref<string | null> {
    const shown = ref<string | null>(null);
    let wanted = new AbortController();
    let drawn = '';
    watch([of, () => address.value !== null], () => {
        const url = address.value;
        const what = of.value;
        if (url === null || what === drawn) {
            return;
        }
        wanted.abort();
        const mine = (wanted = new AbortController());
        void inTurn(url, mine.signal).then((came) => {
            if (came && !mine.signal.aborted) {
                shown.value = url;
                drawn = what;
            }
        });
    }, { immediate: true });
    onScopeDispose(() => wanted.abort());
    return shown;
}
