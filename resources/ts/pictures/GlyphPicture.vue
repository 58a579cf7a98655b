<script setup lang="ts">
import { computed } from 'vue';
import type { GlyphDrawing } from '../types';

/** A letter of a font, drawn from its outline on a common baseline. */
const props = defineProps<{ drawing: GlyphDrawing }>();

/** Usual extent of letters above and below the baseline, in thousandths of an em, so that letters of one font are drawn at one scale. */
const ABOVE = 850;
const BELOW = 350;
const MARGIN = 40;

const view = computed(() => {
    const { left, top, width, height } = props.drawing;
    const from = Math.min(-ABOVE, top);
    const to = Math.max(BELOW, top + height);
    return `${left - MARGIN} ${from - MARGIN} ${Math.max(width, 1) + 2 * MARGIN} ${to - from + 2 * MARGIN}`;
});
</script>

<template><svg class="glyph" :viewBox="view" aria-hidden="true"><path :d="drawing.path" /></svg></template>

<style>
.glyph { display: block; width: 100%; height: 64px; fill: var(--ink); }
</style>
