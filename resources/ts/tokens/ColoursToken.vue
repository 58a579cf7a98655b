<script setup lang="ts">
import ColourToken from './ColourToken.vue';

const props = defineProps<{ value: string[]; least: number; most: number; label: string }>();
const emit = defineEmits<{ change: [value: string[]] }>();

function set(index: number, colour: string): void {
    emit('change', props.value.map((old, i) => (i === index ? colour : old)));
}
</script>

<template>
    <span class="token-wrap colours-token">
        <template v-for="(colour, i) in value" :key="i">
            <ColourToken :value="colour" :label="`${label} ${i + 1}`" @change="set(i, $event)" />{{ i < value.length - 1 ? ', ' : '' }}
        </template>
        <button v-if="value.length < most" type="button" class="token tiny" :aria-label="`${label}: one more`" title="One more colour" @click="emit('change', [...value, value[value.length - 1] ?? '#f3ead7'])">+</button>
        <button v-if="value.length > least" type="button" class="token tiny" :aria-label="`${label}: one fewer`" title="One colour fewer" @click="emit('change', value.slice(0, -1))">−</button>
    </span>
</template>
