<script setup lang="ts">
import { computed, ref } from 'vue';
import { VBtn, VExpansionPanel, VExpansionPanels } from 'vuetify/components';
import { said } from '../api';
import TurnPicture from '../pictures/TurnPicture.vue';
import { NO_ADVICE, short, signs, tones } from '../rights/ruling';
import { useRights } from '../server/rights';
import { NOTHING, useShelf } from '../server/shelf';
import AssetDialog from '../shelf/AssetDialog.vue';
import ShelfUpload from '../shelf/ShelfUpload.vue';
import '../shelf/cards.css';
import { useSheet } from '../stores/sheet';

/** The job's assets: those its sheet uses, those missing, and those available. */
const sheet = useSheet();
const { data: rights, error } = useRights(() => sheet.job?.revision);
const { data: more } = useShelf(() => ({ ...NOTHING, for: sheet.job?.id ?? null, used: 'no' }));
const looked = ref<number | null>(null);
const pieces = computed(() => rights.value?.pieces ?? []);
const held = computed(() => pieces.value.filter((piece) => piece.asset !== null));
const lacking = computed(() => pieces.value.filter((piece) => piece.asset === null));
</script>

<template>
    <main class="page">
        <header class="page-head"><h1>Gather</h1><span class="small">what this job is made of, and what it lacks</span></header>
        <p v-if="error" role="alert">{{ said(error) }}</p>
        <section v-if="lacking.length" aria-labelledby="lacks-head">
            <h2 id="lacks-head">It lacks</h2>
            <ul class="gather-lacks"><li v-for="piece in lacking" :key="piece.file"><strong>{{ piece.file }}</strong> <span class="small">{{ piece.ways.join(', ') }} in {{ piece.layers.join(', ') || 'the whole sheet' }}: not on the shelf. Put it there, or choose another on its line.</span></li></ul>
        </section>
        <section aria-labelledby="made-head">
            <h2 id="made-head">It prints <small class="measure">{{ held.length }}</small></h2>
            <p v-if="rights && pieces.length === 0" class="empty">Nothing yet: fonts and art show here as the sheet names them.</p>
            <ul class="shelf-cards">
                <li v-for="piece in held" :key="piece.file" class="shelf-card">
                    <button type="button" class="shelf-look" @click="looked = piece.asset"><TurnPicture :src="`/api/assets/${piece.asset}/preview.png`" :alt="piece.title" /></button>
                    <button type="button" class="shelf-title" @click="looked = piece.asset">{{ piece.title }}</button>
                    <small>{{ piece.ways.join(', ') }}{{ piece.layers.length ? ` in ${piece.layers.join(', ')}` : '' }}</small>
                    <small class="rights"><span class="mark" :class="tones[piece.ruling]" aria-hidden="true">{{ signs[piece.ruling] }}</span> {{ short[piece.ruling] }}: {{ piece.licenceName || 'no licence recorded' }}</small>
                    <small v-if="piece.reasons[0]" class="gather-why">{{ piece.reasons[0].says }}</small>
                </li>
            </ul>
            <p class="small gather-advice">{{ NO_ADVICE }}</p>
        </section>
        <v-expansion-panels class="shelf-panels"><v-expansion-panel title="Put more on the shelf"><template #text><ShelfUpload :genres="more?.genres ?? []" /></template></v-expansion-panel></v-expansion-panels>
        <section v-if="more" aria-labelledby="more-head">
            <h2 id="more-head">Not used yet, and not forbidden for it <small class="measure">{{ more.total }}</small></h2>
            <ul class="shelf-cards">
                <li v-for="card in more.cards.slice(0, 18)" :key="card.id" class="shelf-card">
                    <button type="button" class="shelf-look" @click="looked = card.id"><TurnPicture :src="`/api/assets/${card.id}/preview.png`" :alt="card.title" /></button>
                    <button type="button" class="shelf-title" @click="looked = card.id">{{ card.title }}</button>
                </li>
            </ul>
            <p><v-btn to="/shelf">Look through the whole shelf</v-btn></p>
        </section>
        <AssetDialog v-model="looked" :known="more?.tags ?? []" />
    </main>
</template>

<style>
.gather-lacks { display: grid; gap: 6px; border: 1px solid var(--bad); padding: 10px 14px; }
.gather-advice { margin: 8px 0 14px; }
.shelf-card .gather-why { white-space: normal; }
</style>
