<script setup lang="ts">
import { computed } from 'vue';
import ChoiceToken from '../tokens/ChoiceToken.vue';
import QuantityToken from '../tokens/QuantityToken.vue';
import { useSelection } from '../stores/selection';
import { useSheet } from '../stores/sheet';
import type { Placement } from '../types';

/** How the chosen piece lies. It has a place of its own at the foot of the sheet, so that choosing a line moves nothing under the pointer. */
const sheet = useSheet();
const selection = useSelection();
const layer = computed(() => selection.layer);
const lies = computed(() => layer.value?.placement ?? null);
const ppi = computed(() => sheet.artwork?.sheet.ppi ?? 300);

function place(changes: Partial<Placement>): void {
    if (layer.value) {
        void sheet.changeLayer(layer.value.id, (now) => (now.placement ? { ...now, placement: { ...now.placement, ...changes } } : now));
    }
}
</script>

<template>
    <div class="how-it-lies" role="group" aria-label="How the chosen piece lies">
        <template v-if="layer && lies">
            <span class="how-name">{{ sheet.called(layer.id) }}</span>
            <span class="readout measure lie">
                <span>at <QuantityToken :value="lies.x" kind="length" :least="-100" :most="100" :ppi="ppi" label="centre from the left" @change="place({ x: $event })" />
                    , <QuantityToken :value="lies.y" kind="length" :least="-100" :most="100" :ppi="ppi" label="centre from the top" @change="place({ y: $event })" /></span>
                <span>turn <QuantityToken :value="lies.turn" kind="angle" :least="-360" :most="360" label="turn" @change="place({ turn: $event })" /></span>
                <ChoiceToken :value="lies.flip" :choices="['none', 'across', 'down', 'both']" :words="{ none: 'not flipped', across: 'flipped across', down: 'flipped down', both: 'flipped both ways' }" label="flip" @change="place({ flip: $event })" />
            </span>
        </template>
        <span v-else class="small">{{ layer ? 'A group lies where its pieces lie.' : 'Choose a line to see how its piece lies.' }}</span>
    </div>
</template>

<style>
.how-it-lies { height: 52px; padding: 3px 14px 2px; border-top: 2px dotted var(--hair); overflow: hidden; }
.how-name { display: block; font-weight: 600; font-size: 12.5px; line-height: 19px; white-space: nowrap; overflow: hidden; text-overflow: ellipsis; }
.how-it-lies .readout.lie { line-height: 26px; flex-wrap: nowrap; white-space: nowrap; column-gap: 8px; }
</style>
