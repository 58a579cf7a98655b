<script setup lang="ts">
import { computed } from 'vue';
import { useSmallPicture } from '../peg/useSmallPicture';
import { useFolding } from '../stores/folding';
import { usePeg } from '../stores/peg';
import { useSelection } from '../stores/selection';
import { useSheet } from '../stores/sheet';
import type { Layer } from '../types';
import { summary } from './finding';

/** A folded layer: a thumbnail of its ink, its name, and a summary of its effects. */
const props = defineProps<{ layer: Layer; number: number }>();
const sheet = useSheet();
const selection = useSelection();
const folding = useFolding();
const peg = usePeg();
// Requested only after the main proof is shown.
const small = useSmallPicture(computed(() => JSON.stringify(props.layer)), computed(() => (peg.hangs && sheet.job ? `/api/revisions/${sheet.job.revision}/layers/${props.layer.id}.png?ppi=20` : null)));
const box = computed(() => sheet.measures.get(props.layer.id)?.box ?? null);
const page = computed(() => ({ width: (sheet.artwork?.sheet.width ?? 1) / (sheet.artwork?.sheet.ppi ?? 1), height: (sheet.artwork?.sheet.height ?? 1) / (sheet.artwork?.sheet.ppi ?? 1) }));

function press(event: MouseEvent): void {
    const among = event.shiftKey || event.ctrlKey || event.metaKey;
    selection.choose(props.layer.id, among);
    if (!among) {
        folding.fold(props.layer.id, false);
    }
}
</script>

<template>
    <div class="line folded" :class="{ chosen: selection.chosen === layer.id, among: selection.ids.length > 1 && selection.ids.includes(layer.id), off: !layer.on }">
        <label class="punch" :title="layer.on ? 'This line is on' : 'This line is off'">
            <input type="checkbox" :checked="layer.on" :aria-label="`${sheet.called(layer.id)}: line is on`" @change="sheet.changeLayer(layer.id, (one) => ({ ...one, on: ($event.target as HTMLInputElement).checked }))" />
        </label>
        <span class="number measure" aria-hidden="true">{{ number }}</span>
        <button type="button" class="folded-head" :aria-label="`${sheet.called(layer.id)}, ${summary(layer)}: unfold`" aria-expanded="false" @click="press">
            <span class="folded-art">
                <svg v-if="box && small" :viewBox="`${box.left} ${box.top} ${Math.max(0.1, box.width)} ${Math.max(0.1, box.height)}`" aria-hidden="true"><image :href="small" x="0" y="0" :width="page.width" :height="page.height" preserveAspectRatio="none" /></svg>
            </span>
            <span class="folded-name">{{ sheet.called(layer.id) }}</span>
            <span class="small folded-sum">{{ summary(layer) }}</span>
        </button>
    </div>
</template>

<style>
.line.folded { padding-bottom: 6px; grid-template-columns: 16px 18px minmax(0, 1fr); }
.folded-head { display: grid; grid-template-columns: 34px minmax(0, 1fr) auto; gap: 8px; align-items: center; text-align: left; min-height: 28px; }
.folded-head:hover { background: var(--rust-wash); }
.folded-art { width: 34px; height: 26px; background: #8c8a86; border: 1px solid var(--hair); overflow: hidden; }
.folded-art svg { width: 100%; height: 100%; display: block; }
.folded-name { font-weight: 600; overflow: hidden; text-overflow: ellipsis; white-space: nowrap; }
.folded-sum { white-space: nowrap; }
</style>
