<script setup lang="ts">
const props = withDefaults(defineProps<{ value: string; choices: string[]; label: string; words?: Record<string, string> }>(), { words: () => ({}) });
const emit = defineEmits<{ change: [value: string] }>();
</script>

<template>
    <select class="token" :aria-label="props.label" :value="value" @change="emit('change', ($event.target as HTMLSelectElement).value)">
        <option v-for="choice in choices" :key="choice" :value="choice">{{ words[choice] ?? choice }}</option>
    </select>
</template>
