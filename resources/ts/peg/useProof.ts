import { onScopeDispose, ref, watch, type Ref } from 'vue';

/**
 * Shows a picture by URL, keeping the old one until the new one is loaded. `late` becomes true if it takes a while, `lost`
 * if it cannot be loaded.
 */
export function usePicture(address: Ref<string | null>): { shown: Ref<string | null>; late: Ref<boolean>; lost: Ref<boolean>; again: () => void } {
    const shown = ref<string | null>(null);
    const late = ref(false);
    const lost = ref(false);
    let timer = 0;
    let wanted = 0;

    function fetchPicture(url: string | null): void {
        const mine = ++wanted;
        window.clearTimeout(timer);
        lost.value = late.value = false;
        if (url === null || url === shown.value) {
            shown.value = url;
            return;
        }
        timer = window.setTimeout(() => (late.value = true), 350);
        const image = new Image();
        image.src = url;
        image
            .decode()
            .then(() => mine === wanted && (shown.value = url))
            .catch(() => mine === wanted && (lost.value = true))
            .finally(() => {
                if (mine === wanted) {
                    window.clearTimeout(timer);
                    late.value = false;
                }
            });
    }

    watch(address, fetchPicture, { immediate: true });
    onScopeDispose(() => window.clearTimeout(timer));
    return { shown, late, lost, again: () => fetchPicture(address.value) };
}
