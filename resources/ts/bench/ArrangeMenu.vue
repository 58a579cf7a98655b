<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { useShop } from '../server/queries';
import { allRead } from '../stores/reading';
import { useSelection } from '../stores/selection';
import { useSheet } from '../stores/sheet';
import ChoiceToken from '../tokens/ChoiceToken.vue';
import QuantityToken from '../tokens/QuantityToken.vue';
import type { Operation } from '../types';
import { everyLayer, replaceLayer } from './layers';

/** Actions on the selected layers; what they are aligned to is always shown. */
const sheet = useSheet();
const selection = useSelection();
const shop = useShop();
type Edge = Extract<Operation, { op: 'align' }>['edge'];
type Way = Extract<Operation, { op: 'space' }>['way'];
const edge = ref<Edge>('middle');
const to = ref('');
const way = ref<Way>('down');
const gap = ref<number | null>(null);
const by = ref(1.1);
const count = computed(() => selection.ids.length);
const open = ref(false);
// After layers are removed there may be nothing left to arrange.
watch(count, (now) => {
    open.value = open.value && now > 0;
});
const ppi = computed(() => sheet.artwork?.sheet.ppi ?? 300);
const edges: Record<Edge, string> = { left: 'left edges', middle: 'middles, across', right: 'right edges', top: 'top edges', centre: 'middles, down', bottom: 'bottom edges', baseline: 'baselines' };
const capitals = computed(() => selection.ids.map((id) => sheet.measures.get(id)?.capitals ?? null).find((one) => one !== null) ?? null);
const tall = ref<number | null>(null);
const targets = computed<Record<string, string>>(() => ({
    ...(count.value > 1 ? { selection: 'one another' } : {}),
    sheet: 'the sheet',
    ...Object.fromEntries((sheet.artwork?.layers ?? []).filter((layer) => count.value > 1 || layer.id !== selection.chosen).map((layer) => [layer.id, sheet.called(layer.id)])),
}));
const target = computed(() => (to.value in targets.value ? to.value : count.value > 1 ? 'selection' : 'sheet'));

/** Words that may stand around a piece. */
const words = computed(() => (count.value === 1 && selection.layer?.source.kind === 'text' ? selection.layer.id : ''));
const round = computed(() => Object.fromEntries(Object.entries(targets.value).filter(([id]) => id !== 'sheet')));
const about = ref('');
const circle = computed(() => (about.value in round.value ? about.value : Object.keys(round.value)[0] ?? ''));
const side = ref<'inside' | 'outside'>('inside');
const end = ref<'over' | 'under'>('over');
const off = ref<number | null>(null);

async function stand(): Promise<void> {
    await allRead();
    await sheet.operate({ op: 'stand-around', id: words.value, about: circle.value, edge: side.value, side: end.value, gap: off.value });
}

async function matchCapitals(): Promise<void> {
    await allRead();
    await sheet.operate({ op: 'size-by', ids: selection.ids, by: 'capitals', size: tall.value ?? capitals.value });
}

const anyOn = computed(() => everyLayer(sheet.artwork?.layers ?? []).some((layer) => layer.on && selection.ids.includes(layer.id)));

function switchAll(on: boolean): void {
    const ids = selection.ids;
    void sheet.change((artwork) => ids.reduce((now, id) => replaceLayer(now, id, (layer) => [{ ...layer, on }]), artwork));
}

async function space(): Promise<void> {
    await allRead();
    await sheet.operate({ op: 'space', ids: selection.ids, way: way.value, gap: gap.value });
}
</script>

