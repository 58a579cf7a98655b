<script setup lang="ts">
import { computed, nextTick } from 'vue';
import { useShop } from '../server/queries';
import { useFolding } from '../stores/folding';
import { allRead } from '../stores/reading';
import { useSelection } from '../stores/selection';
import { useSheet } from '../stores/sheet';
import ChoiceToken from '../tokens/ChoiceToken.vue';
import QuantityToken from '../tokens/QuantityToken.vue';
import type { Layer } from '../types';
import { effectWords } from '../words/lines';
import { brushWear } from './drawing';
import EffectSentence from './EffectSentence.vue';
import LayerSentence from './LayerSentence.vue';
import LineFrame from './LineFrame.vue';
import MaskSentence from './MaskSentence.vue';
import RepeatSentence from './RepeatSentence.vue';
import WearSentence from './WearSentence.vue';

const props = defineProps<{ layer: Layer; number: number; first: boolean; last: boolean; depth: number }>();
const sheet = useSheet();
const selection = useSelection();
const folding = useFolding();
const shop = useShop();
const ppi = computed(() => sheet.artwork?.sheet.ppi ?? 300);
const children = computed(() => (props.layer.source.kind === 'group' ? props.layer.source.layers : []));

type ListName = 'effects' | 'masks' | 'distress';

function set(changes: Partial<Layer>): void {
    void sheet.changeLayer(props.layer.id, (layer) => ({ ...layer, ...changes }));
}

/** Replaces, inserts or removes an entry by its index. */
function setItem(list: ListName, index: number, ...item: object[]): void {
    void sheet.changeLayer(props.layer.id, (layer) => {
        const items: object[] = [...layer[list]];
        items.splice(index, 1, ...item);
        return { ...layer, [list]: items };
    });
}

/** What is being read for another line is written first, while that has its number. */
async function takeOut(list: ListName, index: number): Promise<void> {
    await allRead();
    setItem(list, index);
}

function moveItem(list: ListName, index: number, by: number): void {
    if (index + by >= 0) {
        void sheet.operate({ op: 'reorder-line', id: props.layer.id, list, from: index, to: index + by });
    }
}

/** The position the entry is moving to: repeated keys continue from there, not from its present position. */
let under: number | null = null;

async function move(by: number): Promise<void> {
    const layers = sheet.artwork?.layers ?? [];
    const to = (under ?? layers.findIndex((one) => one.id === props.layer.id)) + by;
    if (to < 0 || to >= layers.length) {
        return;
    }
    const held = document.activeElement;
    under = to;
    await sheet.operate({ op: 'reorder', id: props.layer.id, to });
    await nextTick();
    if (!sheet.saving) {
        under = null;
    }
    // A row that is moved within the page loses the focus.
    if (held instanceof HTMLElement && document.activeElement === document.body && held.isConnected) {
        held.focus();
    }
}

function unrepeat(): void {
    void sheet.changeLayer(props.layer.id, (layer) => {
        const once = { ...layer };
        delete once.repeat;
        return once;
    });
}

/** A copy with a font of its own follows only the words. */
const parts = computed(() => [props.layer.follows?.words ? 'words' : 'source', 'shape', 'placement'] as const);
const partWords = {
    source: { same: props.layer.source.kind === 'text' ? 'in its words' : 'in what it is', own: props.layer.source.kind === 'text' ? 'not in its words' : 'not in what it is' },
    words: { same: 'in its words', own: 'not in its words' },
    shape: { same: 'in its shape', own: 'not in its shape' },
    placement: { same: 'in its place', own: 'not in its place' },
};

function unlink(): void {
    void sheet.changeLayer(props.layer.id, (layer) => {
        const free = { ...layer };
        delete free.follows;
        return free;
    });
}

function lead(id: string): void {
    selection.choose(id);
    selection.reveal();
}

/** Moving the focus by keyboard keeps a selection of several layers. */
function choose(among: boolean, byKey: boolean): void {
    if (!byKey || selection.ids.length < 2) {
        selection.choose(props.layer.id, among);
    }
}

const fades = computed(() => props.layer.opacity < 1);
const blends = computed(() => props.layer.blend !== 'normal');
</script>

