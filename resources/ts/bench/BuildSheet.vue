<script setup lang="ts">
import { useSortable } from '@vueuse/integrations/useSortable';
import { computed, nextTick, ref, watch } from 'vue';
import { useFolding } from '../stores/folding';
import { allRead } from '../stores/reading';
import { useSelection } from '../stores/selection';
import { useSheet } from '../stores/sheet';
import QuantityToken from '../tokens/QuantityToken.vue';
import type { Layer, Wear } from '../types';
import AddLine from './AddLine.vue';
import { brushWear } from './drawing';
import JobColours from './JobColours.vue';
import FoldedLayer from './FoldedLayer.vue';
import { isFound } from './finding';
import LayerLines from './LayerLines.vue';
import { everyLayer } from './layers';
import HowItLies from './HowItLies.vue';
import LineFrame from './LineFrame.vue';
import WearSentence from './WearSentence.vue';

const sheet = useSheet();
const layers = computed(() => sheet.artwork?.layers ?? []);
const all = computed(() => everyLayer(layers.value).filter((layer) => layer.role.kind === 'ink'));
const isWorn = computed(() => Boolean(sheet.artwork?.distress.length) || everyLayer(layers.value).some((layer) => layer.distress.length > 0));
const rows = ref<HTMLElement | null>(null);
const list = ref<HTMLElement | null>(null);
const selection = useSelection();
const folding = useFolding();
const typed = ref<string | null>('');
const wanted = computed({ get: () => (typed.value ?? '').trim(), set: (value: string) => (typed.value = value) });
const shows = (layer: Layer): boolean => wanted.value === '' || isFound(layer, wanted.value, sheet.called);

// Layers selected elsewhere are unfolded and scrolled to; selecting in the sheet itself does not scroll.
watch(() => selection.revealed, async () => {
    const id = selection.chosen;
    if (!id) {
        return;
    }
    folding.open(id);
    wanted.value = '';
    await nextTick();
    list.value?.querySelector(`[data-layer="${CSS.escape(id)}"]`)?.scrollIntoView({ block: 'nearest' });
});

useSortable(rows, layers, {
    handle: '.grip',
    animation: 120,
    ghostClass: 'over',
    // Undo the library's move of the row: the sheet shows the new order when the core has answered.
    onUpdate: ({ from, item, oldIndex, newIndex }) => {
        const moved = layers.value[oldIndex ?? -1];
        item.remove();
        from.insertBefore(item, from.children[oldIndex ?? 0] ?? null);
        if (moved && newIndex !== undefined) {
            void sheet.operate({ op: 'reorder', id: moved.id, to: newIndex });
        }
    },
});

function limit(changes: Partial<{ letterLost: number; stroke: number }>): void {
    void sheet.change((artwork) => ({ ...artwork, limits: { ...artwork.limits, ...changes } }));
}

function setWear(index: number, ...wear: Wear[]): void {
    void sheet.change((artwork) => {
        const distress = [...artwork.distress];
        distress.splice(index, 1, ...wear);
        return { ...artwork, distress };
    });
}

/** What is being read for another line is written first, while that has its number. */
async function takeOutWear(index: number): Promise<void> {
    await allRead();
    setWear(index);
}

function moveWear(index: number, by: number): void {
    if (index + by >= 0) {
        void sheet.operate({ op: 'reorder-line', list: 'distress', from: index, to: index + by });
    }
}
</script>

