<script setup lang="ts" generic="T extends string">
import { ref } from 'vue';
import { VList, VListItem } from 'vuetify/components';
import TriedPicture from '../pictures/TriedPicture.vue';
import type { Operation } from '../types';
import { phrase } from '../words/choices';

/** A choice of which each option is previewed on the layer. */
const props = defineProps<{ value: T; choices: readonly T[]; label: string; words?: Record<string, string>; layer: string; trying: (choice: T) => Operation[] }>();
const emit = defineEmits<{ change: [value: T] }>();
const open = ref(false);
const said = (choice: T): string => props.words?.[choice] ?? phrase(choice);

function take(choice: T): void {
    open.value = false;
    if (choice !== props.value) {
        emit('change', choice);
    }
}
</script>

<template>
    <v-menu v-model="open" location="bottom start" max-height="420">
        <template #activator="{ props: opener }"><button v-bind="opener" type="button" class="token" :aria-label="`${label}: ${said(value)}, choose`">{{ said(value) }}</button></template>
        <v-list class="picture-choices" density="compact" :aria-label="label" role="listbox">
            <v-list-item v-for="choice in choices" :key="choice" :active="choice === value" role="option" :aria-selected="choice === value" @click="take(choice)">
                <template #prepend><TriedPicture :layer="layer" :operations="trying(choice)" /></template>{{ said(choice) }}
            </v-list-item>
        </v-list>
    </v-menu>
</template>

<style>
.picture-choices { border: 1px solid var(--ink); display: grid; grid-template-columns: repeat(2, minmax(180px, 1fr)); }
.picture-choices .v-list-item__prepend { margin-right: 8px; }
</style>
