<script setup lang="ts">
import { computed } from 'vue';
import { cuts, extra, outline } from './garments';

const props = defineProps<{ product: string; side: string; colour: string }>();
const cut = computed(() => cuts[props.product] ?? cuts['tee']);
const seams = computed(() => (props.side === 'back' ? cut.value?.seams.back : cut.value?.seams.front) ?? []);
const more = computed(() => extra(props.product));
</script>

<template>
    <g v-if="cut" class="garment">
        <path v-if="more" :d="more" :fill="colour" class="cloth" />
        <path :d="outline(cut, side)" :fill="colour" class="cloth" />
        <path v-if="more && product === 'hoodie' && side === 'back'" :d="more" :fill="colour" class="cloth" />
        <g class="seams">
            <template v-for="seam in seams" :key="seam">
                <path :d="seam" />
                <path :d="seam" transform="scale(-1 1)" />
            </template>
        </g>
    </g>
</template>
