<script setup lang="ts">
import { computed, ref } from 'vue';
import { VBtn, VCheckbox, VCombobox, VFileUpload, VFileUploadItem, VForm } from 'vuetify/components';
import { api, Refused, said } from '../api';
import { useFaults } from '../server/faults';
import { queryClient } from '../server/queries';
import { useLicenceChoices } from '../server/rights';
import { SHELVED } from '../server/shelf';
import type { AssetCard, TwinTold } from '../types';

/** Uploads one or several files under one licence. */
const props = defineProps<{ genres: string[] }>();
const emit = defineEmits<{ kept: [cards: AssetCard[]] }>();
const MOST_BYTES = 60e6;
const MOST_ASKED = 100;
const files = ref<File | File[]>([]);
const licence = ref<{ title: string; value: number } | string | null>(null);
const author = ref('');
const genre = ref<string | null>('');
const held = ref(false);
const at = ref(0);
const busy = ref(false);
const refused = ref<Refused | null>(null);
const troubles = ref<string[]>([]);
const added = ref('');
const twins = ref<TwinTold[]>([]);
const all = computed(() => [files.value].flat());
const choices = useLicenceChoices();
const fault = useFaults(refused, 'licence', 'author', 'held', 'under');

async function one(file: File): Promise<AssetCard[]> {
    if (file.size > MOST_BYTES) {
        throw new Refused(`${(file.size / 1e6).toFixed(1)} MB; 60 MB is the most.`, 0);
    }
    const form = new FormData();
    form.set('file', file);
    if (typeof licence.value === 'object' && licence.value !== null) {
        form.set('under', String(licence.value.value));
    } else {
        form.set('licence', licence.value ?? '');
    }
    form.set('author', author.value);
    form.set('genre', genre.value ?? '');
    form.set('held', held.value ? '1' : '0');
    return api.upload<AssetCard[]>('assets', form);
}

async function twinsOf(ids: number[]): Promise<TwinTold[]> {
    const told: TwinTold[] = [];
    for (let at = 0; at < ids.length; at += MOST_ASKED) {
        told.push(...(await api.get<TwinTold[]>(`shelf/twins?${new URLSearchParams(ids.slice(at, at + MOST_ASKED).map((id) => ['assets[]', String(id)]))}`)));
    }
    return told;
}

async function leave(twin: TwinTold): Promise<void> {
    try {
        await api.remove(`assets/${twin.id}`);
        twins.value = twins.value.filter((one) => one.id !== twin.id);
        await Promise.all(SHELVED.map((key) => queryClient.invalidateQueries({ queryKey: [key] })));
    } catch (error) {
        troubles.value = [...troubles.value, said(error)];
    }
}

async function put(): Promise<void> {
    busy.value = true;
    refused.value = null;
    troubles.value = [];
    added.value = '';
    twins.value = [];
    const kept: AssetCard[] = [];
    const left: File[] = [];
    if (all.value.length === 0) {
        troubles.value = ['Choose a file.'];
    }
    for (at.value = 0; at.value < all.value.length; at.value++) {
        const file = all.value[at.value] as File;
        try {
            kept.push(...(await one(file)));
        } catch (error) {
            left.push(file);
            if (error instanceof Refused && ['licence', 'author', 'held', 'under'].some((field) => error.fields[field])) {
                // A missing licence concerns all files: stop until it is corrected.
                refused.value = error;
                left.push(...all.value.slice(at.value + 1));
                break;
            }
            troubles.value = [...troubles.value, `${file.name}: ${said(error)}`];
        }
    }
    busy.value = false;
    files.value = left;
    if (kept.length) {
        added.value = kept.length === 1 ? `${kept[0]?.title} is on the shelf.` : `${kept.length} pieces are on the shelf: ${kept.slice(0, 6).map((card) => card.title).join(', ')}${kept.length > 6 ? ' …' : ''}.`;
        held.value = false;
        await Promise.all(SHELVED.map((key) => queryClient.invalidateQueries({ queryKey: [key] })));
        emit('kept', kept);
        twins.value = await twinsOf(kept.map((card) => card.id)).catch(() => []);
    }
}
</script>

<template>
    <v-form class="shelf-upload" @submit.prevent="put">
        <v-file-upload aria-label="Fonts, pictures or zips of them" v-model="files" density="compact" multiple clearable show-size title="Drop fonts, pictures or zips of them here" browse-text="or choose files" :disabled="busy" accept=".otf,.ttf,.woff,.woff2,.zip,.png,.jpg,.jpeg,.webp,.svg">
            <template #item="{ file, props: own }">
                <v-file-upload-item v-bind="own">
                    <template #clear="{ props: clear }"><v-btn v-bind="clear" :aria-label="`Leave ${file.name} out`" /></template>
                </v-file-upload-item>
            </template>
        </v-file-upload>
        <div class="shelf-upload-terms">
            <v-combobox v-model="licence" label="Licence: one of the shop's, or its name, such as CC BY 4.0" :items="choices" :error-messages="[...fault.of('licence'), ...fault.of('under')]" hint="A zip may bring its own." clearable />
            <v-text-field v-model="author" label="Author or seller" maxlength="300" :error-messages="fault.of('author')" />
            <v-combobox v-model="genre" label="Genre, of fonts" :items="props.genres" maxlength="60" />
            <v-checkbox v-model="held" label="I hold the right to use them for print on demand" hint="Tall Crow keeps your word and gives no legal advice." :error-messages="fault.of('held')" />
            <v-btn type="submit" variant="flat" color="primary" :loading="busy">Put {{ all.length > 1 ? `${all.length} files` : 'it' }} on the shelf</v-btn>
        </div>
        <v-progress-linear v-if="busy" :model-value="all.length ? (at / all.length) * 100 : 0" :indeterminate="all.length < 2" color="primary" :aria-label="`File ${at + 1} of ${all.length}`" />
        <p v-for="trouble in troubles" :key="trouble" role="alert">{{ trouble }}</p>
        <p v-if="added" role="status">{{ added }}</p>
        <ul v-if="twins.length" class="shelf-twins" aria-label="Here already">
            <li v-for="twin in twins" :key="twin.id">{{ twin.title }} {{ twin.same ? 'is the very same file as' : 'looks like' }} {{ twin.of.title }}, which was here. <v-btn size="small" @click="leave(twin)">Take the new one off</v-btn></li>
        </ul>
    </v-form>
</template>

<style>
.shelf-upload { display: grid; gap: 12px; margin-bottom: 14px; }
.shelf-upload-terms { display: grid; grid-template-columns: minmax(240px, 2fr) minmax(160px, 1fr) minmax(140px, 1fr); gap: 10px; align-items: start; }
.shelf-upload-terms .v-checkbox { grid-column: span 2; }
.shelf-twins { display: grid; gap: 6px; }
.shelf-upload-terms .v-btn { justify-self: end; }
@media (max-width: 760px) { .shelf-upload-terms { grid-template-columns: 1fr; } .shelf-upload-terms .v-checkbox { grid-column: auto; } }
</style>
