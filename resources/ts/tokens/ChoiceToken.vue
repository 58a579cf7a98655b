<script setup lang="ts">
import { phrase } from '../words/choices';

const props = withDefaults(defineProps<{ value: string; choices: string[]; label: string; words?: Record<string, string> }>(), { words: () => ({}) });
const emit = defineEmits<{ change: [value: string] }>();
</script>

<template>
    <select class="token" :aria-label="props.label" :value="value" @change="emit('change', ($event.target as HTMLSelectElement).value)">
        <option v-for="choice in choices" :key="choice" :value="choice">{{ words[choice] ?? phrase(choice) }}</option>
    </select>
</template>
