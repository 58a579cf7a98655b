<script setup lang="ts">
import { computed, defineAsyncComponent, nextTick, ref } from 'vue';
import { useRouter } from 'vue-router';
import { useShop } from '../server/queries';
import { useTracing } from '../server/tracing';
import { useSelection } from '../stores/selection';
import { useSheet } from '../stores/sheet';
import TriedPicture from '../pictures/TriedPicture.vue';
import RecipesDialog from './RecipesDialog.vue';
import { begin, linesOf, point } from './beginning';
import { found as foundIn, verbs, type Verb } from './verbs';

const LettersDialog = defineAsyncComponent(() => import('./LettersDialog.vue'));

const sheet = useSheet();
const selection = useSelection();
const shop = useShop();
const trace = useTracing();
const router = useRouter();
const open = ref(false);
const recipes = ref(false);
const letters = ref(false);
const tab = ref<'forms' | 'characters'>('forms');
const wanted = ref('');
const at = ref(0);
const field = ref<HTMLInputElement | null>(null);

const all = computed(() =>
    shop.catalogue && sheet.artwork ? verbs({ artwork: sheet.artwork, catalogue: shop.catalogue, assets: shop.assets, called: sheet.called, axes: (id) => sheet.measures.get(id)?.axes ?? [], trace, recipes: () => (recipes.value = true), letters: lettersOf, gather: () => void router.push(`/jobs/${sheet.job?.id}/gather`), point: lead }, selection.layer) : [],
);
/** Number of options, from the first, that are drawn on the layer. */
const SEEN = 16;
const found = computed(() => foundIn(all.value, wanted.value));

function lettersOf(what: 'forms' | 'characters'): void {
    tab.value = what;
    letters.value = true;
}

async function lead(label: string): Promise<void> {
    selection.reveal();
    await nextTick();
    await nextTick();
    point(label);
}

async function show(): Promise<void> {
    open.value = true;
    wanted.value = '';
    at.value = 0;
    await nextTick();
    field.value?.focus();
}

async function take(verb: Verb | undefined): Promise<void> {
    if (!verb) {
        return;
    }
    open.value = false;
    if (!verb.operations) {
        verb.begin?.();
        return;
    }
    const before = linesOf(selection.layer);
    await sheet.operate(...verb.operations);
    selection.reveal();
    await nextTick();
    await nextTick();
    begin(selection.layer, before);
}

function step(by: number): void {
    at.value = (at.value + by + found.value.length) % Math.max(1, found.value.length);
    document.getElementById(`verb-${at.value}`)?.scrollIntoView({ block: 'nearest' });
}
</script>

<template>
    <div class="add-line">
        <div v-if="!open" class="add-row"><v-btn size="small" @click="show">Add a line</v-btn><v-btn size="small" variant="text" @click="recipes = true">Recipes</v-btn></div>
        <div v-else class="finder" @keydown.esc="open = false">
            <label class="small" for="verb-field">What next{{ selection.layer ? ` (${sheet.called(selection.layer.id)} is chosen)` : '' }}?</label>
            <input
                id="verb-field" ref="field" v-model="wanted" class="field" type="search" role="combobox" aria-expanded="true" aria-controls="verb-list" :aria-activedescendant="`verb-${at}`"
                autocomplete="off" placeholder="arch, outline, knock, wear …"
                @input="at = 0" @keydown.down.prevent="step(1)" @keydown.up.prevent="step(-1)" @keydown.enter.prevent="take(found[at])"
            />
            <ul id="verb-list" role="listbox" aria-label="Lines to add">
                <li v-for="(verb, i) in found" :id="`verb-${i}`" :key="verb.say" role="option" :aria-selected="i === at" @pointerenter="at = i" @click="take(verb)">
                    <TriedPicture v-if="verb.seen && selection.layer && i < SEEN" :layer="selection.layer.id" :operations="verb.seen" />
                    <span>{{ verb.say }} <small>{{ verb.hint }}</small></span>
                </li>
            </ul>
            <p v-if="found.length === 0" class="small">Nothing of that name. Choose a piece first to arch, ring, mask or wear it.</p>
            <v-btn size="small" variant="text" @click="open = false">Close</v-btn>
        </div>
        <RecipesDialog v-model="recipes" />
        <LettersDialog v-if="letters" v-model="letters" v-model:tab="tab" />
    </div>
</template>

<style>
.add-line { padding: 8px 14px; border-top: 1px solid var(--hair); }
.add-row { display: flex; gap: 8px; }
.finder { border: 1px solid var(--ink); padding: 8px; background: var(--paper); }
.finder .field { width: 100%; margin: 4px 0; }
.finder ul { max-height: 300px; overflow: auto; }
.finder li { display: flex; gap: 8px; align-items: center; padding: 3px 6px; cursor: pointer; }
.finder li[aria-selected='true'] { background: var(--rust-wash); }
</style>
