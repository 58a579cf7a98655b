<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, ref, watch } from 'vue';
import { VSelect } from 'vuetify/components';
import { api, said } from '../api';
import { useSheet } from '../stores/sheet';
import GlyphPicture from '../pictures/GlyphPicture.vue';
import type { FormOfLetter, FormsOfLetter, Layer, LetterOfWords, Operation } from '../types';
import { phrasesOf } from '../words/choices';
import { called } from '../words/features';

/** The forms that the font has of one letter; a press sets it in one. */
const props = defineProps<{ layer: Layer }>();
const sheet = useSheet();
type Told = Extract<Operation, { op: 'set-form' }>['letters'];
const number = ref(1);
const told = ref<Told>('one-letter');

const address = computed(() => `revisions/${sheet.job?.revision}/layers/${props.layer.id}/forms?letter=${number.value}&told=${told.value}`);
const { data, error, isLoading } = useQuery({ queryKey: ['forms', address], queryFn: () => api.get<FormsOfLetter>(address.value), placeholderData: (before) => before });
const letters = computed(() => data.value?.letters ?? []);
const lines = computed(() => [...new Set(letters.value.map((one) => one.line))].map((line) => letters.value.filter((one) => one.line === line)));
const letter = computed(() => letters.value.find((one) => one.number === number.value));
const ways = computed(() => {
    const words = phrasesOf('feature', 'letters', letter.value?.told ?? []);
    return (letter.value?.told ?? []).map((value) => ({ value, title: value === 'one-letter' ? `this ${letter.value?.text} alone` : words[value] }));
});

// The words may have become shorter.
watch(letters, (now) => {
    if (now.length > 0 && !letter.value) {
        number.value = 1;
        told.value = 'one-letter';
    }
});

/** As it is told already, if a line of the sheet sets it in some form. */
function look(one: LetterOfWords): void {
    const lines = props.layer.effects.filter((line) => line.kind === 'feature' && one.told.includes(line.letters) && (line.letters !== 'one-letter' || line.letter === one.number));
    const last = lines[lines.length - 1];
    number.value = one.number;
    told.value = last?.kind === 'feature' ? (last.letters as Told) : 'one-letter';
}

function set({ tag, value }: FormOfLetter): void {
    void sheet.operate({ op: 'set-form', id: props.layer.id, letters: told.value, letter: told.value === 'one-letter' ? number.value : 1, tag, value });
}
</script>

<template>
    <div class="letter-forms">
        <p v-if="error" role="alert">{{ said(error) }}</p>
        <p v-else-if="isLoading" role="status">Looking them up …</p>
        <p v-else-if="letters.length === 0" class="empty">There are no letters yet. Write the words first.</p>
        <template v-else>
            <div v-for="(line, i) in lines" :key="i" class="letters-row" role="group" :aria-label="`Letters of line ${i + 1}`">
                <button v-for="one in line" :key="one.number" type="button" class="letter-choice" :aria-pressed="one.number === number" :aria-label="`${one.text}, letter ${one.number}`" @click="look(one)">{{ one.text }}</button>
            </div>
            <v-select v-model="told" class="letter-told" label="A form is for" :items="ways" hide-details />
            <ul class="glyphs" aria-label="Forms of the letter">
                <li v-for="form in data?.forms ?? []" :key="`${form.tag} ${form.value}`">
                    <button type="button" class="glyph-choice" :aria-pressed="form.isCurrent" @click="set(form)">
                        <GlyphPicture :drawing="form.drawing" />
                        <span class="small">{{ called(form) }}</span>
                    </button>
                </li>
            </ul>
            <p v-if="data?.forms.length === 1" class="small" role="status">This font draws no other form of this letter.</p>
        </template>
    </div>
</template>

<style>
.letters-row { display: flex; flex-wrap: wrap; gap: 2px; margin-bottom: 4px; }
.letter-choice { min-width: 28px; min-height: 32px; border: 1px solid var(--hair); background: var(--paper); font-size: 16px; }
.letter-choice[aria-pressed='true'] { background: var(--rust-wash); border-color: var(--rust); }
.letter-told { max-width: 320px; margin: 10px 0; }
.glyphs { display: grid; grid-template-columns: repeat(auto-fill, minmax(104px, 1fr)); gap: 8px; }
.glyph-choice { display: grid; justify-items: center; gap: 2px; width: 100%; border: 1px solid var(--hair); background: var(--paper); padding: 6px; cursor: pointer; }
.glyph-choice[aria-pressed='true'] { border-color: var(--rust); outline: 1px solid var(--rust); }
</style>
