import type { Directive } from 'vue';

/**
 * Gives the field the focus as it comes on the screen, and never again: Vuetify's own `autofocus` waits until the field is in sight, and
 * takes the focus then from whoever was quick enough to be typing in the next one.
 */
export const vFirst: Directive<HTMLElement, boolean | undefined> = {
    mounted(element, { value }) {
        if (value !== false) {
            element.querySelector<HTMLElement>('input, textarea')?.focus();
        }
    },
};
