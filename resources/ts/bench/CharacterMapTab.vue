<script setup lang="ts">
import { useInfiniteQuery } from '@tanstack/vue-query';
import { refDebounced } from '@vueuse/core';
import { computed, nextTick, onMounted, ref, watch } from 'vue';
import { VBtn, VTextarea, VTextField } from 'vuetify/components';
import { api, said } from '../api';
import { useLeaving } from '../hand';
import { useShop } from '../server/queries';
import { useSheet } from '../stores/sheet';
import GlyphPicture from '../pictures/GlyphPicture.vue';
import type { FontCharacters, Words } from '../types';

/** Every character of a font, also those that no keyboard has; a press writes one at the cursor. */
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

const typed = ref(props.source.text);
/** Words that were sent and are not answered yet: their answers must not undo what was typed since. */
const sent: string[] = [];
watch(() => props.source.text, (text) => {
    const at = sent.indexOf(text);
    if (at < 0) {
        typed.value = text;
    }
    sent.splice(0, at + 1);
});
const field = ref<InstanceType<typeof VTextarea> | null>(null);
const area = (): HTMLTextAreaElement | null => field.value?.$el.querySelector('textarea') ?? null;

function keep(): void {
    if (typed.value !== (sent[sent.length - 1] ?? props.source.text) && typed.value.trim() !== '') {
        sent.push(typed.value);
        void sheet.operate({ op: 'set-words', id: props.id, text: typed.value });
    }
}
const leave = useLeaving(keep);

/** Puts the cursor behind the words at first: a field that nobody has touched has none. */
onMounted(() => area()?.setSelectionRange(typed.value.length, typed.value.length));

async function write(character: string): Promise<void> {
    const [from, to] = [area()?.selectionStart ?? typed.value.length, area()?.selectionEnd ?? typed.value.length];
    typed.value = typed.value.slice(0, from) + character + typed.value.slice(to);
    keep();
    await nextTick();
    area()?.setSelectionRange(from + character.length, from + character.length);
}
</script>

<template>
    <div class="characters">
        <v-textarea ref="field" v-model="typed" class="characters-words" label="Words: put the cursor where a character goes" :rows="Math.min(3, typed.split('\n').length)" max-rows="3" maxlength="2000" spellcheck="false" hide-details @blur="leave" />
        <v-text-field v-model="wanted" type="search" label="Find by name, or the character itself" maxlength="60" clearable hide-details />
        <p v-if="font === undefined" role="alert">This font is not on the shelf any more.</p>
        <p v-else-if="error" role="alert">{{ said(error) }}</p>
        <p v-else-if="isLoading" role="status">Looking them up …</p>
        <template v-else>
            <p class="small measure" role="status">{{ all === 0 ? 'The font has no such character.' : `${all} characters. A press writes one at the cursor.` }}</p>
            <ul class="glyphs" aria-label="Characters of the font">
                <li v-for="one in found" :key="one.character">
                    <button type="button" class="glyph-choice" :title="one.name" :aria-label="`Write ${one.name}`" @mousedown.prevent @click="write(one.character)"><GlyphPicture :drawing="one.drawing" /></button>
                </li>
            </ul>
            <v-btn v-if="hasNextPage" :loading="isFetchingNextPage" @click="fetchNextPage()">Show more</v-btn>
        </template>
    </div>
</template>

<style>
.characters { display: grid; gap: 10px; justify-items: start; }
.characters .v-text-field { width: 320px; max-width: 100%; }
.characters .characters-words { width: 100%; padding-top: 8px; position: sticky; top: 0; z-index: 1; background: var(--card); }
.characters .glyphs { width: 100%; grid-template-columns: repeat(auto-fill, minmax(76px, 1fr)); }
</style>
