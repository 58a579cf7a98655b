<script setup lang="ts">
import { computed } from 'vue';
import { VCheckbox } from 'vuetify/components';
import ArtToken from '../tokens/ArtToken.vue';
import ChoiceToken from '../tokens/ChoiceToken.vue';
import FontToken from '../tokens/FontToken.vue';
import QuantityToken from '../tokens/QuantityToken.vue';
import TextToken from '../tokens/TextToken.vue';
import { useShop } from '../server/queries';
import { useSheet } from '../stores/sheet';
import { inches } from '../words/lines';
import type { InkStroke, Knockout, Layer, Placement, Source } from '../types';
import { drawInk } from './drawing';
import { piecesIn } from './finding';
import FontsThatHave from './FontsThatHave.vue';
import { below } from './layers';

const props = defineProps<{ layer: Layer }>();
const sheet = useSheet();
const shop = useShop();

const ppi = computed(() => sheet.artwork?.sheet.ppi ?? 300);
const measure = computed(() => sheet.measures.get(props.layer.id));
const knocks = computed(() => (props.layer.role.kind === 'knockout' ? props.layer.role : null));
const isLong = computed(() => props.layer.source.kind === 'text' && props.layer.source.text.includes('\n'));
const article = computed(() => (props.layer.source.kind === 'shape' && /^[aeiou]/.test(props.layer.source.shape) ? 'an' : 'a'));
const verb = computed(() => {
    if (knocks.value) {
        return 'Knock';
    }
    return { text: 'Set', art: 'Lay', shape: `Draw ${article.value}`, grid: 'Lay out', drawn: 'Draw by hand', group: 'Keep together' }[props.layer.source.kind];
});
const readout = computed(() => {
    const m = measure.value;
    if (!m || m.width === null || m.height === null) {
        return m?.trouble ? 'not drawn' : 'no ink yet';
    }
    return `${m.width.toFixed(2)} × ${m.height.toFixed(2)} in${m.ppi === null ? '' : ` · ${Math.floor(m.ppi)} ppi`}`;
});

function source(changes: Record<string, string | number>): void {
    void sheet.changeLayer(props.layer.id, (layer) => ({ ...layer, source: { ...layer.source, ...changes } as Source }));
}

function ink(index: number, changes: Partial<InkStroke> | null): void {
    void sheet.changeLayer(props.layer.id, (layer) => (layer.source.kind === 'drawn'
        ? { ...layer, source: { ...layer.source, ink: layer.source.ink.flatMap((stroke, i) => (i === index ? (changes ? [{ ...stroke, ...changes }] : []) : [stroke])) } }
        : layer));
}

function place(changes: Partial<Placement>): void {
    void sheet.changeLayer(props.layer.id, (layer) => (layer.placement ? { ...layer, placement: { ...layer.placement, ...changes } } : layer));
}

type Way = 'width' | 'height' | 'capitals' | 'em';
const sizes: Record<Way, { label: string; phrase: string }> = {
    width: { label: 'width', phrase: 'wide' },
    height: { label: 'height', phrase: 'tall' },
    capitals: { label: 'height of capitals', phrase: 'tall in its capitals' },
    em: { label: 'type size', phrase: 'type size' },
};
const phrases = Object.fromEntries(Object.entries(sizes).map(([way, { phrase }]) => [way, phrase]));
/** The one measure that determines the size of words; null for other layers and for words with both width and height. */
const way = computed<Way | null>(() => {
    const place = props.layer.placement;
    if (props.layer.source.kind !== 'text' || !place || (place.width !== null && place.height !== null)) {
        return null;
    }
    return (['capitals', 'em', 'width', 'height'] as const).find((one) => typeof place[one] === 'number') ?? null;
});

function sizeBy(to: Way): void {
    if (to === 'capitals' || to === 'em') {
        void sheet.operate({ op: 'size-by', ids: [props.layer.id], by: to, size: null });
    } else {
        place({ width: null, height: null, capitals: null, em: null, [to]: measure.value?.[to] ?? 1 });
    }
}

const lower = computed(() => below(sheet.artwork?.layers ?? [], props.layer.id));

function from(id: string, on: boolean): void {
    const held = knocks.value?.from ?? [];
    gap({ from: on ? [...held, id] : held.filter((one) => one !== id) });
}

function gap(changes: Partial<Omit<Knockout, 'kind'>>): void {
    void sheet.changeLayer(props.layer.id, (layer) => (layer.role.kind === 'knockout' ? { ...layer, role: { ...layer.role, ...changes } } : layer));
}
</script>

