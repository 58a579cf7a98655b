<script setup lang="ts">
import { usePalette } from '../server/queries';
import type { AssetCard } from '../types';

/** The palette of a picture on the sheet, to take a colour from. */
const props = defineProps<{ asset: AssetCard }>();
const emit = defineEmits<{ take: [colour: string] }>();
const { data: palette, isPending, error } = usePalette(() => String(props.asset.id));
</script>

<template>
    <p class="small">Colours of {{ asset.title }}</p>
    <div class="swatch-row">
        <span v-if="isPending" class="small" role="status">looking …</span>
        <span v-else-if="error" class="small">They could not be read.</span>
        <button
            v-for="one in palette ?? []" :key="one.colour" type="button" class="swatch" :style="{ background: one.colour }" :title="`${one.colour}, ${Math.round(one.share * 100)} %`"
            :aria-label="`${one.colour}, of ${asset.title}`" @click="emit('take', one.colour)"
        ></button>
    </div>
</template>
