import { computed, nextTick, reactive, toValue, watch, type MaybeRefOrGetter } from 'vue';
import { Refused, said } from '../api';

export interface Faults {
    /** What is wrong with a field of the form. */
    of: (field: string) => string[];
    /** In one text, all that no field of the form shows; empty when there is nothing. */
    other: string;
}

/** Brings the first field that was refused, or else what was said, into sight of the form whose button was pressed. */
async function toTheFirst(): Promise<void> {
    await nextTick();
    await new Promise((drawn) => requestAnimationFrame(drawn));
    const form = document.activeElement?.closest('form, [role=dialog], main') ?? document.body;
    const field = form.querySelector<HTMLElement>('.v-input--error :is(input, textarea)');
    field?.focus();
    (field?.closest('.v-input') ?? form.querySelector('[role=alert]'))?.scrollIntoView({ block: 'nearest' });
}

/** What the server refused of a form, told at its fields where they are named; one that ends in a dot stands for all that begin so ("facts."). */
export function useFaults(error: MaybeRefOrGetter<unknown>, ...fields: string[]): Faults {
    const named = computed(() => {
        const refused = toValue(error);
        return refused instanceof Refused ? refused.fields : {};
    });
    const shown = (name: string): boolean => fields.some((field) => field === name || (field.endsWith('.') && name.startsWith(field)));
    const other = computed(() => {
        const names = Object.keys(named.value);
        const refused = toValue(error);
        return names.length > 0 ? names.filter((name) => !shown(name)).flatMap((name) => named.value[name]).join(' ') : refused ? said(refused) : '';
    });
    watch(() => toValue(error), (now) => now && void toTheFirst());

    return reactive({ of: (field: string) => named.value[field] ?? [], other });
}
