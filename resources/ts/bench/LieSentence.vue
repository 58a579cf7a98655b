<script setup lang="ts">
import { computed } from 'vue';
import ChoiceToken from '../tokens/ChoiceToken.vue';
import QuantityToken from '../tokens/QuantityToken.vue';
import { useSheet } from '../stores/sheet';
import type { Layer, Placement } from '../types';

/** The placement of one layer. Typed values apply to this layer even if another has been selected before they are parsed. */
const props = defineProps<{ layer: Layer; lies: Placement }>();
const sheet = useSheet();
const id = props.layer.id;
const ppi = computed(() => sheet.artwork?.sheet.ppi ?? 300);

function place(changes: Partial<Placement>): void {
    void sheet.changeLayer(id, (now) => (now.placement ? { ...now, placement: { ...now.placement, ...changes } } : now));
}
</script>

<template>
    <span class="how-name">{{ sheet.called(id) }}</span>
    <span class="readout measure lie">
        <span>at <QuantityToken :value="lies.x" kind="length" :least="-100" :most="100" :ppi="ppi" label="centre from the left" @change="place({ x: $event })" />
            , <QuantityToken :value="lies.y" kind="length" :least="-100" :most="100" :ppi="ppi" label="centre from the top" @change="place({ y: $event })" /></span>
        <span>turn <QuantityToken :value="lies.turn" kind="angle" :least="-360" :most="360" label="turn" @change="place({ turn: $event })" /></span>
        <ChoiceToken :value="lies.flip" :choices="['none', 'across', 'down', 'both']" :words="{ none: 'not flipped', across: 'flipped across', down: 'flipped down', both: 'flipped both ways' }" label="flip" @change="place({ flip: $event })" />
    </span>
</template>
