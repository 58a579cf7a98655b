<script setup lang="ts">
import { computed, ref, useTemplateRef, watch } from 'vue';
import { VCheckbox, VSelect, type VTextField } from 'vuetify/components';
import { useFavour, useShop } from '../server/queries';
import type { AssetCard } from '../types';
import { finds, genresOf, licencesOf } from './finding';

/** A picker for fonts or pictures of the shelf. Only visible rows are rendered. */
const props = defineProps<{ kind: 'font' | 'art'; value: string; title: string; words?: string; clear?: string }>();
const emit = defineEmits<{ choose: [file: string] }>();
const open = defineModel<boolean>({ required: true });

const shop = useShop();
const { mutate: favour } = useFavour();
const filter = useTemplateRef<VTextField>('filter');
const wanted = ref('');
const genre = ref('');
const licence = ref('');
const favourites = ref(false);
const sample = ref('');
const all = computed(() => shop.assets.filter((asset) => asset.kind === props.kind));
const genres = computed(() => genresOf(all.value));
const licences = computed(() => licencesOf(all.value));
const found = computed(() => finds(all.value, { wanted: wanted.value, genre: genre.value, licence: licence.value, favourites: favourites.value }));

watch(open, (now) => {
    if (now) {
        sample.value = (props.words ?? '').replace(/\s+/g, ' ').trim().slice(0, 40);
    }
});

function take(file: string): void {
    open.value = false;
    if (file !== props.value) {
        emit('choose', file);
    }
}

const preview = (asset: AssetCard): string => `/api/assets/${asset.id}/preview.png${props.kind === 'font' ? `?text=${encodeURIComponent(sample.value)}` : ''}`;
const facts = (asset: AssetCard): string => (asset.kind === 'font' ? [asset.genre, asset.cut && asset.cut !== 'fill' ? `${asset.cut} cut` : '', asset.varies.length ? `any ${asset.varies.join(', ')}` : '', asset.licence.name] : [asset.type === 'svg' ? 'drawing' : `${asset.width} × ${asset.height} px`, asset.licence.name]).filter(Boolean).join(' · ');
</script>

<template>
    <v-dialog v-model="open" max-width="760" scrollable @after-enter="filter?.focus()">
        <section class="sheet-dialog finder-dialog" :aria-label="title">
            <h2>{{ title }}</h2>
            <div class="finder-filters">
                <v-text-field ref="filter" v-model="wanted" type="search" label="Filter by name" hide-details @keydown.enter.prevent="wanted && found[0] && take(found[0].file)" />
                <v-text-field v-if="kind === 'font'" v-model="sample" maxlength="40" label="Words to try" hide-details />
                <v-select v-if="genres.length > 1" v-model="genre" label="Genre" :items="[{ value: '', title: 'every genre' }, ...genres.map((one) => ({ value: one, title: one }))]" />
                <v-select v-model="licence" label="Licence" :items="[{ value: '', title: 'every licence' }, ...licences.map((one) => ({ value: one, title: one }))]" />
                <v-checkbox v-model="favourites" label="favourites" hide-details />
                <span class="small measure" role="status">{{ found.length }} of {{ all.length }}</span>
            </div>
            <v-btn v-if="clear" variant="text" @click="take('')">{{ clear }}</v-btn>
            <v-virtual-scroll v-if="found.length" class="finder-rows" :items="found" :item-height="kind === 'font' ? 76 : 72" height="420">
                <template #default="{ item }">
                    <div class="finder-row" :class="kind">
                        <button type="button" class="finder-choose" :aria-current="item.file === value ? 'true' : undefined" @click="take(item.file)">
                            <img :key="preview(item)" :src="preview(item)" :alt="kind === 'font' ? `${sample} in ${item.title}` : ''" :width="kind === 'font' ? 440 : 56" :height="kind === 'font' ? 64 : 56" />
                            <span>{{ item.title }} <small>{{ facts(item) }}</small></span>
                        </button>
                        <button type="button" class="star" :aria-pressed="item.favourite" :aria-label="`${item.title}: favourite`" :title="item.favourite ? 'No longer a favourite' : 'Keep as a favourite'" @click="favour({ id: item.id, favourite: !item.favourite })">{{ item.favourite ? '★' : '☆' }}</button>
                    </div>
                </template>
            </v-virtual-scroll>
            <p v-else>Nothing on the shelf is like that. Change the filters, or add a file under Shelf.</p>
        </section>
    </v-dialog>
</template>

<style>
.finder-dialog { min-height: 540px; }
.finder-filters { display: grid; grid-template-columns: repeat(auto-fit, minmax(130px, 1fr)); gap: 8px; align-items: center; margin: 8px 0 6px; }
.finder-row { display: flex; align-items: center; border-bottom: 1px solid var(--hair); }
.finder-choose { flex: 1; display: flex; align-items: center; gap: 12px; text-align: left; padding: 4px; min-width: 0; }
.finder-choose:hover, .finder-choose[aria-current] { background: var(--rust-wash); }
.finder-choose img { object-fit: contain; object-position: left; max-width: 70%; height: auto; background: #e9e2d2; padding: 2px 6px; }
.finder-row.art img { object-position: center; }
.finder-choose small { display: block; }
.star { width: 32px; height: 32px; font-size: 18px; color: var(--rust); }
</style>
