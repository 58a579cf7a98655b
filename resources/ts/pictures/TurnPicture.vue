<script setup lang="ts">
import { toRef } from 'vue';
import { useSmallPicture } from '../peg/useSmallPicture';

/** A thumbnail that waits for its turn, so that it delays no other request. */
const props = defineProps<{ src: string; alt: string }>();
const shown = useSmallPicture(toRef(props, 'src'), toRef(props, 'src'));
</script>

<template><img v-if="shown" :src="shown" :alt="alt" /><span v-else class="small" role="img" :aria-label="`${alt || 'picture'}: being drawn`">…</span></template>
