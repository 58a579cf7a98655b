<script setup lang="ts">
import { create } from 'qrcode';
import { computed } from 'vue';

/** A QR code (ISO/IEC 18004) of a text, dark on light in both themes, with the required quiet zone. */
const { text } = defineProps<{ text: string }>();

const QUIET = 4;
const picture = computed(() => {
    const { modules } = create(text, { errorCorrectionLevel: 'M' });
    let path = '';
    modules.data.forEach((dark, at) => {
        if (dark) {
            path += `M${(at % modules.size) + QUIET} ${Math.floor(at / modules.size) + QUIET}h1v1h-1z`;
        }
    });
    return { path, side: modules.size + 2 * QUIET };
});
</script>

<template>
    <svg class="code-picture" :viewBox="`0 0 ${picture.side} ${picture.side}`" role="img" aria-label="The set-up as a picture for the phone's camera" shape-rendering="crispEdges"><rect width="100%" height="100%" fill="#fff" /><path :d="picture.path" fill="#000" /></svg>
</template>

<style>
.code-picture { width: 220px; height: 220px; }
</style>
