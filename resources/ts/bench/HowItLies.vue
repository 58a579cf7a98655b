<script setup lang="ts">
import { computed } from 'vue';
import { useSelection } from '../stores/selection';
import LieSentence from './LieSentence.vue';

/** The placement of the selected layer. It has a fixed place at the foot of the sheet, so that selecting a layer shifts nothing under the pointer. */
const selection = useSelection();
const layer = computed(() => selection.layer);
</script>

<template>
    <div class="how-it-lies" role="group" aria-label="How the chosen piece lies">
        <LieSentence v-if="layer?.placement" :key="layer.id" :layer="layer" :lies="layer.placement" />
        <span v-else class="small">{{ layer ? 'A group lies where its pieces lie.' : 'Choose a line to see how its piece lies.' }}</span>
    </div>
</template>

<style>
.how-it-lies { height: 52px; padding: 3px 14px 2px; border-top: 2px dotted var(--hair); overflow: hidden; }
.how-name { display: block; font-weight: 600; font-size: 12.5px; line-height: 19px; white-space: nowrap; overflow: hidden; text-overflow: ellipsis; }
.how-it-lies .readout.lie { line-height: 26px; flex-wrap: nowrap; white-space: nowrap; column-gap: 8px; }
</style>