<template>
    <div class="layer-lines" :class="{ nested: depth > 0 }" :data-layer="layer.id">
        <LineFrame
            :number="number" :on="layer.on" :name="sheet.called(layer.id)" :chosen="selection.chosen === layer.id" :first="first" :last="last" copies
            :among="selection.ids.length > 1 && selection.ids.includes(layer.id)"
            @choose="choose" @toggle="set({ on: $event })" @up="move(-1)" @down="move(1)" @copy="sheet.operate({ op: 'copy', ids: [layer.id], linked: false })"
            :links="layer.source.kind !== 'group'" @link="sheet.operate({ op: 'copy', ids: [layer.id], linked: true })"
            :own="layer.name" @remove="sheet.operate({ op: 'remove', ids: [layer.id] })" @fold="folding.fold(layer.id, true)" @name="set({ name: $event })"
        >
            <LayerSentence :layer="layer" />
            <button v-if="layer.source.kind === 'group'" type="button" class="token" @click="sheet.operate({ op: 'ungroup', id: layer.id })">take the group apart</button>
        </LineFrame>

        <ol v-if="children.length" class="children">
            <li v-for="(child, i) in children" :key="child.id"><LayerLines :layer="child" :number="i + 1" :first="true" :last="true" :depth="depth + 1" /></li>
        </ol>
        <LineFrame
            v-for="(effect, i) in layer.effects" :key="`e${i}`" sub :on="effect.on" :name="`${sheet.called(layer.id)}, ${effectWords[effect.kind]?.verb ?? effect.kind}`"
            :first="i === 0" :last="i === layer.effects.length - 1"
            @choose="choose"
            @toggle="setItem('effects', i, { ...effect, on: $event })" @up="moveItem('effects', i, -1)" @down="moveItem('effects', i, 1)" @remove="takeOut('effects', i)"
        >
            <EffectSentence :effect="effect" :layer="layer" :index="i" :ppi="ppi" @change="setItem('effects', i, $event)" />
        </LineFrame>
        <LineFrame
            v-if="layer.repeat" sub :on="layer.repeat.on" :name="`${sheet.called(layer.id)}, repeat`" first last @choose="choose"
            @toggle="set({ repeat: { ...layer.repeat, on: $event } })" @remove="unrepeat"
        >
            <RepeatSentence :repeat="layer.repeat" :ppi="ppi" @change="set({ repeat: $event })" />
        </LineFrame>
        <LineFrame
            v-for="(mask, i) in layer.masks" :key="`m${i}`" sub :on="mask.on" :name="`${sheet.called(layer.id)}, mask`" :first="i === 0" :last="i === layer.masks.length - 1"
            @choose="choose"
            @toggle="setItem('masks', i, { ...mask, on: $event })" @up="moveItem('masks', i, -1)" @down="moveItem('masks', i, 1)" @remove="takeOut('masks', i)"
        >
            <MaskSentence :mask="mask" :layer="layer" :index="i" :ppi="ppi" @change="setItem('masks', i, $event)" />
        </LineFrame>
        <LineFrame
            v-for="(wear, i) in layer.distress" :key="`w${i}`" sub :on="wear.on" :name="`${sheet.called(layer.id)}, wear`" :first="i === 0" :last="i === layer.distress.length - 1"
            @choose="choose"
            @toggle="setItem('distress', i, { ...wear, on: $event })" @up="moveItem('distress', i, -1)" @down="moveItem('distress', i, 1)" @remove="takeOut('distress', i)"
        >
            <WearSentence :wear="wear" :whole="false" :layer="layer.id" :index="i" :layers="children" :ppi="ppi" :strokes="() => brushWear(layer, i)" @change="setItem('distress', i, $event)" />
        </LineFrame>
        <LineFrame v-if="layer.follows" sub on :name="`${sheet.called(layer.id)}, link`" first last @choose="choose" @toggle="unlink" @remove="unlink">
            <span class="sentence">
                Follow <button type="button" class="token" title="Choose the line that it follows" @click="lead(layer.follows.layer)">{{ sheet.called(layer.follows.layer) }}</button>
                <template v-for="part in parts" :key="part">, <ChoiceToken :value="layer.follows[part] ? 'same' : 'own'" :choices="['same', 'own']" :words="partWords[part]" :label="`link of the ${part}`" @change="set({ follows: { ...layer.follows, [part]: $event === 'same' } })" /></template>
            </span>
        </LineFrame>
        <LineFrame v-if="fades" sub on :name="`${sheet.called(layer.id)}, strength`" first last @choose="choose" @toggle="set({ opacity: 1 })" @remove="set({ opacity: 1 })">
            <span class="sentence">Print at <QuantityToken :value="layer.opacity" kind="share" :least="0" :most="1" label="strength" @change="set({ opacity: $event })" /> strength</span>
        </LineFrame>
        <LineFrame v-if="blends" sub on :name="`${sheet.called(layer.id)}, blend`" first last @choose="choose" @toggle="set({ blend: 'normal' })" @remove="set({ blend: 'normal' })">
            <span class="sentence">Blend with what lies below by <ChoiceToken :value="layer.blend" :choices="shop.catalogue?.blends ?? []" label="blend mode" @change="set({ blend: $event })" /></span>
        </LineFrame>
    </div>
</template>

<style>
.children { margin-left: 34px; border-left: 1px dashed var(--hair); }
.children .line { padding-left: 4px; }
.children .line.sub { min-height: 33px; padding-left: 30px; }
</style>
