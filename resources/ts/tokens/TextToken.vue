<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import { useLeaving } from '../hand';

const props = defineProps<{ value: string; label: string }>();
const emit = defineEmits<{ change: [value: string] }>();

const typed = ref(props.value);
watch(() => props.value, (value) => (typed.value = value));
const lines = computed(() => typed.value.split('\n'));
const widest = computed(() => Math.min(30, Math.max(4, ...lines.value.map((line) => line.length + 1))));

function commit(): void {
    if (typed.value !== props.value) {
        emit('change', typed.value);
    }
}

const leave = useLeaving(commit);

// Save half-typed words before the page is closed.
useEventListener(window, 'pagehide', commit);

function enter(event: KeyboardEvent): void {
    if (!event.shiftKey) {
        event.preventDefault();
        commit();
    }
}
</script>

<template>
    <textarea
        v-model="typed"
        class="token words"
        :rows="Math.min(8, lines.length)"
        :cols="widest"
        :aria-label="label"
        title="Enter saves, Shift+Enter starts a new line"
        spellcheck="false"
        @blur="leave"
        @keydown.enter="enter"
        @keydown.esc.prevent="typed = value"
    ></textarea>
</template>
