<script setup lang="ts">
import { computed } from 'vue';
import ArtToken from '../tokens/ArtToken.vue';
import ChoiceToken from '../tokens/ChoiceToken.vue';
import QuantityToken from '../tokens/QuantityToken.vue';
import { useShop } from '../server/queries';
import { useSheet } from '../stores/sheet';
import type { Layer, Mask } from '../types';
import { brushOn } from './drawing';
import { everyLayer } from './layers';

const props = defineProps<{ mask: Mask; layer: Layer; index: number; ppi: number }>();
const emit = defineEmits<{ change: [mask: Mask] }>();
const sheet = useSheet();
const shop = useShop();
type ShapeMask = Extract<Mask, { width: number }>;
const figure = computed(() => ('width' in props.mask ? (props.mask as ShapeMask) : null));
const others = computed<Record<string, string>>(() => Object.fromEntries(everyLayer(sheet.artwork?.layers ?? []).filter((layer) => layer.id !== props.layer.id).map((layer) => [layer.id, sheet.called(layer.id)])));
const strokes = computed(() => (props.mask.kind === 'brush' ? props.mask.strokes.length : 0));

/** Rings, shadows and the like, which a soft edge or the light of a picture always cuts. */
const isRinged = computed(() => props.mask.kind !== 'picture' && !('feather' in props.mask && props.mask.feather > 0) && props.layer.effects.some((line) => line.on && shop.effect(line.kind)?.followsEdge));

function set(changes: Record<string, unknown>): void {
    emit('change', { ...props.mask, ...changes } as Mask);
}
</script>

<template>
    <span class="sentence">
        <template v-if="mask.kind === 'brush'">
            Brushed: {{ strokes }} {{ strokes === 1 ? 'stroke' : 'strokes' }}{{ mask.inverted ? ', turned about' : '' }}
            <button type="button" class="token" @click="brushOn(layer, index)">brush on</button>
            <button v-if="strokes" type="button" class="token" @click="set({ strokes: mask.strokes.slice(0, -1) })">take the last back</button>
            <button type="button" class="token" :aria-pressed="mask.inverted" @click="set({ inverted: !mask.inverted })">turn about</button>
        </template>
        <template v-else>
            <ChoiceToken :value="mask.inverted ? 'hide' : 'show'" :choices="['show', 'hide']" :words="{ show: mask.joining === 'also' ? 'Show also' : 'Show only', hide: mask.joining === 'also' ? 'Show also outside' : 'Hide' }" label="mask shows or hides" @change="set({ inverted: $event === 'hide' })" />
            inside
            <template v-if="figure">
                {{ figure.kind === 'ellipse' ? 'an' : 'a' }} <ChoiceToken :value="figure.kind" :choices="shop.catalogue?.masks ?? []" label="mask shape" @change="set({ kind: $event })" />
                <template v-if="['polygon', 'star'].includes(figure.kind)"> of <QuantityToken :value="figure.count" kind="number" :least="3" :most="60" label="mask corners" @change="set({ count: Math.round($event) })" /></template>
                of <QuantityToken :value="figure.width" kind="share" :least="0.01" :most="10" label="mask width" @change="set({ width: $event })" />
                × <QuantityToken :value="figure.height" kind="share" :least="0.01" :most="10" label="mask height" @change="set({ height: $event })" />
                , middle at{{ ' ' }}<QuantityToken :value="figure.x" kind="share" :least="-5" :most="5" label="mask middle across" @change="set({ x: $event })" />
                ,{{ ' ' }}<QuantityToken :value="figure.y" kind="share" :least="-5" :most="5" label="mask middle down" @change="set({ y: $event })" />
            </template>
            <template v-else-if="mask.kind === 'freehand'">a cut of {{ mask.points.length }} points</template>
            <template v-else-if="mask.kind === 'clip'">the ink of <ChoiceToken :value="mask.layer" :choices="Object.keys(others)" :words="others" label="piece to clip to" @change="set({ layer: $event })" /></template>
            <template v-else-if="mask.kind === 'picture'">the light of <ArtToken :value="mask.file" @change="set({ file: $event })" />, size{{ ' ' }}<QuantityToken :value="mask.scale" kind="number" :step="0.1" :least="0.05" :most="20" label="mask picture size" @change="set({ scale: $event })" />, shifted{{ ' ' }}<QuantityToken :value="mask.x" kind="length" :least="-100" :most="100" :ppi="ppi" label="mask picture shift across" @change="set({ x: $event })" />,{{ ' ' }}<QuantityToken :value="mask.y" kind="length" :least="-100" :most="100" :ppi="ppi" label="mask picture shift down" @change="set({ y: $event })" />, turned{{ ' ' }}<QuantityToken :value="mask.turn" kind="angle" :least="-360" :most="360" label="mask picture turn" @change="set({ turn: $event })" /></template>
            <template v-if="'feather' in mask">, feather{{ ' ' }}<QuantityToken :value="mask.feather" kind="length" :least="0" :most="4" :ppi="ppi" label="feather" @change="set({ feather: $event })" /></template>
            <template v-if="index > 0">,{{ ' ' }}<ChoiceToken :value="mask.joining" :choices="['within', 'also']" :words="{ within: 'within the masks above', also: 'besides the masks above' }" label="mask joins" @change="set({ joining: $event })" /></template>
        </template>
        <template v-if="isRinged">, its rings and shadows{{ ' ' }}<ChoiceToken :value="mask.rings" :choices="['around', 'cut']" :words="{ around: 'go around what is left', cut: 'are cut, too' }" label="rings of a masked piece" @change="set({ rings: $event })" /></template>
    </span>
</template>
