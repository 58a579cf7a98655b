<script setup lang="ts">
import { watchDebounced } from '@vueuse/core';
import { computed, reactive, ref, watch } from 'vue';
import { VBtn, VCombobox, VForm, VNumberInput, VTextarea } from 'vuetify/components';
import { said } from '../api';
import { useListing, useListingSave } from '../server/listing';

/** Title, tags and description of a listing, counted against the marketplace's limits. */
const props = defineProps<{ job: number }>();
const { data: kept, error } = useListing(() => props.job);
const saving = useListingSave(() => props.job);
const form = reactive({ title: '', description: '', tags: [] as string[], titleMost: null as number | null, descriptionMost: null as number | null, tagsMost: null as number | null, tagMost: null as number | null });
const filled = ref(false);
const parts = new Intl.Segmenter(undefined, { granularity: 'grapheme' });
const length = (text: string | null): number => [...parts.segment(text ?? '')].length;
const count = (has: number, most: number | null): string => (most ? `${has} of ${most}` : String(has));
const fields = Object.keys(form) as (keyof typeof form)[];
const changed = computed(() => !!kept.value && fields.some((key) => JSON.stringify(form[key] ?? '') !== JSON.stringify(kept.value?.[key] ?? '')));
const standing = computed(() => (changed.value || saving.isPending.value ? 'Not kept yet …' : 'Kept.'));

/** Saves while typing: after a pause, and when a field loses the focus. */
function keep(): void {
    if (filled.value && changed.value && !saving.isPending.value) {
        sent = JSON.stringify(form);
        saving.mutate({ ...form, title: form.title ?? '', description: form.description ?? '' });
    }
}
let sent = '';
watchDebounced(form, keep, { debounce: 800 });

// Changes made during a save are saved right after it.
watch(saving.isPending, (pending) => {
    if (!pending && saving.isSuccess.value && JSON.stringify(form) !== sent) {
        keep();
    }
});

watch(kept, (now) => {
    if (now && !filled.value) {
        Object.assign(form, Object.fromEntries(fields.map((key) => [key, key === 'tags' ? [...now.tags] : now[key]])));
        filled.value = true;
    }
}, { immediate: true });
</script>

<template>
    <section class="listing-words" aria-labelledby="listing-words-head">
        <h2 id="listing-words-head">Words for the listing</h2>
        <p v-if="error" role="alert">{{ said(error) }}</p>
        <v-form v-if="filled" @submit.prevent="keep" @focusout="keep">
            <div class="listing-written">
                <v-text-field v-model="form.title" label="Title" maxlength="500" :hint="`${count(length(form.title), form.titleMost)} characters`" />
                <v-combobox v-model="form.tags" label="Tags, ended by a comma" multiple chips closable-chips :delimiters="[',']" :hint="`${count(form.tags.length, form.tagsMost)} tags`" />
                <v-textarea v-model="form.description" label="Description" rows="5" maxlength="20000" variant="outlined" density="compact" :hint="`${count(length(form.description), form.descriptionMost)} characters`" />
            </div>
            <fieldset class="listing-limits">
                <legend class="small">The most that your market takes; empty is no limit</legend>
                <v-number-input v-model="form.titleMost" label="Characters, title" :min="1" :max="100000" control-variant="hidden" clearable />
                <v-number-input v-model="form.tagsMost" label="Tags" :min="1" :max="100000" control-variant="hidden" clearable />
                <v-number-input v-model="form.tagMost" label="Characters, a tag" :min="1" :max="100000" control-variant="hidden" clearable />
                <v-number-input v-model="form.descriptionMost" label="Characters, text" :min="1" :max="100000" control-variant="hidden" clearable />
                <div class="listing-faults">
                    <ul v-if="kept && (kept.faults.length || kept.watched.length)" aria-label="What to look at in these words">
                        <li v-for="fault in kept.faults" :key="fault">{{ fault }}</li>
                        <li v-for="phrase in kept.watched" :key="phrase">On your watch list: {{ phrase }}.</li>
                    </ul>
                </div>
            </fieldset>
            <div class="listing-ends">
                <v-btn :href="`/api/jobs/${job}/listing.csv`" download :disabled="changed">These words as CSV</v-btn>
                <v-btn :href="`/api/jobs/${job}/listing.json`" download aria-label="These words as JSON" variant="text" :disabled="changed">As JSON</v-btn>
                <span v-if="saving.error.value" role="alert">{{ said(saving.error.value) }}</span>
                <span v-else role="status" class="small">{{ standing }}</span>
            </div>
        </v-form>
        <div v-if="kept?.credits"><h3>To be credited with it</h3><p class="listing-credits small">{{ kept.credits }}</p></div>
    </section>
</template>

<style>
.listing-words { display: grid; gap: 10px; margin: 20px 0; }
.listing-words .v-form { display: grid; grid-template-columns: minmax(0, 2fr) minmax(240px, 1fr); gap: 14px; align-items: start; }
.listing-written, .listing-limits { display: grid; gap: 10px; align-content: start; }
.listing-limits { border: 0; padding: 0; grid-template-columns: 1fr 1fr; }
.listing-limits legend { margin-bottom: 8px; }
.listing-ends { grid-column: 1 / -1; display: flex; flex-wrap: wrap; gap: 10px; align-items: center; }
.listing-faults { grid-column: 1 / -1; color: var(--warn); }
.listing-faults ul { display: grid; gap: 4px; }
.listing-credits { white-space: pre-line; }
@media (max-width: 760px) { .listing-words .v-form { grid-template-columns: 1fr; } }
</style>
