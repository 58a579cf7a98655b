<script setup lang="ts">
import { computed } from 'vue';
import ChoiceToken from '../tokens/ChoiceToken.vue';
import ColourToken from '../tokens/ColourToken.vue';
import QuantityToken from '../tokens/QuantityToken.vue';
import { useCatalogue } from '../stores/catalogue';
import { label, parts } from '../words/lines';
import type { EffectLine } from '../types';

const props = defineProps<{ effect: EffectLine; ppi: number }>();
const emit = defineEmits<{ change: [effect: EffectLine] }>();

const shop = useCatalogue();
const sentence = computed(() => {
    const all = parts(props.effect.kind, shop.effect(props.effect.kind)?.parameters ?? []);
    // A limit on mitred points means nothing while corners are not mitred.
    return props.effect['join'] !== undefined && props.effect['join'] !== 'mitre'
        ? all.slice(0, all.findIndex((part) => typeof part !== 'string' && part.name === 'join') + 1)
        : all;
});

function set(name: string, value: number | string): void {
    emit('change', { ...props.effect, [name]: value });
}
</script>

<template>
    <span class="sentence">
        <template v-for="(part, i) in sentence" :key="i">
            <span v-if="typeof part === 'string'" class="prose">{{ part }}</span>
            <ColourToken v-else-if="part.kind === 'colour'" :value="String(effect[part.name])" :label="label(effect.kind, part.name)" @change="set(part.name, $event)" />
            <ChoiceToken v-else-if="part.kind === 'choice'" :value="String(effect[part.name])" :choices="part.choices" :label="label(effect.kind, part.name)" @change="set(part.name, $event)" />
            <QuantityToken v-else :value="Number(effect[part.name])" :kind="part.kind" :least="part.least" :most="part.most" :ppi="ppi" :label="label(effect.kind, part.name)" @change="set(part.name, $event)" />
        </template>
    </span>
</template>
