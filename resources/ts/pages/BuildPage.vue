<script setup lang="ts">
import { ref } from 'vue';
import { VBtn } from 'vuetify/components';
import BuildSheet from '../bench/BuildSheet.vue';
import GarmentRail from '../bench/GarmentRail.vue';
import Gauges from '../bench/Gauges.vue';
import { KEYS, useKeys } from '../bench/useKeys';
import Peg from '../peg/Peg.vue';

const asks = ref(false);
useKeys(() => (asks.value = true), () => document.querySelector<HTMLElement>('.add-line .add-row > button')?.click());
</script>

<template>
    <div class="bench">
        <h1 class="sr">Build</h1>
        <BuildSheet />
        <div class="bench-middle"><Peg /><GarmentRail /></div>
        <Gauges />
        <v-dialog v-model="asks" max-width="560" aria-labelledby="keys-head">
            <div class="sheet-dialog">
                <h2 id="keys-head">Keys of the bench</h2>
                <dl class="keys"><template v-for="[key, does] in KEYS" :key="key"><dt class="measure">{{ key }}</dt><dd>{{ does }}</dd></template></dl>
                <div class="dialog-ends"><v-btn autofocus @click="asks = false">Close</v-btn></div>
            </div>
        </v-dialog>
    </div>
</template>

<style>
.bench { display: grid; grid-template-columns: 400px minmax(0, 1fr) 236px; height: 100%; min-height: 0; }
.keys { display: grid; grid-template-columns: auto 1fr; gap: 4px 18px; margin: 10px 0; }
.keys dd { margin: 0; }
.bench-middle { display: grid; grid-template-rows: minmax(0, 1fr) auto; grid-template-columns: minmax(0, 1fr); min-height: 0; min-width: 0; }
</style>
