<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, reactive } from 'vue';
import { VBtn, VNumberInput, VSelect } from 'vuetify/components';
import { api } from '../api';
import TurnPicture from '../pictures/TurnPicture.vue';
import type { Artwork, SceneName } from '../types';
import OnPhoto from './OnPhoto.vue';
import SizeDiagram from './SizeDiagram.vue';

/** Listing pictures: on each cloth on offer in a scene with a random seed, or on the seller's own photo. */
const props = defineProps<{ revision: number; artwork: Artwork }>();
const { data: scenes } = useQuery({ queryKey: ['scenes'], queryFn: () => api.get<SceneName[]>('scenes'), staleTime: Infinity });
const form = reactive({ scene: 'plain', seed: 1, width: 2500, height: 2100 });
const asked = computed(() => `scene=${form.scene}&seed=${form.seed || 0}`);
const ratio = computed(() => (form.height || 1) / (form.width || 1));
/** A close-up is at the print's resolution: a small picture would show only a small part, so it is drawn large and displayed small. */
const size = computed(() => (form.scene === 'close' ? 1000 : 500));
const small = (cloth: number): string => `/api/revisions/${props.revision}/listing.jpg?cloth=${cloth}&${asked.value}&width=${size.value}&height=${Math.max(200, Math.min(2000, Math.round(size.value * ratio.value)))}`;
const large = (cloth: number): string => `/api/revisions/${props.revision}/listing.jpg?cloth=${cloth}&${asked.value}&width=${form.width}&height=${form.height}`;
</script>

<template>
    <section class="listing" aria-labelledby="listing-head">
        <h2 id="listing-head">Pictures for the listing</h2>
        <div class="listing-asks">
            <v-select v-model="form.scene" label="Scene" :items="scenes ?? []" item-title="name" item-value="slug" />
            <v-number-input v-model="form.seed" label="Folds and chance, by number" :min="0" :max="999999" />
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
        <SizeDiagram :revision="revision" :artwork="artwork" :width="form.width || 2500" :height="form.height || 2100" />
        <OnPhoto :revision="revision" :ratio="artwork.sheet.height / artwork.sheet.width" />
    </section>
</template>

<style>
.listing { display: grid; gap: 10px; margin: 20px 0; }
.listing-asks { display: grid; grid-template-columns: repeat(4, minmax(0, 1fr)) max-content; gap: 10px; align-items: center; }
.listing ul { display: grid; grid-template-columns: repeat(auto-fill, minmax(230px, 1fr)); gap: 12px; }
.listing li { display: grid; gap: 4px; }
.listing li img, .listing li > span { width: 100%; aspect-ratio: 25 / 21; object-fit: contain; background: var(--card); border: 1px solid var(--hair); }
@media (max-width: 760px) { .listing-asks { grid-template-columns: 1fr 1fr; } }
</style>
