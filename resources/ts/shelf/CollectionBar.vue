<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { VBtn, VCombobox } from 'vuetify/components';
import { api, said } from '../api';
import { useChange } from '../server/queries';
import { SHELVED } from '../server/shelf';
import type { CollectionCard } from '../types';

/** Adds selected assets to a collection or removes them, and manages the open collection. */
const open = defineModel<number | null>({ required: true });
const props = defineProps<{ collections: CollectionCard[]; chosen: number[] }>();
const name = ref<string | null>(null);
const title = ref('');
const here = computed(() => props.collections.find((one) => one.id === open.value));
const named = computed(() => props.collections.find((one) => one.name === name.value?.trim()));
const laying = useChange(() => api.post<CollectionCard>('shelf/collections', { name: name.value, assets: props.chosen }), ...SHELVED);
const takingOut = useChange(() => api.post<CollectionCard>(`shelf/collections/${(named.value ?? here.value)?.id}/out`, { assets: props.chosen }), ...SHELVED);
const renaming = useChange(() => api.put<CollectionCard>(`shelf/collections/${open.value}`, { name: title.value }), ...SHELVED);
const dropping = useChange(() => api.remove(`shelf/collections/${open.value}`), ...SHELVED);
const trouble = computed(() => [laying, takingOut, renaming, dropping].map((one) => one.error.value).find((one) => one));

watch(here, (now) => {
    title.value = now?.name ?? '';
    name.value = now?.name ?? name.value;
}, { immediate: true });

function giveUp(): void {
    dropping.mutate(undefined, { onSuccess: () => { open.value = null; name.value = null; } });
}
</script>

<template>
    <template v-if="chosen.length">
        <v-combobox v-model="name" label="Collection" :items="collections.map((one) => one.name)" />
        <v-btn size="small" :disabled="!name?.trim()" @click="laying.mutate(undefined)">Lay in it</v-btn><v-btn size="small" :disabled="!named" @click="takingOut.mutate(undefined)">Take out of it</v-btn>
    </template>
    <template v-else-if="here">
        <v-text-field v-model="title" label="Name of the collection" maxlength="80" class="collection-name" /><v-btn size="small" :disabled="!title.trim() || title === here.name" @click="renaming.mutate(undefined)">Rename</v-btn>
        <v-btn size="small" variant="text" @click="giveUp">Give it up, its pieces stay</v-btn>
    </template>
    <p v-if="trouble" role="alert">{{ said(trouble) }}</p>
</template>

<style>
.shelf-bar .collection-name { flex: 0 1 260px; }
</style>
