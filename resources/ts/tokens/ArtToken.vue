<script setup lang="ts">
import { computed, ref } from 'vue';
import { useShop } from '../server/queries';
import ShelfFinder from './ShelfFinder.vue';

const props = defineProps<{ value: string }>();
const emit = defineEmits<{ change: [file: string] }>();

const shop = useShop();
const open = ref(false);
const current = computed(() => (props.value === '' ? 'not chosen yet' : (shop.asset(props.value)?.title ?? props.value)));
</script>

<template>
    <button type="button" class="token" :aria-label="`picture: ${current}, choose`" @click="open = true">{{ current }}</button>
    <ShelfFinder v-model="open" kind="art" :value="value" title="Pictures on the shelf" @choose="emit('change', $event)" />
</template>
