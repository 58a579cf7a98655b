import type { Directive } from 'vue';

/**
 * Focuses the field once when it is mounted. Vuetify's own `autofocus` waits until the field is visible, and
 * may then take the focus from another field in which the user is already typing.
 */
export const vFirst: Directive<HTMLElement, boolean | undefined> = {
    mounted(element, { value }) {
        if (value !== false) {
            element.querySelector<HTMLElement>('input, textarea')?.focus();
        }
    },
};
