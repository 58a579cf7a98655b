<script setup lang="ts">
import { computed } from 'vue';
import ChoiceToken from '../tokens/ChoiceToken.vue';
import ColourToken from '../tokens/ColourToken.vue';
import QuantityToken from '../tokens/QuantityToken.vue';
import { useShop } from '../server/queries';
import { useSheet } from '../stores/sheet';
import type { Repeat } from '../types';

const props = defineProps<{ repeat: Repeat; ppi: number }>();
const emit = defineEmits<{ change: [repeat: Repeat] }>();
const sheet = useSheet();
const shop = useShop();
const offered = computed(() => shop.catalogue?.repeats);
const words = { 'mirror-across': 'Mirror across', 'mirror-down': 'Mirror down', quadrants: 'Repeat in four quarters', radial: 'Repeat about a centre', stack: 'Stack' };
const counts = computed(() => ['radial', 'stack'].includes(props.repeat.kind));

function set(changes: Partial<Repeat>): void {
    emit('change', { ...props.repeat, ...changes });
}
</script>

<template>
    <span class="sentence">
        <ChoiceToken :value="repeat.kind" :choices="offered?.kinds ?? []" :words="words" label="kind of repeat" @change="set({ kind: $event })" />
        <template v-if="counts">
            {{ ' ' }}<QuantityToken :value="repeat.count" kind="number" :least="1" :most="offered?.most ?? 120" label="copies" @change="set({ count: Math.round($event) })" /> copies
        </template>
        <template v-if="repeat.kind === 'radial'">
            , <ChoiceToken :value="repeat.facing" :choices="offered?.facings ?? []" label="copies face" @change="set({ facing: $event })" />
        </template>
        <template v-if="repeat.kind === 'stack'">
            , each <QuantityToken :value="repeat.stepX" kind="length" :least="-100" :most="100" :ppi="ppi" label="step across" @change="set({ stepX: $event })" /> across
            and <QuantityToken :value="repeat.stepY" kind="length" :least="-100" :most="100" :ppi="ppi" label="step down" @change="set({ stepY: $event })" /> down,
            <QuantityToken :value="repeat.size" kind="share" :least="0.2" :most="3" label="size of each copy" @change="set({ size: $event })" /> of the one before
        </template>
        <template v-else>
            about <QuantityToken v-if="repeat.kind !== 'mirror-down'" :value="repeat.x" kind="length" :least="-100" :most="100" :ppi="ppi" label="centre of the repeat from the left" @change="set({ x: $event })" />
            <template v-if="!repeat.kind.startsWith('mirror')">, </template>
            <QuantityToken v-if="repeat.kind !== 'mirror-across'" :value="repeat.y" kind="length" :least="-100" :most="100" :ppi="ppi" label="centre of the repeat from the top" @change="set({ y: $event })" />
        </template>
        ; copy <QuantityToken :value="repeat.changed" kind="number" :least="0" :most="offered?.most ?? 120" label="changed copy" :placeholder="repeat.changed === 0 ? 'none' : ''" @change="set({ changed: Math.round($event) })" />
        <template v-if="repeat.changed > 0">
            {{ ' ' }}<ChoiceToken :value="repeat.as" :choices="offered?.changes ?? []" label="changed copy is" @change="set({ as: $event })" />
            <ColourToken v-if="['hollow', 'another-colour'].includes(repeat.as)" :value="repeat.colour" label="colour of the changed copy" @change="set({ colour: sheet.hex($event) })" />
        </template>
        <template v-else> changed</template>
    </span>
</template>
