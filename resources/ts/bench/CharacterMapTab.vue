<script setup lang="ts">
import { useInfiniteQuery } from '@tanstack/vue-query';
import { refDebounced } from '@vueuse/core';
import { computed, ref } from 'vue';
import { VBtn, VTextField } from 'vuetify/components';
import { api, said } from '../api';
import { useShop } from '../server/queries';
import { useSheet } from '../stores/sheet';
import GlyphPicture from '../pictures/GlyphPicture.vue';
import type { FontCharacters, Words } from '../types';

/** Every character of a font, also those that no keyboard has; a press writes one behind the words. */
const props = defineProps<{ id: string; source: Words }>();
const sheet = useSheet();
const shop = useShop();
const wanted = ref<string | null>('');
const settled = refDebounced(computed(() => (wanted.value ?? '').trim()), 250);
const font = computed(() => shop.asset(props.source.font)?.id);
const { data, error, isLoading, hasNextPage, fetchNextPage, isFetchingNextPage } = useInfiniteQuery({
    queryKey: ['characters', font, settled],
    queryFn: ({ pageParam }) => api.get<FontCharacters>(`assets/${font.value}/characters?find=${encodeURIComponent(settled.value)}&from=${pageParam}`),
    initialPageParam: 0,
    getNextPageParam: (last, pages) => {
        const had = pages.reduce((sum, page) => sum + page.characters.length, 0);
        return had < last.all && last.characters.length > 0 ? had : undefined;
    },
    enabled: () => font.value !== undefined,
});
const found = computed(() => data.value?.pages.flatMap((page) => page.characters) ?? []);
const all = computed(() => data.value?.pages[0]?.all ?? 0);

function write(character: string): void {
    void sheet.operate({ op: 'set-words', id: props.id, text: props.source.text + character });
}
</script>

<template>
    <div class="characters">
        <v-text-field v-model="wanted" type="search" label="Find by name, or the character itself" maxlength="60" clearable hide-details />
        <p v-if="font === undefined" role="alert">This font is not on the shelf any more.</p>
        <p v-else-if="error" role="alert">{{ said(error) }}</p>
        <p v-else-if="isLoading" role="status">Looking them up …</p>
        <template v-else>
            <p class="small measure" role="status">{{ all === 0 ? 'The font has no such character.' : `${all} characters. A press writes one behind the words.` }}</p>
            <ul class="glyphs" aria-label="Characters of the font">
                <li v-for="one in found" :key="one.character">
                    <button type="button" class="glyph-choice" :title="one.name" :aria-label="`Write ${one.name}`" @click="write(one.character)"><GlyphPicture :drawing="one.drawing" /></button>
                </li>
            </ul>
            <v-btn v-if="hasNextPage" :loading="isFetchingNextPage" @click="fetchNextPage()">Show more</v-btn>
        </template>
    </div>
</template>

<style>
.characters { display: grid; gap: 10px; justify-items: start; }
.characters .v-text-field { width: 320px; max-width: 100%; }
.characters .glyphs { width: 100%; grid-template-columns: repeat(auto-fill, minmax(76px, 1fr)); }
</style>
