<script setup lang="ts">
import { computed } from 'vue';
import { usePeg } from '../stores/peg';
import { useSheet } from '../stores/sheet';
import type { Operation } from '../types';
import TurnPicture from './TurnPicture.vue';

/** A preview of one layer on the current cloth after operations. */
const props = defineProps<{ layer: string; operations: Operation[] }>();
const sheet = useSheet();
const peg = usePeg();
const src = computed(() => `/api/revisions/${sheet.job?.revision}/layers/${props.layer}/tried.png?operations=${encodeURIComponent(JSON.stringify(props.operations))}`);
</script>

<template><span class="tried" :style="{ background: peg.garment?.colour }" aria-hidden="true"><TurnPicture v-if="sheet.job" :src="src" alt="" /></span></template>

<style>
.tried { flex: none; width: 64px; height: 44px; display: grid; place-items: center; overflow: hidden; border: 1px solid var(--hair); }
.tried img { max-width: 58px; max-height: 40px; }
.tried .small { color: #999; }
</style>
