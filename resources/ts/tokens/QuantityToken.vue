<script setup lang="ts">
import { computed, ref, useId, watch } from 'vue';
import { said } from '../api';
import { useLeaving } from '../hand';
import { quantities, type QuantityKind } from './quantity';
import { whileReading } from '../stores/reading';

const props = withDefaults(
    defineProps<{ value: number; kind: QuantityKind; label: string; least?: number; most?: number; ppi?: number; step?: number; placeholder?: string; onChange?: (value: number) => void }>(),
    { least: -Infinity, most: Infinity, ppi: 300, step: 0, placeholder: '', onChange: () => undefined },
);

const quantity = computed(() => quantities[props.kind]);
const shown = computed(() => props.placeholder || quantity.value.show(props.value));
const typed = ref(shown.value);
const wrong = ref('');
const problem = useId();

watch(shown, (text) => {
    typed.value = text;
    wrong.value = '';
});

function bounded(value: number): number {
    return Math.min(props.most, Math.max(props.least, value));
}

function commit(): void {
    if (typed.value === shown.value) {
        wrong.value = '';
    } else {
        void whileReading(take);
    }
}

// A refused value is not sent again when the field is left.
const leave = useLeaving(commit, () => wrong.value === '' && commit());

async function take(): Promise<void> {
    // Bind the handler now, since another layer may be selected when the value arrives.
    const give = props.onChange;
    try {
        const value = await quantity.value.read(typed.value, props.ppi);
        if (value < props.least - 1e-9 || value > props.most + 1e-9) {
            wrong.value = `The ${props.label} runs from ${quantity.value.show(props.least)} to ${quantity.value.show(props.most)}.`;
            return;
        }
        wrong.value = '';
        const same = Math.abs(value - props.value) < 1e-9;
        typed.value = shown.value;
        if (!same) {
            give(value);
        }
    } catch (error) {
        wrong.value = said(error);
    }
}

function stepBy(event: KeyboardEvent, direction: number): void {
    event.preventDefault();
    const by = (props.step || quantity.value.step) * direction * (event.shiftKey ? 10 : 1);
    props.onChange(bounded(Math.round((props.value + by) * 1e6) / 1e6));
}

function revert(): void {
    typed.value = shown.value;
    wrong.value = '';
}
</script>

<template>
    <span class="token-wrap">
        <input
            v-model="typed"
            class="token measure"
            :class="{ wrong }"
            :style="{ width: `${Math.max(typed.length, 3) + 0.8}ch` }"
            type="text"
            autocomplete="off"
            spellcheck="false"
            :aria-label="label"
            :aria-invalid="wrong ? 'true' : undefined"
            :aria-describedby="wrong ? problem : undefined"
            @focus="($event.target as HTMLInputElement).select()"
            @blur="leave"
            @keydown.enter.prevent="commit"
            @keydown.esc.prevent="revert"
            @keydown.up="stepBy($event, 1)"
            @keydown.down="stepBy($event, -1)"
        />
        <span v-if="wrong" :id="problem" class="token-wrong" role="alert">{{ wrong }}</span>
    </span>
</template>