<template>
    <div class="sentence">
        {{ verb }}{{ ' ' }}
        <template v-if="layer.source.kind === 'text'">
            <TextToken :value="layer.source.text" label="words" @change="source({ text: $event })" />
            in <FontToken :value="layer.source.font" :sample="layer.source.text" @change="source({ font: $event })" />,{{ ' ' }}
        </template>
        <template v-else-if="layer.source.kind === 'art'">
            <ArtToken :value="layer.source.file" @change="source({ file: $event })" />,{{ ' ' }}
            <ChoiceToken :value="layer.source.frame" :choices="['ink', 'file']" :words="{ ink: 'by its ink', file: 'as framed' }" label="what of the file is placed" @change="source({ frame: $event as 'ink' | 'file' })" />,{{ ' ' }}
        </template>
        <template v-else-if="layer.source.kind === 'shape'">
            <template v-if="knocks">{{ article }}{{ ' ' }}</template>
            <ChoiceToken :value="layer.source.shape" :choices="shop.catalogue?.shapes ?? []" label="shape" @change="source({ shape: $event })" />
            <template v-if="['polygon', 'star'].includes(layer.source.shape)">
                of <QuantityToken :value="layer.source.count" kind="number" :least="3" :most="60" label="corners" @change="source({ count: Math.round($event) })" />
            </template>
            <template v-if="['star', 'ring', 'line'].includes(layer.source.shape)">
                ,{{ ' ' }}<QuantityToken :value="layer.source.share" kind="share" :least="0.01" :most="0.99" :label="layer.source.shape === 'star' ? 'inner corners' : 'thickness'" @change="source({ share: $event })" />
                {{ layer.source.shape === 'star' ? 'waist' : 'thick' }}
            </template>,{{ ' ' }}
        </template>
        <template v-else-if="layer.source.kind === 'grid'">
            <QuantityToken :value="layer.source.columns" kind="number" :least="1" :most="12" label="columns" @change="source({ columns: Math.round($event) })" /> ×
            <QuantityToken :value="layer.source.rows" kind="number" :least="1" :most="12" label="rows" @change="source({ rows: Math.round($event) })" /> frames,
            <QuantityToken :value="layer.source.gap" kind="length" :least="0" :most="10" :ppi="ppi" label="gap between frames" @change="source({ gap: $event })" /> apart,{{ ' ' }}
        </template>
        <template v-else-if="layer.source.kind === 'drawn'">
            <v-menu :close-on-content-click="false">
                <template #activator="{ props: opener }"><button v-bind="opener" type="button" class="token">{{ layer.source.ink.length }} {{ layer.source.ink.length === 1 ? 'stroke' : 'strokes' }}</button></template>
                <div class="stroke-menu" role="group" aria-label="Strokes of the drawing">
                    <p v-for="(stroke, i) in layer.source.ink" :key="i" class="sentence">
                        {{ i + 1 }}: <ChoiceToken :value="stroke.tip ?? 'round'" :choices="['round', 'slash', 'scribble', 'spray']" :label="`tip of stroke ${i + 1}`" @change="ink(i, { tip: $event as InkStroke['tip'] })" />
                        of <QuantityToken :value="stroke.width ?? 0.2" kind="length" :least="0.005" :most="20" :ppi="ppi" :label="`width of stroke ${i + 1}`" @change="ink(i, { width: $event })" />,
                        <ChoiceToken :value="stroke.symmetry ?? 'none'" :choices="['none', 'mirror', 'quadrants', 'radial']" :words="{ none: 'as drawn', mirror: 'mirrored', quadrants: 'in four quarters', radial: 'about the middle' }" :label="`symmetry of stroke ${i + 1}`" @change="ink(i, { symmetry: $event as InkStroke['symmetry'] })" />
                        <button v-if="layer.source.ink.length > 1" type="button" class="token" :aria-label="`leave stroke ${i + 1} out`" @click="ink(i, null)">leave it out</button>
                    </p>
                </div>
            </v-menu>{{ ' ' }}<button type="button" class="token" @click="drawInk(layer.id)">draw more</button>,{{ ' ' }}
        </template>
        <template v-else>{{ sheet.called(layer.id) }}: {{ piecesIn(layer.source.layers) }}</template>

        <template v-if="layer.placement">
            <template v-if="way">
                <QuantityToken :value="layer.placement[way] ?? 0" kind="length" :least="0.05" :most="60" :ppi="ppi" :label="sizes[way].label" @change="place({ [way]: $event })" />
                {{ ' ' }}<ChoiceToken :value="way" :choices="Object.keys(sizes)" :words="phrases" label="what tells the size" @change="sizeBy($event as Way)" />
            </template>
            <template v-if="!way && layer.placement.width !== null">
                <QuantityToken :value="layer.placement.width" kind="length" :least="0.05" :most="60" :ppi="ppi" label="width" @change="place({ width: $event })" />
                {{ ' ' }}<button v-if="layer.placement.height === null" type="button" class="token" title="Size it by its height instead" aria-label="sized by its width; size by height" @click="place({ width: null, height: measure?.height ?? 1 })">wide</button>
                <template v-else>wide{{ ' ' }}</template>
            </template>
            <template v-if="!way && layer.placement.height !== null">
                {{ layer.placement.width === null ? '' : 'by' }} <QuantityToken :value="layer.placement.height" kind="length" :least="0.05" :most="60" :ppi="ppi" label="height" @change="place({ height: $event })" />
                {{ ' ' }}<button v-if="layer.placement.width === null" type="button" class="token" title="Size it by its width instead" aria-label="sized by its height; size by width" @click="place({ width: measure?.width ?? 1, height: null })">tall</button>
                <button v-else type="button" class="token" title="Let the height follow the width" aria-label="stretched; let the height follow" @click="place({ height: null })">tall</button>
            </template>
        </template>
        <template v-if="knocks">
            out of{{ ' ' }}<v-menu :close-on-content-click="false">
                <template #activator="{ props: opener }"><button v-bind="opener" type="button" class="token" aria-label="knocked out of, choose">{{ knocks.from.length ? `${knocks.from.length} chosen ${knocks.from.length === 1 ? 'line' : 'lines'}` : 'all below' }}</button></template>
                <fieldset class="shield-menu">
                    <legend>Taken from these alone; from all below when none is marked</legend>
                    <v-checkbox v-for="one in lower" :key="one.id" :model-value="knocks.from.includes(one.id)" :label="sheet.called(one.id)" hide-details @update:model-value="from(one.id, $event === true)" />
                </fieldset>
            </v-menu>,
            <ChoiceToken :value="knocks.sets ? 'sets' : 'bare'" :choices="['bare', 'sets']" :words="{ bare: 'leaving the gap bare', sets: 'and set in the gap' }" label="what stands in the gap" @change="gap({ sets: $event === 'sets' })" />, gap{{ ' ' }}
            <QuantityToken :value="knocks.gap" kind="length" :least="0" :most="2" :ppi="ppi" label="gap" @change="gap({ gap: $event })" />,{{ ' ' }}
            <ChoiceToken :value="knocks.join" :choices="['round', 'bevel', 'mitre']" label="gap corners" @change="gap({ join: $event })" />,{{ ' ' }}
            <ChoiceToken :value="knocks.whole ? 'whole' : 'own'" :choices="['own', 'whole']" :words="{ own: 'by its own shape', whole: 'with all within its outline' }" label="shape that is knocked out" @change="gap({ whole: $event === 'whole' })" />
        </template>
        <template v-if="isLong && layer.source.kind === 'text'">
            , set{{ ' ' }}<ChoiceToken :value="layer.source.align" :choices="['left', 'centre', 'right']" label="alignment" @change="source({ align: $event })" />
            , leading{{ ' ' }}<QuantityToken :value="layer.source.leading" kind="number" :step="0.05" :least="0.3" :most="4" label="leading" @change="source({ leading: $event })" />
        </template>

        <div v-if="layer.placement" class="readout measure">
            <span>{{ readout }}</span>
            <button v-if="measure?.fades" type="button" class="token" title="Half-transparent ink stays here. End the fade in dots of solid ink." @click="sheet.operate({ op: 'as-halftone', ids: [layer.id] })">print the fade as halftone</button>
        </div>
        <div v-else-if="measure?.box" class="readout measure">{{ inches(measure.box.width) }} × {{ inches(measure.box.height) }}</div>
        <template v-if="measure?.trouble">
            <p class="line-trouble" role="alert">{{ measure.trouble }}</p>
            <FontsThatHave v-if="layer.source.kind === 'text'" :layer="layer.id" :words="layer.source.text" />
        </template>
    </div>
</template>

<style>
.readout { color: var(--faded); display: flex; flex-wrap: wrap; column-gap: 12px; font-size: 11.5px; line-height: 18px; }
.readout .token { font-size: 11.5px; font-weight: 400; border-bottom-color: var(--hair); color: var(--faded); font-family: var(--measures); }
.stroke-menu { background: var(--card); border: 1px solid var(--ink); padding: 8px 12px; max-height: 360px; overflow: auto; }
.stroke-menu p { margin: 2px 0; }
.line-trouble { color: var(--bad); font-size: 12.5px; }
</style>
