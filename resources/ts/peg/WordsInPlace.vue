<script setup lang="ts">
import { computed, nextTick, onBeforeUnmount, onMounted, ref } from 'vue';
import { VTextarea } from 'vuetify/components';
import { useSheet } from '../stores/sheet';
import type { Box, Layer } from '../types';

/** Edits the words of a layer in place. */
const props = defineProps<{ layer: Layer; box: Box; svg: SVGSVGElement }>();
const emit = defineEmits<{ done: [] }>();
const sheet = useSheet();
const field = ref<InstanceType<typeof VTextarea> | null>(null);
const typed = ref(props.layer.source.kind === 'text' ? props.layer.source.text : '');
const WIDE = 280;

/** Below the layer if there is room, otherwise above it, and within the view. */
const place = computed(() => {
    const matrix = props.svg.getScreenCTM();
    const frame = props.svg.getBoundingClientRect();
    const parent = props.svg.parentElement?.getBoundingClientRect() ?? frame;
    const point = (x: number, y: number): DOMPoint => new DOMPoint(x, y).matrixTransform(matrix ?? undefined);
    const foot = point(props.box.left + props.box.width / 2, props.box.top + props.box.height);
    const head = point(props.box.left, props.box.top);
    const left = Math.max(frame.left + 8, Math.min(foot.x - WIDE / 2, frame.right - WIDE - 8));
    const below = foot.y + 150 < frame.bottom;
    return { left: `${left - parent.left}px`, width: `${Math.min(WIDE, frame.width - 16)}px`, ...(below ? { top: `${foot.y - parent.top + 8}px` } : { bottom: `${Math.max(8, parent.bottom - head.y + 8)}px` }) };
});

onMounted(async () => {
    await nextTick();
    field.value?.focus();
    field.value?.select?.();
});

/** Only once, although a field also loses the focus when it is removed. */
let settled = false;
function settle(keep: boolean): void {
    if (settled) {
        return;
    }
    settled = true;
    if (keep && props.layer.source.kind === 'text' && typed.value !== props.layer.source.text && typed.value.trim() !== '') {
        void sheet.operate({ op: 'set-words', id: props.layer.id, text: typed.value });
    }
    emit('done');
}
// A removed field does not fire a blur event.
onBeforeUnmount(() => settle(true));
</script>

<template>
    <div class="words-in-place" :style="place" @pointerdown.stop @keydown.stop>
        <v-textarea
            ref="field" v-model="typed" label="Words" :rows="Math.min(5, typed.split('\n').length)" maxlength="2000" hide-details density="compact" spellcheck="false"
            @blur="settle(true)" @keydown.esc.prevent="settle(false)" @keydown.enter.exact.prevent="settle(true)"
        />
        <p class="small">Enter keeps them · Shift+Enter a new line · Escape leaves them</p>
    </div>
</template>

<style>
.words-in-place { position: absolute; z-index: 2; background: var(--card); border: 1px solid var(--ink); padding: 8px; }
.words-in-place p { margin: 4px 0 0; }
</style>
