<script setup lang="ts">
import { ref, useId, watch } from 'vue';
import { useLeaving } from '../hand';

const props = defineProps<{ value: string; most: number; label: string; offered: string[] }>();
const emit = defineEmits<{ change: [value: string] }>();

const typed = ref(props.value);
const list = useId();
watch(() => props.value, (value) => (typed.value = value));

function commit(): void {
    if (typed.value !== '' && typed.value !== props.value) {
        emit('change', typed.value);
    } else {
        typed.value = props.value;
    }
}

const leave = useLeaving(commit);
</script>

<template>
    <span class="token-wrap">
        <input
            v-model="typed" class="token measure" :style="{ width: `${Math.max(typed.length, 2) + (offered.length ? 3.2 : 1.4)}ch` }" :maxlength="most" :aria-label="label" :list="offered.length ? list : undefined"
            autocomplete="off" spellcheck="false" @focus="($event.target as HTMLInputElement).select()" @blur="leave" @change="leave" @keydown.enter.prevent="commit" @keydown.esc.prevent="typed = value"
        />
        <datalist v-if="offered.length" :id="list"><option v-for="word in offered" :key="word" :value="word" /></datalist>
    </span>
</template>
