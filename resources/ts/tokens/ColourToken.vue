<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { useBench } from '../stores/bench';
import { coloursOf } from '../bench/colours';

const props = defineProps<{ value: string; label: string }>();
const emit = defineEmits<{ change: [value: string] }>();

const bench = useBench();
const open = ref(false);
const picked = ref(props.value);
const typed = ref(props.value);
const wrong = ref(false);
const inUse = computed(() => (bench.artwork ? coloursOf(bench.artwork) : []));

watch(() => props.value, (value) => {
    picked.value = typed.value = value;
    wrong.value = false;
});
watch(open, (now) => {
    if (!now && picked.value.toLowerCase() !== props.value.toLowerCase()) {
        emit('change', picked.value.slice(0, 7).toLowerCase());
    }
});

function commit(): void {
    const text = typed.value.trim();
    const match = /^#?([0-9a-f]{6}|[0-9a-f]{3})$/i.exec(text);
    wrong.value = !match;
    if (match?.[1]) {
        const digits = match[1].length === 3 ? match[1].replace(/./g, '$&$&') : match[1];
        const hex = `#${digits.toLowerCase()}`;
        typed.value = hex;
        if (hex !== props.value.toLowerCase()) {
            emit('change', hex);
        }
    }
}

function take(colour: string): void {
    picked.value = colour;
    open.value = false;
}
</script>

<template>
    <span class="token-wrap colour-token">
        <v-menu v-model="open" :close-on-content-click="false" location="bottom start">
            <template #activator="{ props: opener }">
                <button v-bind="opener" type="button" class="swatch" :style="{ background: value }" :aria-label="`${label}: choose, now ${value}`"></button>
            </template>
            <div class="colour-menu">
                <p class="small">Colours on this sheet</p>
                <div class="swatch-row">
                    <button v-for="colour in inUse" :key="colour" type="button" class="swatch" :style="{ background: colour }" :aria-label="colour" @click="take(colour)"></button>
                </div>
                <v-color-picker v-model="picked" mode="hex" :modes="['hex']" elevation="0" width="260" hide-inputs />
            </div>
        </v-menu>
        <input
            v-model="typed"
            class="token measure"
            :class="{ wrong }"
            :style="{ width: '8.2ch' }"
            :aria-label="label"
            :aria-invalid="wrong ? 'true' : undefined"
            spellcheck="false"
            @focus="($event.target as HTMLInputElement).select()"
            @blur="commit"
            @keydown.enter.prevent="commit"
        />
        <span v-if="wrong" class="token-wrong" role="alert">Write a colour as # and six digits, such as #1d2b1f.</span>
    </span>
</template>
