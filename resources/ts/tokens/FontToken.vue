<script setup lang="ts">
import { computed, ref } from 'vue';
import { useShop } from '../server/queries';
import ShelfFinder from './ShelfFinder.vue';

const props = defineProps<{ value: string; sample: string; optional?: boolean }>();
const emit = defineEmits<{ change: [file: string] }>();

const shop = useShop();
const open = ref(false);
const current = computed(() => (props.value === '' ? "the text's own font" : (shop.asset(props.value)?.title ?? props.value)));
</script>

<template>
    <button type="button" class="token" :aria-label="`font: ${current}, choose`" @click="open = true">{{ current }}</button>
    <ShelfFinder v-model="open" kind="font" :value="value" title="Your words in each font" :words="sample" :clear="optional ? 'The text\'s own font' : ''" @choose="emit('change', $event)" />
</template>
