<script setup lang="ts">
import { computed, reactive } from 'vue';
import { VBtn, VNumberInput, VSelect } from 'vuetify/components';
import TurnPicture from '../pictures/TurnPicture.vue';
import type { Artwork } from '../types';

/** Pictures to list a design by: on each cloth on offer, before a backdrop, with folds by a number. */
const props = defineProps<{ revision: number; artwork: Artwork }>();
const form = reactive({ backdrop: 'plain', seed: 1, width: 2500, height: 2100 });
const backdrops = [{ value: 'plain', title: 'plain' }, { value: 'paper', title: 'paper' }, { value: 'wood', title: 'wood' }, { value: 'leaves', title: 'leaves' }];
const asked = computed(() => `backdrop=${form.backdrop}&seed=${form.seed || 0}`);
const ratio = computed(() => (form.height || 1) / (form.width || 1));
const small = (cloth: number): string => `/api/revisions/${props.revision}/listing.jpg?cloth=${cloth}&${asked.value}&width=500&height=${Math.max(200, Math.min(1000, Math.round(500 * ratio.value)))}`;
const large = (cloth: number): string => `/api/revisions/${props.revision}/listing.jpg?cloth=${cloth}&${asked.value}&width=${form.width}&height=${form.height}`;
</script>

<template>
    <section class="listing" aria-labelledby="listing-head">
        <h2 id="listing-head">Pictures for the listing</h2>
        <div class="listing-asks">
            <v-select v-model="form.backdrop" label="Backdrop" :items="backdrops" />
            <v-number-input v-model="form.seed" label="Folds, by number" :min="0" :max="999999" />
            <v-number-input v-model="form.width" label="Pixels wide" :min="200" :max="4000" control-variant="hidden" />
            <v-number-input v-model="form.height" label="Pixels high" :min="200" :max="4000" control-variant="hidden" />
            <v-btn :href="`/api/revisions/${revision}/listing.zip?${asked}&width=${form.width}&height=${form.height}`" download>Every cloth in one zip</v-btn>
        </div>
        <ul>
            <li v-for="(garment, i) in artwork.garments" :key="garment.name">
                <TurnPicture :src="small(i)" :alt="`${artwork.title} on ${garment.name}`" />
                <a :href="large(i)" :download="`${garment.name}.jpg`">{{ garment.name }}</a>
            </li>
        </ul>
        <p class="small">Garments drawn by us, the art at its true scale; the folds bend and light it.</p>
    </section>
</template>

<style>
.listing { display: grid; gap: 10px; margin: 20px 0; }
.listing-asks { display: grid; grid-template-columns: repeat(4, minmax(0, 1fr)) max-content; gap: 10px; align-items: center; }
.listing ul { display: grid; grid-template-columns: repeat(auto-fill, minmax(230px, 1fr)); gap: 12px; }
.listing li { display: grid; gap: 4px; }
.listing img, .listing li > span { width: 100%; aspect-ratio: 25 / 21; object-fit: contain; background: var(--card); border: 1px solid var(--hair); }
@media (max-width: 760px) { .listing-asks { grid-template-columns: 1fr 1fr; } }
</style>
