<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import BuildSheet from '../bench/BuildSheet.vue';
import GarmentRail from '../bench/GarmentRail.vue';
import Gauges from '../bench/Gauges.vue';
import Peg from '../peg/Peg.vue';
import { usePeg } from '../stores/peg';
import { useSheet } from '../stores/sheet';

const sheet = useSheet();
const peg = usePeg();

useEventListener(window, 'keydown', (event) => {
    if (event.key === 'Escape' && peg.colourWanted) {
        peg.colourWanted(null);
        return;
    }
    const typing = event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement || event.target instanceof HTMLSelectElement;
    if (typing || !(event.ctrlKey || event.metaKey)) {
        return;
    }
    const key = event.key.toLowerCase();
    if (key === 'y' || (key === 'z' && event.shiftKey)) {
        event.preventDefault();
        void sheet.redo();
    } else if (key === 'z') {
        event.preventDefault();
        void sheet.undo();
    }
});
</script>

<template>
    <div class="bench">
        <BuildSheet />
        <div class="bench-middle"><Peg /><GarmentRail /></div>
        <Gauges />
    </div>
</template>

<style>
.bench { display: grid; grid-template-columns: 400px minmax(0, 1fr) 236px; height: 100%; min-height: 0; }
.bench-middle { display: grid; grid-template-rows: minmax(0, 1fr) auto; min-height: 0; }
</style>
