<script setup lang="ts" generic="T extends string">
import { phrase } from '../words/choices';

const props = withDefaults(defineProps<{ value: T; choices: readonly string[]; label: string; words?: Record<string, string> }>(), { words: () => ({}) });
const emit = defineEmits<{ change: [value: T] }>();
</script>

<template>
    <select class="token" :aria-label="props.label" :value="value" @change="emit('change', ($event.target as HTMLSelectElement).value as T)">
        <option v-for="choice in choices" :key="choice" :value="choice">{{ words[choice] ?? phrase(choice) }}</option>
    </select>
</template>
