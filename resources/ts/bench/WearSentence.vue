<script setup lang="ts">
import { computed, onBeforeUnmount, ref } from 'vue';
import { VCheckbox } from 'vuetify/components';
import ArtToken from '../tokens/ArtToken.vue';
import ChoiceToken from '../tokens/ChoiceToken.vue';
import PictureChoiceToken from '../tokens/PictureChoiceToken.vue';
import QuantityToken from '../tokens/QuantityToken.vue';
import { useShop } from '../server/queries';
import { usePeg } from '../stores/peg';
import { useSheet } from '../stores/sheet';
import { textureWords } from '../words/lines';
import type { Layer, Wear } from '../types';

const props = defineProps<{ wear: Wear; whole: boolean; layers: Layer[]; ppi: number; strokes: () => void; layer?: string; index: number }>();
const emit = defineEmits<{ change: [wear: Wear] }>();
const shop = useShop();
const textures = computed(() => (shop.catalogue?.textures ?? []) as Wear['texture'][]);
const sheet = useSheet();
const peg = usePeg();
const line = ref<HTMLElement | null>(null);
let shows = false;

/** While the wear is being set, the ink it removes is shown in a signal colour. */
function show(): void {
    if (peg.overlay === 'none') {
        peg.overlay = 'taken';
        shows = true;
    }
}

function hide(): void {
    // Menus and pickers of the row's tokens are elsewhere in the DOM.
    window.setTimeout(() => {
        const at = document.activeElement;
        if (shows && !line.value?.contains(at) && !at?.closest('.v-overlay')) {
            shows = false;
            peg.overlay = 'none';
        }
    });
}

onBeforeUnmount(() => {
    if (shows) {
        peg.overlay = 'none';
    }
});

function set(changes: Partial<Wear>): void {
    emit('change', { ...props.wear, ...changes });
}

function shield(id: string, on: boolean): void {
    set({ shielded: on ? [...props.wear.shielded, id] : props.wear.shielded.filter((other) => other !== id) });
}
</script>

<template>
    <span ref="line" class="sentence" @focusin="show" @focusout="hide">
        Wear away <ChoiceToken v-if="wear.texture === 'picture'" :value="wear.asItIs ? 'as-it-is' : 'share'" :choices="['share', 'as-it-is']" :words="{ share: 'a share:', 'as-it-is': 'its marks as they are' }" label="how much of the picture" @change="set({ asItIs: $event === 'as-it-is' })" />
        <QuantityToken v-if="wear.texture !== 'picture' || !wear.asItIs" :value="wear.amount" kind="share" :least="0" :most="0.9" label="amount of wear" @change="set({ amount: $event })" />
        <template v-if="whole"> of the whole sheet</template>
        with <PictureChoiceToken v-if="layer" :value="wear.texture" :choices="textures" :words="textureWords" label="texture" :layer="layer" :trying="(value) => [{ op: 'set-choice', id: layer ?? '', list: 'distress', line: index, name: 'texture', value }]" @change="set({ texture: $event })" />
        <ChoiceToken v-else :value="wear.texture" :choices="textures" :words="textureWords" label="texture" @change="set({ texture: $event })" />
        <template v-if="wear.texture === 'picture'">{{ ' ' }}<ArtToken :value="wear.file" @change="set({ file: $event })" /></template>
        , size{{ ' ' }}<QuantityToken :value="wear.scale" kind="number" :step="0.1" :least="shop.catalogue?.wear.leastScale ?? 0.25" :most="shop.catalogue?.wear.mostScale ?? 2.5" label="texture size" @change="set({ scale: $event })" />
        , pattern{{ ' ' }}<QuantityToken :value="wear.seed" kind="number" :least="0" :most="999999" label="pattern number" @change="set({ seed: Math.round($event) })" />
        ,{{ ' ' }}<ChoiceToken :value="wear.inverted ? 'inverted' : 'plain'" :choices="['plain', 'inverted']" label="inverted" @change="set({ inverted: $event === 'inverted' })" />
        , shifted{{ ' ' }}<QuantityToken :value="wear.x" kind="length" :least="-100" :most="100" :ppi="ppi" label="texture shift across" @change="set({ x: $event })" />
        ,{{ ' ' }}<QuantityToken :value="wear.y" kind="length" :least="-100" :most="100" :ppi="ppi" label="texture shift down" @change="set({ y: $event })" />
        , turned{{ ' ' }}<QuantityToken :value="wear.turn" kind="angle" :least="-360" :most="360" label="texture turn" @change="set({ turn: $event })" />
        ,{{ ' ' }}<button type="button" class="token" @click="strokes()">{{ wear.strokes.length ? `${wear.strokes.length} brushed, brush on` : 'brush it' }}</button>
        <button v-if="wear.strokes.length" type="button" class="token" @click="set({ strokes: wear.strokes.slice(0, -1) })">take the last back</button>
        <v-menu v-if="layers.length" :close-on-content-click="false">
            <template #activator="{ props: opener }">
                , shielding{{ ' ' }}<button v-bind="opener" type="button" class="token" aria-label="shielded lines, choose">{{ wear.shielded.length === 0 ? 'nothing' : `${wear.shielded.length} ${wear.shielded.length === 1 ? 'line' : 'lines'}` }}</button>
            </template>
            <fieldset class="shield-menu">
                <legend>These keep their ink</legend>
                <v-checkbox v-for="other in layers" :key="other.id" :model-value="wear.shielded.includes(other.id)" :label="sheet.called(other.id)" hide-details @update:model-value="shield(other.id, $event === true)" />
            </fieldset>
        </v-menu>
    </span>
</template>
