<script setup lang="ts">
import { toRef } from 'vue';
import { useSmallPicture } from '../peg/useSmallPicture';

/** A small picture that waits for its turn, so that nothing a hand asks for waits behind it. */
const props = defineProps<{ src: string; alt: string }>();
const shown = useSmallPicture(toRef(props, 'src'), toRef(props, 'src'));
</script>

<template><img v-if="shown" :src="shown" :alt="alt" /><span v-else class="small" role="img" :aria-label="`${alt || 'picture'}: being drawn`">…</span></template>
