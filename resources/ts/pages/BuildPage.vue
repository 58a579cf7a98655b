<script setup lang="ts">
import { ref } from 'vue';
import { VBtn } from 'vuetify/components';
import DropFiles from '../bench/DropFiles.vue';
import BuildSheet from '../bench/BuildSheet.vue';
import GarmentRail from '../bench/GarmentRail.vue';
import Gauges from '../bench/Gauges.vue';
import { KEYS, useKeys } from '../bench/useKeys';
import Peg from '../peg/Peg.vue';

const asks = ref(false);
const bench = ref<HTMLElement | null>(null);
useKeys(() => (asks.value = true), () => document.querySelector<HTMLElement>('.add-line .add-row > button')?.click());
</script>

<template>
    <main ref="bench" class="bench">
        <h1 class="sr">Build</h1>
        <BuildSheet />
        <div class="bench-middle"><Peg /><GarmentRail /></div>
        <Gauges />
        <DropFiles :over="bench" />
        <v-dialog v-model="asks" max-width="560" aria-labelledby="keys-head">
            <div class="sheet-dialog">
                <h2 id="keys-head">Keys of the bench</h2>
                <dl class="keys"><template v-for="[key, does] in KEYS" :key="key"><dt class="measure">{{ key }}</dt><dd>{{ does }}</dd></template></dl>
                <div class="dialog-ends"><v-btn autofocus @click="asks = false">Close</v-btn></div>
            </div>
        </v-dialog>
    </main>
</template>

<style>
.bench { position: relative; display: grid; grid-template-columns: 400px minmax(0, 1fr) 236px; height: 100%; min-height: 0; }
.keys { display: grid; grid-template-columns: auto 1fr; gap: 4px 18px; margin: 10px 0; }
.keys dd { margin: 0; }
.bench-middle { display: grid; grid-template-rows: minmax(0, 1fr) auto; grid-template-columns: minmax(0, 1fr); min-height: 0; min-width: 0; }
/* Narrower: the gauges go below the peg; on a phone the peg comes first, then the sheet, then the gauges. */
@media (max-width: 1100px) {
    .bench { grid-template-columns: minmax(300px, 360px) minmax(0, 1fr); grid-template-rows: minmax(0, 1fr) auto; }
    .bench > .build-sheet { grid-row: 1 / 3; }
    .bench > .gauges { max-height: 30vh; border-left: 0; border-top: 1px solid var(--ink); }
}
@media (max-width: 760px) {
    .bench { display: flex; flex-direction: column; height: auto; }
    .bench > .bench-middle { order: -1; height: 64vh; flex: none; }
    .bench > .build-sheet { border-right: 0; }
    .bench .sheet-lines { flex: none; overflow: visible; }
    .bench > .gauges { max-height: none; }
}
</style>
