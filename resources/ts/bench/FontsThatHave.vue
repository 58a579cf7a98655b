<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import { api } from '../api';
import { useSheet } from '../stores/sheet';
import type { AssetCard } from '../types';

/** Offers fonts of the shelf that have the letters that the layer's font lacks. */
const props = defineProps<{ layer: string; words: string }>();
const sheet = useSheet();
const revision = computed(() => sheet.job?.revision);
const { data: fonts } = useQuery({ queryKey: ['fonts-with', revision, () => props.layer, () => props.words], queryFn: () => api.get<AssetCard[]>(`revisions/${revision.value}/layers/${props.layer}/fonts`), enabled: () => revision.value !== undefined });

function take(file: string): void {
    void sheet.changeLayer(props.layer, (layer) => (layer.source.kind === 'text' ? { ...layer, source: { ...layer.source, font: file } } : layer));
}
</script>

<template>
    <p v-if="fonts" class="small">
        <template v-if="fonts.length">Fonts of the shelf that have them: <template v-for="(font, i) in fonts" :key="font.id">{{ i ? ', ' : '' }}<button type="button" class="token" @click="take(font.file)">{{ font.title }}</button></template></template>
        <template v-else>No font of the shelf has all of them.</template>
    </p>
</template>