<template>
    <v-menu v-model="open" :close-on-content-click="false" location="bottom end">
        <template #activator="{ props: opener }">
            <v-btn size="small" v-bind="opener" class="arrange-open" :disabled="count === 0">Arrange {{ count === 1 ? 'the chosen line' : `${count || 'chosen'} lines` }}</v-btn>
        </template>
        <div class="arrange" role="group" :aria-label="`Arrange ${count} lines`">
            <p class="small">{{ count === 1 ? 'Shift+click more lines or pieces to arrange them together.' : `${count} lines are chosen.` }}</p>
            <p class="sentence">
                Bring their <ChoiceToken :value="edge" :choices="shop.catalogue?.edges ?? []" :words="edges" label="what to align" @change="edge = $event" />
                into line with <ChoiceToken :value="target" :choices="Object.keys(targets)" :words="targets" label="align to" @change="to = $event" />
                <v-btn size="small" @click="sheet.operate({ op: 'align', ids: selection.ids, edge, to: target })">Align</v-btn>
            </p>
            <p class="sentence">
                Leave <QuantityToken :value="gap ?? 0" kind="length" :placeholder="gap === null ? 'equal gaps' : ''" :least="-50" :most="50" :ppi="ppi" label="gap between pieces" @change="gap = $event" />
                <button v-if="gap !== null" type="button" class="token" @click="gap = null">or equal gaps</button>
                {{ ' ' }}<ChoiceToken :value="way" :choices="['across', 'down']" label="way of spacing" @change="way = $event" />
                <v-btn size="small" :disabled="count < (gap === null ? 3 : 2)" @click="space">Space</v-btn>
            </p>
            <p class="sentence">
                Size all to <QuantityToken :value="by" kind="share" :least="0.02" :most="50" label="size of all" @change="by = $event" />
                <v-btn size="small" @click="sheet.operate({ op: 'scale', ids: selection.ids, by })">Size</v-btn>
            </p>
            <p v-if="capitals !== null" class="sentence">
                Make capitals <QuantityToken :value="tall ?? capitals" kind="length" :least="0.05" :most="40" :ppi="ppi" label="height of capitals" @change="tall = $event" /> tall
                <v-btn size="small" @click="matchCapitals">Match</v-btn>
            </p>
            <p v-if="words && circle" class="sentence">
                Stand its letters around <ChoiceToken :value="circle" :choices="Object.keys(round)" :words="round" label="stand around" @change="about = $event" />,
                <ChoiceToken :value="side" :choices="['inside', 'outside']" :words="{ inside: 'inside its edge', outside: 'outside its edge' }" label="side of its edge" @change="side = $event" />,
                <ChoiceToken :value="end" :choices="['over', 'under']" :words="{ over: 'over its top', under: 'under its foot' }" label="end of it" @change="end = $event" />,
                gap <QuantityToken :value="off ?? 0" kind="length" :placeholder="off === null ? 'as suits' : ''" :least="-20" :most="20" :ppi="ppi" label="gap to its edge" @change="off = $event" />
                <v-btn size="small" @click="stand">Stand</v-btn>
            </p>
            <p class="arrange-rest">
                <v-btn size="small" @click="sheet.operate({ op: 'flip', ids: selection.ids, way: 'across' })">Flip across</v-btn>
                <v-btn size="small" @click="sheet.operate({ op: 'flip', ids: selection.ids, way: 'down' })">Flip down</v-btn>
                <v-btn size="small" :disabled="count < 2" @click="sheet.operate({ op: 'group', ids: selection.ids })">Keep together</v-btn>
                <v-btn size="small" @click="sheet.operate({ op: 'copy', ids: selection.ids, linked: false })">Copy</v-btn>
                <v-btn size="small" @click="switchAll(!anyOn)">{{ anyOn ? 'Switch off' : 'Switch on' }}</v-btn>
                <v-btn size="small" @click="sheet.operate({ op: 'remove', ids: selection.ids })">Take out</v-btn>
            </p>
        </div>
    </v-menu>
</template>

<style>
.arrange { background: var(--card); border: 1px solid var(--ink); padding: 8px 12px; width: 420px; }
.arrange p { margin: 4px 0; }
.arrange-rest { display: flex; flex-wrap: wrap; gap: 6px; }
.arrange-open { padding: 2px 10px; margin-left: auto; white-space: nowrap; flex: none; }
</style>
