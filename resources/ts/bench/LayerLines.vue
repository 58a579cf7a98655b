<script setup lang="ts">
import { computed } from 'vue';
import ChoiceToken from '../tokens/ChoiceToken.vue';
import QuantityToken from '../tokens/QuantityToken.vue';
import { useBench } from '../stores/bench';
import { useCatalogue } from '../stores/catalogue';
import { effectWords } from '../words/lines';
import type { Layer } from '../types';
import { brushWear } from './drawing';
import EffectSentence from './EffectSentence.vue';
import LayerSentence from './LayerSentence.vue';
import { called, copied, moveLayer, removeLayer } from './layers';
import LineFrame from './LineFrame.vue';
import MaskSentence from './MaskSentence.vue';
import RepeatSentence from './RepeatSentence.vue';
import WearSentence from './WearSentence.vue';

const props = defineProps<{ layer: Layer; number: number; first: boolean; last: boolean; depth: number }>();
const bench = useBench();
const shop = useCatalogue();

const ppi = computed(() => bench.artwork?.sheet.ppi ?? 300);
const children = computed(() => (props.layer.source.kind === 'group' ? props.layer.source.layers : []));
type ListName = 'effects' | 'masks' | 'distress';

function set(changes: Partial<Layer>): void {
    void bench.changeLayer(props.layer.id, (layer) => [{ ...layer, ...changes }]);
}

function setItem(list: ListName, index: number, item: object | null): void {
    const items = [...(props.layer[list] as object[])];
    if (item === null) {
        items.splice(index, 1);
    } else {
        items[index] = item;
    }
    set({ [list]: items } as Partial<Layer>);
}

function moveItem(list: ListName, index: number, by: number): void {
    const items = [...(props.layer[list] as object[])];
    const [item] = items.splice(index, 1);
    if (item && index + by >= 0 && index + by <= items.length) {
        items.splice(index + by, 0, item);
        set({ [list]: items } as Partial<Layer>);
    }
}

function move(by: number): void {
    void bench.change((sheet) => moveLayer(sheet, props.layer.id, sheet.layers.findIndex((one) => one.id === props.layer.id) + by));
}

function copy(): void {
    if (bench.artwork) {
        const twin = copied(bench.artwork, props.layer);
        void bench.changeLayer(props.layer.id, (layer) => [layer, twin]);
        bench.choose(twin.id);
    }
}

function unrepeat(): void {
    void bench.changeLayer(props.layer.id, (layer) => {
        const once = { ...layer };
        delete once.repeat;
        return [once];
    });
}

function ungroup(): void {
    void bench.changeLayer(props.layer.id, (layer) => (layer.source.kind === 'group' ? layer.source.layers : [layer]));
}

/** Moving the focus with the keyboard does not scatter several that are chosen. */
function choose(among: boolean, byKey: boolean): void {
    if (!byKey || bench.selection.length < 2) {
        bench.choose(props.layer.id, among);
    }
}

const fades = computed(() => props.layer.opacity < 1);
const blends = computed(() => props.layer.blend !== 'normal');
</script>

<template>
    <div class="layer-lines" :class="{ nested: depth > 0 }" :data-layer="layer.id">
        <LineFrame
            :number="number" :on="layer.on" :name="called(layer)" :chosen="bench.chosen === layer.id" :first="first" :last="last" copies
            :among="bench.selection.length > 1 && bench.selection.includes(layer.id)"
            @choose="choose" @toggle="set({ on: $event })" @up="move(-1)" @down="move(1)" @copy="copy"
            @remove="bench.change((sheet) => removeLayer(sheet, layer.id))"
        >
            <LayerSentence :layer="layer" />
            <button v-if="layer.source.kind === 'group'" type="button" class="token" @click="ungroup">take the group apart</button>
        </LineFrame>

        <ol v-if="children.length" class="children">
            <li v-for="(child, i) in children" :key="child.id"><LayerLines :layer="child" :number="i + 1" :first="true" :last="true" :depth="depth + 1" /></li>
        </ol>
        <LineFrame
            v-for="(effect, i) in layer.effects" :key="`e${i}`" sub :on="effect.on" :name="`${called(layer)}, ${effectWords[effect.kind]?.verb ?? effect.kind}`"
            :first="i === 0" :last="i === layer.effects.length - 1"
            @choose="choose"
            @toggle="setItem('effects', i, { ...effect, on: $event })" @up="moveItem('effects', i, -1)" @down="moveItem('effects', i, 1)" @remove="setItem('effects', i, null)"
        >
            <EffectSentence :effect="effect" :layer="layer" :index="i" :ppi="ppi" @change="setItem('effects', i, $event)" />
        </LineFrame>
        <LineFrame
            v-if="layer.repeat" sub :on="layer.repeat.on" :name="`${called(layer)}, repeat`" first last @choose="choose"
            @toggle="set({ repeat: { ...layer.repeat, on: $event } })" @remove="unrepeat"
        >
            <RepeatSentence :repeat="layer.repeat" :ppi="ppi" @change="set({ repeat: $event })" />
        </LineFrame>
        <LineFrame
            v-for="(mask, i) in layer.masks" :key="`m${i}`" sub :on="mask.on" :name="`${called(layer)}, mask`" :first="i === 0" :last="i === layer.masks.length - 1"
            @choose="choose"
            @toggle="setItem('masks', i, { ...mask, on: $event })" @up="moveItem('masks', i, -1)" @down="moveItem('masks', i, 1)" @remove="setItem('masks', i, null)"
        >
            <MaskSentence :mask="mask" :layer="layer" :index="i" :ppi="ppi" @change="setItem('masks', i, $event)" />
        </LineFrame>
        <LineFrame
            v-for="(wear, i) in layer.distress" :key="`w${i}`" sub :on="wear.on" :name="`${called(layer)}, wear`" :first="i === 0" :last="i === layer.distress.length - 1"
            @choose="choose"
            @toggle="setItem('distress', i, { ...wear, on: $event })" @up="moveItem('distress', i, -1)" @down="moveItem('distress', i, 1)" @remove="setItem('distress', i, null)"
        >
            <WearSentence :wear="wear" :whole="false" :layers="children" :ppi="ppi" :strokes="() => brushWear(bench, layer, i)" @change="setItem('distress', i, $event)" />
        </LineFrame>
        <LineFrame v-if="fades" sub on :name="`${called(layer)}, strength`" first last @choose="choose" @toggle="set({ opacity: 1 })" @remove="set({ opacity: 1 })">
            <span class="sentence">Print at <QuantityToken :value="layer.opacity" kind="share" :least="0" :most="1" label="strength" @change="set({ opacity: $event })" /> strength</span>
        </LineFrame>
        <LineFrame v-if="blends" sub on :name="`${called(layer)}, blend`" first last @choose="choose" @toggle="set({ blend: 'normal' })" @remove="set({ blend: 'normal' })">
            <span class="sentence">Blend with what lies below by <ChoiceToken :value="layer.blend" :choices="shop.catalogue?.blends ?? []" label="blend mode" @change="set({ blend: $event })" /></span>
        </LineFrame>
    </div>
</template>
