<script setup lang="ts">
import ChoiceToken from '../tokens/ChoiceToken.vue';
import QuantityToken from '../tokens/QuantityToken.vue';
import { useCatalogue } from '../stores/catalogue';
import type { Mask } from '../types';

const props = defineProps<{ mask: Mask; ppi: number }>();
const emit = defineEmits<{ change: [mask: Mask] }>();
const shop = useCatalogue();

function set(changes: Partial<Mask>): void {
    emit('change', { ...props.mask, ...changes });
}
</script>

<template>
    <span class="sentence">
        <ChoiceToken :value="mask.inverted ? 'hide' : 'show'" :choices="['show', 'hide']" :words="{ show: 'Show only inside', hide: 'Hide inside' }" label="mask shows or hides" @change="set({ inverted: $event === 'hide' })" />
        {{ mask.kind === 'ellipse' ? 'an' : 'a' }} <ChoiceToken :value="mask.kind" :choices="shop.catalogue?.masks ?? []" label="mask shape" @change="set({ kind: $event })" />
        of <QuantityToken :value="mask.width" kind="share" :least="0.01" :most="10" label="mask width" @change="set({ width: $event })" />
        × <QuantityToken :value="mask.height" kind="share" :least="0.01" :most="10" label="mask height" @change="set({ height: $event })" />
        , middle at{{ ' ' }}<QuantityToken :value="mask.x" kind="share" :least="-5" :most="5" label="mask middle across" @change="set({ x: $event })" />
        ,{{ ' ' }}<QuantityToken :value="mask.y" kind="share" :least="-5" :most="5" label="mask middle down" @change="set({ y: $event })" />
        , feather{{ ' ' }}<QuantityToken :value="mask.feather" kind="length" :least="0" :most="4" :ppi="ppi" label="feather" @change="set({ feather: $event })" />
    </span>
</template>
