<script setup lang="ts">
import { computed } from 'vue';
import ArtToken from '../tokens/ArtToken.vue';
import BucketsToken from '../tokens/BucketsToken.vue';
import ChoiceToken from '../tokens/ChoiceToken.vue';
import CornersToken from '../tokens/CornersToken.vue';
import ColoursToken from '../tokens/ColoursToken.vue';
import ColourToken from '../tokens/ColourToken.vue';
import FontToken from '../tokens/FontToken.vue';
import PictureChoiceToken from '../tokens/PictureChoiceToken.vue';
import QuantityToken from '../tokens/QuantityToken.vue';
import ScribbleToken from '../tokens/ScribbleToken.vue';
import WordToken from '../tokens/WordToken.vue';
import { useShop } from '../server/queries';
import { useSheet } from '../stores/sheet';
import { phrasesOf } from '../words/choices';
import { label, parts } from '../words/lines';
import { begun, namesOf, stepOf } from './axes';
import { valueOf, withValues, type EffectLine, type Layer, type Parameter, type Scribble, type Value } from '../types';

const MARK = /^[,.;:]/;
const props = defineProps<{ effect: EffectLine; layer: Layer; index: number; ppi: number }>();
const emit = defineEmits<{ change: [effect: EffectLine] }>();

const shop = useShop();
const sheet = useSheet();
const idle = computed(() => sheet.measures.get(props.layer.id)?.idle.find((one) => one.line === props.index)?.why ?? '');
const sentence = computed(() => parts(props.effect, shop.effect(props.effect.kind)?.parameters ?? [], isAll.value ? ['line'] : []));
/** Each token with the mark behind it, so that no line begins with a comma. */
const pieces = computed(() => sentence.value.map((part, i) => {
    const [before, next] = [sentence.value[i - 1], sentence.value[i + 1]];
    return typeof part === 'string'
        ? { part: before === undefined || typeof before === 'string' ? part : part.replace(MARK, ''), mark: '' }
        : { part, mark: typeof next === 'string' ? (MARK.exec(next)?.[0] ?? '') : '' };
}));
/** The axes of the fonts of the words, for an effect that goes along one of them. */
const axes = computed(() => (props.effect.kind === 'variation' ? (sheet.measures.get(props.layer.id)?.axes ?? []) : []));
const axis = computed(() => axes.value.find((one) => one.tag === valueOf(props.effect, 'axis')));
const names = computed(() => namesOf(axes.value, String(valueOf(props.effect, 'axis'))));
const rows = computed(() => Object.fromEntries(['every line', ...(props.layer.source.kind === 'text' ? props.layer.source.text.split('\n') : []).map((text, i) => `line ${i + 1}, ${text}`)].entries()));
const isAll = computed(() => props.effect.kind === 'variation' && valueOf(props.effect, 'line') === 0 && !rows.value[2]);
const drawnOn = computed(() => (shop.effect(props.effect.kind)?.parameters ?? []).filter((parameter) => parameter.kind === 'scribbles' && props.layer.source.kind === 'art'));
const words = computed(() => (props.layer.source.kind === 'text' ? props.layer.source.text : ''));
/** The features of the text's font, for effects that set one of them. */
const offered = computed(() => (props.effect.kind === 'feature' && props.layer.source.kind === 'text' ? (shop.asset(props.layer.source.font)?.features ?? []) : []));

function set(name: string, value: Value): void {
    emit('change', withValues(props.effect, { [name]: value }));
}

function along(tag: string): void {
    const other = axes.value.find((one) => one.tag === tag);
    emit('change', withValues(props.effect, { axis: tag, ...(other ? { value: begun(other) } : {}) }));
}

const said = (parameter: Parameter): string => label(props.effect.kind, parameter.name);
</script>

<template>
    <span class="sentence">
        <template v-for="({ part, mark }, i) in pieces" :key="i">
            <span v-if="typeof part === 'string'" class="prose">{{ part }}</span>
            <span v-else class="marked">
                <ColourToken v-if="part.kind === 'colour'" :value="String(valueOf(effect, part.name))" :label="said(part)" @change="set(part.name, $event)" />
                <BucketsToken v-else-if="effect.kind === 'clear-buckets' && part.kind === 'colours'" :value="(valueOf(effect, part.name) as string[])" :layer="layer.id" :line="index" @change="set(part.name, $event)" />
                <ColoursToken v-else-if="part.kind === 'colours'" :value="(valueOf(effect, part.name) as string[])" :least="part.least" :most="part.most" :label="said(part)" @change="set(part.name, $event)" />
                <PictureChoiceToken
                    v-else-if="part.pictured" :value="String(valueOf(effect, part.name))" :choices="part.choices" :words="phrasesOf(effect.kind, part.name, part.choices)" :label="said(part)"
                    :layer="layer.id" :trying="(value) => [{ op: 'set-choice', id: layer.id, list: 'effects', line: index, name: part.name, value }]" @change="set(part.name, $event)"
                />
                <ChoiceToken v-else-if="part.kind === 'choice'" :value="String(valueOf(effect, part.name))" :choices="part.choices" :words="phrasesOf(effect.kind, part.name, part.choices)" :label="said(part)" @change="set(part.name, $event)" />
                <ChoiceToken v-else-if="part.name === 'axis' && axes.length" :value="String(valueOf(effect, 'axis'))" :choices="Object.keys(names)" :words="names" :label="said(part)" @change="along" />
                <QuantityToken v-else-if="part.name === 'value' && axis" :value="Number(valueOf(effect, 'value'))" kind="number" :least="axis.least" :most="axis.most" :step="stepOf(axis)" :label="axis.name" @change="set('value', $event)" />
                <ChoiceToken v-else-if="effect.kind === 'variation' && part.name === 'line'" :value="String(valueOf(effect, 'line'))" :choices="Object.keys(rows)" :words="rows" :label="said(part)" @change="set('line', Number($event))" />
                <WordToken v-else-if="part.kind === 'words'" :value="String(valueOf(effect, part.name))" :most="part.most" :label="said(part)" :offered="offered" @change="set(part.name, $event)" />
                <FontToken v-else-if="part.kind === 'font'" :value="String(valueOf(effect, part.name))" :sample="words" optional @change="set(part.name, $event)" />
                <ArtToken v-else-if="part.kind === 'picture'" :value="String(valueOf(effect, part.name))" @change="set(part.name, $event)" />
                <QuantityToken v-else-if="part.kind !== 'scribbles'" :value="Number(valueOf(effect, part.name))" :kind="part.kind" :least="part.least" :most="part.most" :ppi="ppi" :label="said(part)" @change="set(part.name, $event)" />
                <span v-if="mark" class="prose">{{ mark }}</span>
            </span>
        </template>
        <template v-if="effect.kind === 'straighten'">, or <CornersToken :effect="effect" :layer="layer.id" :line="index" @change="emit('change', withValues(effect, $event))" /></template>
        <template v-for="one in drawnOn" :key="one.name">, <ScribbleToken :value="(valueOf(effect, one.name) as unknown as Scribble[] | undefined) ?? []" :layer="layer.id" :line="index" :kind="effect.kind" :parameter="one.name" @change="set(one.name, $event as unknown as Value)" /></template>
        <small v-if="idle" class="idle-line">{{ idle }}</small>
    </span>
</template>

<style>
.marked { white-space: nowrap; }
.marked > * { white-space: normal; }
.idle-line { display: block; color: var(--faded); font-size: 12px; font-style: italic; }
</style>
