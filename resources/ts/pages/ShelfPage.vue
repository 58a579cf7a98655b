<script setup lang="ts">
import { refDebounced } from '@vueuse/core';
import { computed, reactive, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { VAutocomplete, VBtn, VCheckbox, VCheckboxBtn, VCombobox, VExpansionPanel, VExpansionPanels, VFileInput, VPagination, VSelect } from 'vuetify/components';
import { api, said } from '../api';
import TurnPicture from '../pictures/TurnPicture.vue';
import { useChange, useFavour } from '../server/queries';
import { useLicenceChoices } from '../server/rights';
import { NOTHING, SHELVED, useShelf, type Wanted } from '../server/shelf';
import AssetDialog from '../shelf/AssetDialog.vue';
import CollectionBar from '../shelf/CollectionBar.vue';
import ShelfUpload from '../shelf/ShelfUpload.vue';
import { counted } from '../words/counted';
import '../shelf/cards.css';
import type { AssetCard, ShelfOpened } from '../types';

const route = useRoute();
const wanted = reactive<Wanted>({ ...NOTHING, q: String(route.query['q'] ?? '') });
const asked = refDebounced(computed(() => ({ ...wanted })), 150);
const { data: shelf, error, isFetching, refetch } = useShelf(asked);
const held = useLicenceChoices();
const { mutate: favour } = useFavour();
const looked = ref<number | null>(null);
const words = ref('');
const trying = refDebounced(words, 400);
const chosen = ref<number[]>([]);
const tag = ref<string | null>(null);
const under = ref<number | null>(null);
const tagging = useChange((on: boolean) => api.put('shelf/tags', { assets: chosen.value, tags: [tag.value], on }), ...SHELVED);
const holding = useChange(() => api.put('shelf/licence', { assets: chosen.value, licence: under.value }), ...SHELVED);
const file = ref<File | File[] | null>(null);
const opened = ref<ShelfOpened | null>(null);
const opening = useChange((one: File) => {
    const form = new FormData();
    form.set('file', one);
    return api.upload<ShelfOpened>('shelf/file', form);
}, ...SHELVED);
const trouble = computed(() => [error.value, tagging.error.value, holding.error.value, opening.error.value].find((one) => one));
const choices = computed(() => [{ value: 0, title: 'none recorded' }, ...held.value]);
const count = computed(() => `${shelf.value?.total ?? 0} ${shelf.value?.total === 1 ? 'piece' : 'pieces'}`);

// A new search starts at the first page.
watch(() => ({ ...wanted, page: 0 }), () => (wanted.page = 1));

const preview = (card: AssetCard): string => `/api/assets/${card.id}/preview.png${card.kind === 'font' && trying.value.trim() ? `?text=${encodeURIComponent(trying.value.trim())}` : ''}`;
const facts = (card: AssetCard): string => [card.kind === 'font' ? card.genre : card.type === 'svg' ? 'drawing' : `${card.width} × ${card.height} px`, card.cut && card.cut !== 'fill' ? `${card.cut} cut` : '', card.licenceId ? card.licence.name : 'no licence recorded'].filter(Boolean).join(' · ');

function choose(id: number, on: boolean): void {
    chosen.value = on ? [...chosen.value, id] : chosen.value.filter((one) => one !== id);
}

function take(): void {
    const one = [file.value].flat()[0];
    if (one) {
        opening.mutate(one, { onSuccess: (done) => { opened.value = done; file.value = null; } });
    }
}
</script>

<template>
    <main class="page">
        <header class="page-head"><h1>Shelf</h1><span class="small">fonts and art of this shop, each with its licence</span></header>
        <v-expansion-panels class="shelf-panels">
            <v-expansion-panel title="Put fonts and pictures on the shelf"><template #text><ShelfUpload :genres="shelf?.genres ?? []" /></template></v-expansion-panel>
            <v-expansion-panel title="The whole shelf as a file">
                <template #text>
                    <div class="shelf-file">
                        <v-btn href="/api/shelf/file" download>Save the shelf with its licences and proofs</v-btn>
                        <v-file-input v-model="file" label="Take in a shelf that was saved" accept=".zip" prepend-icon="" density="compact" variant="outlined" hide-details :loading="opening.isPending.value" @update:model-value="take"><template #loader><v-progress-linear v-if="opening.isPending.value" indeterminate absolute color="primary" height="2" aria-label="The shelf is being taken in" /></template></v-file-input>
                    </div>
                    <div v-if="opened" role="status"><p>{{ counted(opened.taken, 'piece') }} taken in, {{ opened.known }} {{ opened.known === 1 ? 'was' : 'were' }} here; {{ counted(opened.licences, 'licence') }}, {{ counted(opened.proofs, 'proof') }}.</p><p v-for="problem in opened.problems" :key="problem" class="small">{{ problem }}</p></div>
                </template>
            </v-expansion-panel>
        </v-expansion-panels>
        <div class="shelf-filters" role="search" aria-label="The shelf">
            <v-text-field v-model="wanted.q" type="search" label="Find by name, tag, genre, colour, licence" clearable @click:clear="wanted.q = ''" />
            <v-select v-model="wanted.kind" label="Kind" :items="[{ value: '', title: 'fonts and art' }, { value: 'font', title: 'fonts' }, { value: 'art', title: 'art' }]" />
            <v-select v-model="wanted.genre" label="Genre" :items="[{ value: '', title: 'any' }, ...(shelf?.genres ?? []).map((one) => ({ value: one, title: one }))]" />
            <v-select v-model="wanted.tag" label="Tag" :items="[{ value: '', title: 'any' }, ...(shelf?.tags ?? []).map((one) => ({ value: one, title: one }))]" />
            <v-autocomplete v-model="wanted.licence" label="Licence" :items="choices" clearable />
            <v-select v-model="wanted.used" label="Use" :items="[{ value: '', title: 'used or not' }, { value: 'yes', title: 'used in a design' }, { value: 'no', title: 'unused' }]" />
            <v-select v-model="wanted.collection" label="Collection" clearable :items="(shelf?.collections ?? []).map((one) => ({ value: one.id, title: `${one.name} (${one.pieces})` }))" no-data-text="None yet: choose pieces and lay them in one" />
            <v-text-field v-model="words" label="Fonts in your words" maxlength="40" />
        </div>
        <p v-if="trouble" role="alert">{{ said(trouble) }} <v-btn v-if="error" size="small" @click="refetch()">Try again</v-btn></p>
        <div class="shelf-bar">
            <span class="measure small" role="status">{{ isFetching && !shelf ? 'looking …' : count }}</span>
            <span class="shelf-ticks"><v-checkbox v-model="wanted.favourite" label="favourites" /><v-checkbox v-model="wanted.bin" label="the bin" /></span>
            <CollectionBar v-if="chosen.length === 0" v-model="wanted.collection" :collections="shelf?.collections ?? []" :chosen="[]" />
        </div>
        <p v-if="shelf && shelf.total === 0" class="empty">{{ wanted.bin ? 'Nothing lies in the bin. What is taken off the shelf stays here for 30 days.' : 'Nothing here is like that.' }}</p>
        <ul class="shelf-cards">
            <li v-for="card in shelf?.cards ?? []" :key="card.id" class="shelf-card" :class="{ chosen: chosen.includes(card.id) }">
                <button type="button" class="shelf-look" :class="card.kind" @click="looked = card.id"><TurnPicture :src="preview(card)" :alt="card.title" /></button>
                <div class="shelf-says">
                    <v-checkbox-btn class="shelf-choose" :model-value="chosen.includes(card.id)" density="compact" :aria-label="`choose ${card.title}`" @update:model-value="choose(card.id, $event === true)" />
                    <button type="button" class="shelf-title" @click="looked = card.id">{{ card.title }}</button>
                    <button type="button" class="shelf-star" :aria-pressed="card.favourite" :aria-label="`favourite: ${card.title}`" @click="favour({ id: card.id, favourite: !card.favourite }, { onSuccess: () => refetch() })">{{ card.favourite ? '★' : '☆' }}</button>
                </div>
                <small :class="{ 'is-bad': card.licenceId === null }">{{ facts(card) }}</small>
                <small v-if="card.tags.length">{{ card.tags.join(', ') }}</small>
                <small v-if="card.leftOut.length" class="left-out">not printed: {{ card.leftOut.join('; ') }}</small>
            </li>
        </ul>
        <v-pagination v-if="shelf && shelf.pages > 1" v-model="wanted.page" :length="shelf.pages" :total-visible="7" />
        <div v-if="chosen.length" class="shelf-bar shelf-chosen" role="group" aria-label="What is chosen">
            <strong>{{ chosen.length }} chosen</strong>
            <v-combobox v-model="tag" label="Tag" :items="shelf?.tags ?? []" /><v-btn size="small" :disabled="!tag" @click="tagging.mutate(true)">Put on</v-btn><v-btn size="small" :disabled="!tag" @click="tagging.mutate(false)">Take off</v-btn>
            <v-autocomplete v-model="under" label="Licence" :items="choices.slice(1)" /><v-btn size="small" :disabled="under === null" @click="holding.mutate(undefined)">Hold under it</v-btn>
            <CollectionBar v-model="wanted.collection" :collections="shelf?.collections ?? []" :chosen="chosen" />
            <v-btn size="small" variant="text" @click="chosen = []">Choose none</v-btn>
        </div>
        <AssetDialog v-model="looked" :known="shelf?.tags ?? []" />
    </main>
</template>

<style>
.left-out { color: var(--warn); }
.shelf-file { display: grid; grid-template-columns: auto minmax(200px, 1fr); gap: 14px; align-items: center; }
.shelf-filters { display: grid; grid-template-columns: repeat(5, minmax(0, 1fr)); gap: 10px; }
.shelf-filters > :first-child, .shelf-filters > :last-child { grid-column: span 2; }
.shelf-ticks { display: flex; gap: 4px 12px; }
.shelf-bar .shelf-ticks .v-input { flex: none; }
.shelf-bar { display: flex; flex-wrap: wrap; gap: 10px; align-items: center; min-height: 56px; }
.shelf-bar .v-input { flex: 0 1 220px; }
/* Lies over the cards, so that none moves while they are chosen. */
.shelf-chosen { position: sticky; bottom: 0; z-index: 2; padding: 10px; border: 1px solid var(--ink); background: var(--card); }
.shelf-card.chosen { border-color: var(--ink); box-shadow: 0 0 0 1px var(--ink); }
.shelf-says { display: grid; grid-template-columns: 24px minmax(0, 1fr) 24px; align-items: center; gap: 4px; }
.shelf-says .shelf-choose { grid-area: auto; }
.shelf-choose .v-selection-control__wrapper, .shelf-choose .v-selection-control__input { width: 24px; height: 24px; }
.shelf-star { width: 24px; height: 24px; }
.shelf-card small.is-bad { color: var(--bad); }
@media (max-width: 900px) { .shelf-filters { grid-template-columns: 1fr 1fr; } }
@media (max-width: 500px) { .shelf-filters, .shelf-file { grid-template-columns: 1fr; } .shelf-filters > :first-child, .shelf-filters > :last-child { grid-column: auto; } }
</style>
