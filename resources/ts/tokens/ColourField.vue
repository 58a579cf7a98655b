<script setup lang="ts">
import { ref, watch } from 'vue';
import { useLeaving } from '../hand';
import { colourOf } from './colours';

/** A form field for a colour: # and six digits, or a colour picker. */
defineProps<{ label: string }>();
const value = defineModel<string>({ required: true });
const typed = ref(value.value);
const wrong = ref(false);
watch(value, (now) => (typed.value = now));

function commit(): void {
    const colour = colourOf(typed.value);
    wrong.value = colour === null;
    if (colour !== null) {
        value.value = typed.value = colour;
    }
}

const leave = useLeaving(commit);
</script>

<template>
    <v-text-field
        v-model="typed" :label="label" spellcheck="false" maxlength="9" :error-messages="wrong ? 'Write # and six digits, such as #1d2b1f.' : ''" @blur="leave" @keydown.enter.prevent="commit"
    >
        <template #prepend-inner>
            <v-menu :close-on-content-click="false" location="bottom start">
                <template #activator="{ props: opener }"><button v-bind="opener" type="button" class="swatch" :style="{ background: value }" :aria-label="`${label}: choose, now ${value}`"></button></template>
                <v-color-picker :model-value="value" mode="hex" :modes="['hex']" elevation="2" width="260" hide-inputs @update:model-value="value = $event.slice(0, 7).toLowerCase()" />
            </v-menu>
        </template>
    </v-text-field>
</template>
