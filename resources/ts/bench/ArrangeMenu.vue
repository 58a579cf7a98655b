<script setup lang="ts">
import { computed, ref } from 'vue';
import ChoiceToken from '../tokens/ChoiceToken.vue';
import QuantityToken from '../tokens/QuantityToken.vue';
import { useBench } from '../stores/bench';
import { allRead } from '../stores/reading';
import { called, copied, freshId } from './layers';

/** What can be done with all that is chosen; what it is aligned to is always said. */
const bench = useBench();
const edge = ref('middle');
const to = ref('');
const way = ref('down');
const gap = ref<number | null>(null);
const by = ref(1.1);
const count = computed(() => bench.selection.length);
const ppi = computed(() => bench.artwork?.sheet.ppi ?? 300);
const edges = { left: 'left edges', middle: 'middles, across', right: 'right edges', top: 'top edges', centre: 'middles, down', bottom: 'bottom edges' };
const targets = computed<Record<string, string>>(() => ({
    ...(count.value > 1 ? { selection: 'one another' } : {}),
    sheet: 'the sheet',
    ...Object.fromEntries((bench.artwork?.layers ?? []).filter((layer) => count.value > 1 || layer.id !== bench.chosen).map((layer) => [layer.id, called(layer)])),
}));
const target = computed(() => (to.value in targets.value ? to.value : count.value > 1 ? 'selection' : 'sheet'));

async function space(): Promise<void> {
    await allRead();
    await bench.arrange('space', { across: way.value === 'across', gap: gap.value });
}

function group(): void {
    if (bench.artwork) {
        const id = freshId(bench.artwork);
        void bench.arrange('group', { as: id }).then(() => bench.choose(id));
    }
}

function copyAll(): void {
    const ids = bench.selection;
    void bench.change((artwork) => {
        let sheet = artwork;
        for (const id of ids) {
            const layer = sheet.layers.find((one) => one.id === id);
            if (layer) {
                sheet = { ...sheet, layers: [...sheet.layers, copied(sheet, layer)] };
            }
        }
        return sheet;
    });
}
</script>

<template>
    <v-menu :close-on-content-click="false" location="bottom end">
        <template #activator="{ props: opener }">
            <button v-bind="opener" type="button" class="plain-button arrange-open" :disabled="count === 0">Arrange {{ count === 1 ? 'the chosen line' : `${count || 'chosen'} lines` }}</button>
        </template>
        <div class="arrange" role="group" :aria-label="`Arrange ${count} lines`">
            <p class="small">{{ count === 1 ? 'Shift+click more lines or pieces to arrange them together.' : `${count} lines are chosen.` }}</p>
            <p class="sentence">
                Bring their <ChoiceToken :value="edge" :choices="Object.keys(edges)" :words="edges" label="what to align" @change="edge = $event" />
                into line with <ChoiceToken :value="target" :choices="Object.keys(targets)" :words="targets" label="align to" @change="to = $event" />
                <button type="button" class="plain-button" @click="bench.arrange('align', { edge, to: target })">Align</button>
            </p>
            <p class="sentence">
                Leave <QuantityToken :value="gap ?? 0" kind="length" :placeholder="gap === null ? 'equal gaps' : ''" :least="-50" :most="50" :ppi="ppi" label="gap between pieces" @change="gap = $event" />
                <button v-if="gap !== null" type="button" class="token" @click="gap = null">or equal gaps</button>
                {{ ' ' }}<ChoiceToken :value="way" :choices="['across', 'down']" label="way of spacing" @change="way = $event" />
                <button type="button" class="plain-button" :disabled="count < (gap === null ? 3 : 2)" @click="space">Space</button>
            </p>
            <p class="sentence">
                Size all to <QuantityToken :value="by" kind="share" :least="0.02" :most="50" label="size of all" @change="by = $event" />
                <button type="button" class="plain-button" @click="bench.arrange('scale', { by })">Size</button>
            </p>
            <p class="arrange-rest">
                <button type="button" class="plain-button" @click="bench.arrange('flip', { across: true })">Flip across</button>
                <button type="button" class="plain-button" @click="bench.arrange('flip', { across: false })">Flip down</button>
                <button type="button" class="plain-button" :disabled="count < 2" @click="group">Keep together</button>
                <button type="button" class="plain-button" @click="copyAll">Copy</button>
            </p>
        </div>
    </v-menu>
</template>