<template>
    <section class="build-sheet" aria-label="Build sheet">
        <header class="ticket-head">
            <h2>Build sheet</h2>
            <span class="small ticket-says">first line lies on the cloth</span>
            <span class="steps">
                <button type="button" :disabled="!sheet.job?.canUndo" title="Step back (Ctrl+Z)" aria-label="Step back" @click="sheet.undo()">↶</button>
                <button type="button" :disabled="!sheet.job?.canRedo" title="Step forward (Ctrl+Shift+Z)" aria-label="Step forward" @click="sheet.redo()">↷</button>
            </span>
        </header>
        <div v-if="layers.length > 1" class="sheet-tools">
            <v-text-field v-model="wanted" class="sheet-find" label="Find in the sheet" type="search" clearable hide-details @keydown.esc="wanted = ''" @click:clear="wanted = ''" />
            <button type="button" class="token" title="Fold every line ([)" @click="folding.foldAll(true)">fold all</button>
            <button type="button" class="token" title="Unfold every line (])" @click="folding.foldAll(false)">unfold all</button>
        </div>
        <div ref="list" class="sheet-lines">
            <p v-if="wanted !== '' && !layers.some(shows)" class="empty" role="status">No line of that name, verb, font or colour.</p>
            <p v-if="layers.length === 0" class="empty">
                The sheet is blank. Add a line to set words, lay a picture or draw a shape; each line after that says what is done to it.
            </p>
            <ol ref="rows" class="lines">
                <li v-for="(layer, i) in layers" v-show="shows(layer)" :key="layer.id" class="drag-row">
                    <span class="grip" title="Drag to another place" aria-hidden="true">⠿</span>
                    <FoldedLayer v-if="folding.folded(layer.id) && wanted === ''" :layer="layer" :number="i + 1" :data-layer="layer.id" />
                    <LayerLines v-else :layer="layer" :number="i + 1" :first="i === 0" :last="i === layers.length - 1" :depth="0" />
                </li>
            </ol>
            <ol v-if="sheet.artwork?.distress.length" class="lines whole-sheet">
                <li v-for="(wear, i) in sheet.artwork.distress" :key="i">
                    <LineFrame
                        :on="wear.on" :name="`Whole sheet, wear ${i + 1}`" :first="i === 0" :last="i === sheet.artwork.distress.length - 1"
                        @toggle="setWear(i, { ...wear, on: $event })" @up="moveWear(i, -1)" @down="moveWear(i, 1)" @remove="takeOutWear(i)"
                    >
                        <WearSentence :wear="wear" whole :index="i" :layers="all" :ppi="sheet.artwork.sheet.ppi" :strokes="() => brushWear(null, i)" @change="setWear(i, $event)" />
                    </LineFrame>
                </li>
            </ol>
            <p v-if="isWorn && sheet.artwork?.limits" class="sentence worn-limits">
                Of a letter wear may take <QuantityToken :value="sheet.artwork.limits.letterLost" kind="share" :least="0.01" :most="1" label="letter may lose" @change="limit({ letterLost: $event })" />, and strokes stay
                <QuantityToken :value="sheet.artwork.limits.stroke" kind="length" :least="0.001" :most="0.5" :ppi="sheet.artwork.sheet.ppi" label="thinnest stroke" @change="limit({ stroke: $event })" /> or more.
            </p>
            <JobColours />
        </div>
        <HowItLies />
        <AddLine />
    </section>
</template>

<style>
.build-sheet { min-height: 0; border-right: 1px solid var(--ink); background: var(--card); display: flex; flex-direction: column; }
.sheet-lines { flex: 1 1 0; min-height: 0; overflow: auto; display: flex; flex-direction: column; }
.sheet-lines > .job-colours { margin-top: auto; }
.ticket-head { display: flex; align-items: baseline; gap: 8px; padding: 8px 12px 6px; border-bottom: 2px dotted var(--hair); }
.steps { margin-left: auto; }
.ticket-says { overflow: hidden; text-overflow: ellipsis; white-space: nowrap; min-width: 0; }
.sheet-tools { display: flex; align-items: center; gap: 12px; padding: 5px 14px; border-bottom: 1px solid var(--hair); }
.sheet-find { flex: 1 1 auto; }
.sheet-find .v-field__input { min-height: 32px; padding-block: 2px; }
.steps button { width: 28px; height: 26px; font-size: 17px; line-height: 1; }
.drag-row { position: relative; border-bottom: 1px solid var(--hair); }
.drag-row.over { box-shadow: inset 0 2px 0 var(--rust); }
.grip { position: absolute; left: 1px; top: 26px; color: var(--hair); cursor: grab; font-size: 12px; z-index: 1; padding: 2px; }
.whole-sheet { border-top: 2px dotted var(--hair); }
.whole-sheet .line { grid-template-columns: 16px minmax(0, 1fr) 24px; border-bottom: 1px solid var(--hair); }
.worn-limits { padding: 6px 14px; }
</style>
