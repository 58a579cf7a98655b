<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, ref, watch } from 'vue';
import { VBtn, VFileInput } from 'vuetify/components';
import { api } from '../api';
import { useChange, useRemoval, useShop } from '../server/queries';
import { usePeg } from '../stores/peg';
import { useSelection } from '../stores/selection';
import { useSheet } from '../stores/sheet';
import type { RecipeCard } from '../types';
import TurnPicture from '../pictures/TurnPicture.vue';
import ArtToken from '../tokens/ArtToken.vue';
import ColourToken from '../tokens/ColourToken.vue';
import FontToken from '../tokens/FontToken.vue';
import { copied } from './useKeys';

/** The shop's recipes, each previewed on the seller's words: applied by one press, or saved from the selected layers. */
const open = defineModel<boolean>({ required: true });
const sheet = useSheet();
const selection = useSelection();
const peg = usePeg();
const { data: kept, error, isLoading } = useQuery({ queryKey: ['recipes'], queryFn: () => api.get<RecipeCard[]>('recipes'), enabled: open });
const name = ref('');
const words = ref('');
const shared = ref<File | null>(null);
const keeping = useChange((recipe: unknown) => api.post<RecipeCard>('recipes', { recipe: typeof recipe === 'string' ? recipe : JSON.stringify(recipe) }), 'recipes');
const { listed: recipes, remove, error: stays } = useRemoval('recipes', kept, 'recipes');
const trouble = computed(() => [error.value, keeping.error.value, stays.value].find((one) => one)?.message ?? '');
const piece = computed(() => (selection.layer && selection.layer.source.kind !== 'group' ? selection.layer : undefined));
const onWords = computed(() => (piece.value?.source.kind === 'text' ? piece.value.source.text : ''));

watch(open, (now) => {
    if (now) {
        words.value = onWords.value || 'Your words';
        keeping.reset();
    }
});

/** Replacements for a recipe's colours, fonts and pictures, by the recipe's id. */
const instead = ref<Record<number, Record<string, string>>>({});
const shop = useShop();
const isOf = (file: string, kind: 'font' | 'art'): boolean => (shop.asset(file)?.kind ?? (/\.(woff2?|ttf|otf)$/i.test(file) ? 'font' : 'art')) === kind;
const now = (recipe: RecipeCard, own: string): string => instead.value[recipe.id]?.[own] ?? own;
const swaps = (recipe: RecipeCard): { old: string; new: string }[] => Object.entries(instead.value[recipe.id] ?? {}).map(([old, to]) => ({ old, new: to }));

function swap(recipe: RecipeCard, own: string, to: string): void {
    instead.value = { ...instead.value, [recipe.id]: { ...instead.value[recipe.id], [own]: to } };
}

/** A named colour that the sheet lacks is shown with the recipe's value. */
const shownAs = (recipe: RecipeCard, own: string): string => {
    const value = now(recipe, own);
    return value.startsWith('@') ? (recipe.swatches.find((one) => `@${one.name}` === value)?.colour ?? value) : value;
};
/** The sheet's named colours are not available when the recipe is drawn on its own. */
const drawn = (recipe: RecipeCard): { old: string; new: string }[] => swaps(recipe).map((one) => ({ ...one, new: one.new.startsWith('@') ? sheet.hex(one.new) : one.new }));
const picture = (recipe: RecipeCard): string => `/api/recipes/${recipe.id}/picture.png?words=${encodeURIComponent(words.value.trim().slice(0, 60))}${drawn(recipe).map((one, i) => `&instead[${i}][old]=${encodeURIComponent(one.old)}&instead[${i}][new]=${encodeURIComponent(one.new)}`).join('')}`;

async function follow(recipe: RecipeCard, id: string): Promise<void> {
    open.value = false;
    await sheet.operate({ op: 'follow-recipe', id, words: words.value, layers: recipe.layers, swatches: recipe.swatches, replace: swaps(recipe).map((one) => one.old), with: swaps(recipe).map((one) => one.new) });
    selection.reveal();
}

async function keep(): Promise<void> {
    const lines = copied();
    if (lines) {
        await keeping.mutateAsync({ format: 'tallcrow.recipe/1', name: name.value.trim(), layers: lines.layers, swatches: lines.swatches }).then(() => (name.value = ''), () => undefined);
    }
}

async function take(file: File | File[] | null): Promise<void> {
    const one = Array.isArray(file) ? file[0] : file;
    if (one) {
        await one.text().then((text) => keeping.mutateAsync(text)).catch(() => undefined);
        shared.value = null;
    }
}
</script>

