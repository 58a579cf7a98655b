<script setup lang="ts">
import { computed } from 'vue';

const props = defineProps<{ width: number; height: number; size: number }>();
const ticks = (length: number): number[] => Array.from({ length: Math.floor(length) + 1 }, (_, i) => i);
const across = computed(() => ticks(props.width));
const down = computed(() => ticks(props.height));
</script>

<template>
    <g class="rulers" :font-size="size" aria-hidden="true">
        <path :d="`M0 ${-size * 0.3}H${width}`" />
        <path :d="`M${-size * 0.3} 0V${height}`" />
        <template v-for="x in across" :key="`x${x}`">
            <path :d="`M${x} ${-size * 0.3}V${-size * (x % 5 ? 0.6 : 0.95)}`" />
            <text v-if="x % 5 === 0" :x="x" :y="-size * 1.15" text-anchor="middle">{{ x }}</text>
        </template>
        <template v-for="y in down" :key="`y${y}`">
            <path :d="`M${-size * 0.3} ${y}H${-size * (y % 5 ? 0.6 : 0.95)}`" />
            <text v-if="y % 5 === 0 && y > 0" :x="-size * 1.15" :y="y" text-anchor="end" dominant-baseline="central">{{ y }}</text>
        </template>
        <text :x="width + size * 0.4" :y="-size * 1.15">in</text>
    </g>
</template>
