<script setup lang="ts">
import { computed } from 'vue';
import { VBtn, VTab, VTabs, VTabsWindow, VTabsWindowItem } from 'vuetify/components';
import { useShop } from '../server/queries';
import { usePeg } from '../stores/peg';
import { useSelection } from '../stores/selection';
import { useSheet } from '../stores/sheet';
import TurnPicture from '../pictures/TurnPicture.vue';
import CharacterMapTab from './CharacterMapTab.vue';
import LetterFormsTab from './LetterFormsTab.vue';

/** The letters of the selected words: other forms of each, and all characters of the font. */
const open = defineModel<boolean>({ required: true });
const tab = defineModel<'forms' | 'characters'>('tab', { required: true });
const sheet = useSheet();
const selection = useSelection();
const peg = usePeg();
const shop = useShop();
const layer = computed(() => (selection.layer?.source.kind === 'text' ? selection.layer : undefined));
const source = computed(() => (layer.value?.source.kind === 'text' ? layer.value.source : undefined));
const font = computed(() => (source.value ? (shop.asset(source.value.font)?.title ?? source.value.font) : ''));
</script>

<template>
    <v-dialog v-model="open" max-width="820" scrollable aria-labelledby="letters-head">
        <section v-if="layer && source" class="sheet-dialog letters-dialog">
            <h2 id="letters-head">Letters of {{ font }}</h2>
            <div class="letters-art" :style="{ background: peg.garment?.colour ?? '#3d4a57' }"><TurnPicture :src="`/api/revisions/${sheet.job?.revision}/layers/${layer.id}/tried.png?side=600`" :alt="sheet.called(layer.id)" /></div>
            <v-tabs v-model="tab"><v-tab value="forms">Other forms</v-tab><v-tab value="characters">All characters</v-tab></v-tabs>
            <v-tabs-window v-model="tab" class="letters-body">
                <v-tabs-window-item value="forms"><LetterFormsTab :layer="layer" /></v-tabs-window-item>
                <v-tabs-window-item value="characters"><CharacterMapTab :id="layer.id" :source="source" /></v-tabs-window-item>
            </v-tabs-window>
            <div class="dialog-ends"><v-btn @click="open = false">Done</v-btn></div>
        </section>
    </v-dialog>
</template>

<style>
.letters-dialog { display: grid; gap: 10px; }
.letters-art { height: 132px; display: grid; place-items: center; padding: 8px; }
.letters-art img { max-width: 100%; max-height: 116px; }
.letters-body { height: min(400px, 46vh); overflow: auto; }
</style>