<template>
    <v-dialog v-model="open" max-width="880" scrollable aria-labelledby="recipes-head">
        <section class="sheet-dialog">
            <h2 id="recipes-head">Recipes</h2>
            <p class="small">Lines kept under a name, seen on your words. One press sets them anew{{ piece ? `, or does the same to ${sheet.called(piece.id)}` : '' }}.</p>
            <v-text-field v-model="words" class="recipe-words" label="Words to see them on" maxlength="60" />
            <p v-if="trouble" role="alert">{{ trouble }}</p>
            <p v-if="isLoading" role="status">Looking them up …</p>
            <p v-else-if="recipes?.length === 0" class="empty">No recipes yet. Choose lines of a sheet, and keep them here under a name.</p>
            <ul class="recipes">
                <li v-for="recipe in recipes" :key="recipe.id">
                    <div class="recipe-art" :style="{ background: peg.garment?.colour ?? '#3d4a57' }"><TurnPicture :src="picture(recipe)" :alt="`${words} by the recipe ${recipe.name}`" /></div>
                    <strong>{{ recipe.name }}</strong>
                    <p v-if="recipe.missing.length" class="small">Not on the shelf: {{ recipe.missing.join(', ') }}. Choose others below.</p>
                    <div class="recipe-slots small">
                        <span v-if="recipe.colours.length">in <ColourToken v-for="own in recipe.colours" :key="own" :value="shownAs(recipe, own)" :label="`${recipe.name}: colour ${own}`" @change="swap(recipe, own, $event)" /></span>
                        <span v-for="own in recipe.files.filter((file) => isOf(file, 'font'))" :key="own">set in <FontToken :value="now(recipe, own)" :sample="words" @change="swap(recipe, own, $event)" /></span>
                        <span v-for="own in recipe.files.filter((file) => isOf(file, 'art'))" :key="own">with <ArtToken :value="now(recipe, own)" @change="swap(recipe, own, $event)" /></span>
                    </div>
                    <div class="recipe-does">
                        <v-btn size="small" variant="flat" color="primary" :aria-label="`Set new words by ${recipe.name}`" @click="follow(recipe, '')">Set new words</v-btn>
                        <v-btn v-if="piece" size="small" :aria-label="`Do ${recipe.name} to ${sheet.called(piece.id)}`" @click="follow(recipe, piece.id)">Do it to {{ sheet.called(piece.id) }}</v-btn>
                        <v-btn size="small" variant="text" :href="`/api/recipes/${recipe.id}/file`" download :aria-label="`${recipe.name} as a file`">file</v-btn>
                        <v-btn size="small" variant="text" :aria-label="`Take out ${recipe.name}`" @click="remove(recipe)">take out</v-btn>
                    </div>
                </li>
            </ul>
            <form class="recipe-keep" @submit.prevent="keep">
                <p v-if="selection.ids.length === 0" class="small">Choose lines of the sheet to keep them as a recipe.</p>
                <v-text-field v-else v-model="name" :label="`Keep the ${selection.ids.length === 1 ? 'chosen line' : `${selection.ids.length} chosen lines`} as`" maxlength="120" />
                <v-btn type="submit" :disabled="name.trim() === '' || selection.ids.length === 0" :loading="keeping.isPending.value">Keep</v-btn>
                <v-file-input v-model="shared" class="recipe-file" label="Or take in a shared file" accept=".json,application/json" prepend-icon="" density="compact" variant="outlined" hide-details @update:model-value="take" />
            </form>
            <div class="dialog-ends"><v-btn @click="open = false">Close</v-btn></div>
        </section>
    </v-dialog>
</template>

<style>
.recipe-words { margin-top: 14px; }
.recipes { display: grid; grid-template-columns: repeat(auto-fill, minmax(250px, 1fr)); gap: 14px; margin: 12px 0; }
.recipes li { display: grid; gap: 6px; align-content: start; border: 1px solid var(--hair); padding: 8px; }
.recipe-art { height: 106px; display: grid; place-items: center; padding: 8px; }
.recipe-art img { max-width: 100%; max-height: 90px; }
.recipe-slots { display: grid; gap: 2px; }
.recipe-does { display: flex; flex-wrap: wrap; gap: 6px; }
.recipe-does .v-btn--variant-text { min-width: 0; padding: 0 6px; }
.recipe-keep { display: grid; grid-template-columns: minmax(0, 1fr) auto minmax(0, 1fr); gap: 10px; align-items: center; }
</style>
