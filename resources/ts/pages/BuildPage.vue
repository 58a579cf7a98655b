<script setup lang="ts">
import { onBeforeUnmount, onMounted } from 'vue';
import BuildSheet from '../bench/BuildSheet.vue';
import GarmentRail from '../bench/GarmentRail.vue';
import Gauges from '../bench/Gauges.vue';
import Peg from '../peg/Peg.vue';
import { useBench } from '../stores/bench';

const bench = useBench();

function shortcut(event: KeyboardEvent): void {
    if (event.key === 'Escape' && bench.colourWanted) {
        bench.colourWanted(null);
        return;
    }
    const typing = event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement || event.target instanceof HTMLSelectElement;
    if (typing || !(event.ctrlKey || event.metaKey)) {
        return;
    }
    const key = event.key.toLowerCase();
    if (key === 'y' || (key === 'z' && event.shiftKey)) {
        event.preventDefault();
        void bench.redo();
    } else if (key === 'z') {
        event.preventDefault();
        void bench.undo();
    }
}

onMounted(() => window.addEventListener('keydown', shortcut));
onBeforeUnmount(() => window.removeEventListener('keydown', shortcut));
</script>

<template>
    <div class="bench">
        <BuildSheet />
        <div class="bench-middle"><Peg /><GarmentRail /></div>
        <Gauges />
    </div>
</template>
