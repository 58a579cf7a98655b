import { computed, nextTick, reactive, toValue, watch, type MaybeRefOrGetter } from 'vue';
import { Refused, said } from '../api';

export interface Faults {
    /** Errors of a field, or of all fields that match a name ending in a star: "facts.*". */
    of: (field: string) => string[];
    /** All errors not shown at a field, as one text; empty if there are none. */
    other: string;
}

const isOf = (field: string, name: string): boolean => (field.endsWith('*') ? name.startsWith(field.slice(0, -1)) : field === name);
const sentence = (words: string): string => `${words.charAt(0).toUpperCase()}${words.slice(1)}${words.endsWith('.') ? '' : '.'}`;

/** Scrolls to the first field with an error, or to the message, in the form that has the focus. */
async function toTheFirst(isAtField: boolean): Promise<void> {
    await nextTick();
    await new Promise((drawn) => requestAnimationFrame(drawn));
    const form = document.activeElement?.closest('form, [role=dialog]');
    const wrong = '.v-input--error :is(input, textarea)';
    const field = isAtField ? (form?.querySelector<HTMLElement>(wrong) ?? document.querySelector<HTMLElement>(`main ${wrong}`)) : null;
    field?.focus();
    (field?.closest('.v-input') ?? form?.querySelector('[role=alert]'))?.scrollIntoView({ block: 'nearest' });
}

/** Maps the server's validation errors to the fields named here. */
export function useFaults(error: MaybeRefOrGetter<unknown>, ...fields: string[]): Faults {
    const told = computed(() => {
        const refused = toValue(error);
        return refused instanceof Refused
            ? [...Object.entries(refused.fields).flatMap(([name, all]) => all.map((words) => ({ name, words, alone: words }))), ...refused.faults.map(({ path, reason }) => ({ name: path, words: sentence(reason), alone: `${path}: ${reason}` }))]
            : [];
    });
    const isShown = ({ name }: { name: string }): boolean => fields.some((field) => isOf(field, name));
    const other = computed(() => {
        const refused = toValue(error);
        return told.value.length > 0 ? told.value.filter((one) => !isShown(one)).map((one) => one.alone).join(' ') : refused ? said(refused) : '';
    });
    watch(() => toValue(error), (now) => now && void toTheFirst(told.value.some(isShown)));

    return reactive({ of: (field: string) => told.value.filter((one) => isOf(field, one.name)).map((one) => one.words), other });
}
