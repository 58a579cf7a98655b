<script setup lang="ts">
import { computed, reactive } from 'vue';
import { api, Refused, said } from '../api';
import { useAreas, useCatalogue, useChange } from '../server/queries';
import { allRead } from '../stores/reading';
import QuantityToken from '../tokens/QuantityToken.vue';
import type { Area } from '../types';

const { data: catalogue, error: unread } = useCatalogue();
const { data: own, error: missing } = useAreas();
const form = reactive({ name: '', width: 12, height: 16, ppi: 300 });
const { mutate: add, error: refused } = useChange((area: Omit<Area, 'id'>) => api.post<Area>('areas', area), 'areas');
const { mutate: remove, error: kept } = useChange((id: number) => api.remove(`areas/${id}`), 'areas');
const failed = computed(() => {
    const error = refused.value ?? kept.value ?? missing.value ?? unread.value;
    return error instanceof Refused && Object.keys(error.fields).length ? Object.values(error.fields).flat().join(' ') : error ? said(error) : '';
});

async function submit(): Promise<void> {
    await allRead();
    const { name, width, height, ppi } = form;
    add({ name, ppi, width: Math.round(width * ppi), height: Math.round(height * ppi) }, { onSuccess: () => (form.name = '') });
}
</script>

<template>
    <main class="page">
        <header class="page-head"><h1>Houses</h1><span class="small">print areas to start jobs on</span></header>
        <form class="upload" @submit.prevent="submit">
            <label><span>Name</span><input v-model="form.name" class="field" maxlength="120" placeholder="house, product and side" required /></label>
            <p class="sentence">
                <QuantityToken :value="form.width" kind="length" :least="0.4" :most="40" :ppi="form.ppi" label="area width" @change="form.width = $event" /> wide by
                <QuantityToken :value="form.height" kind="length" :least="0.4" :most="40" :ppi="form.ppi" label="area height" @change="form.height = $event" /> tall at
                <QuantityToken :value="form.ppi" kind="number" :least="50" :most="1200" label="pixels per inch" @change="form.ppi = $event" /> ppi
                <span class="small">(inches, mm or px)</span>
            </p>
            <button type="submit" class="plain-button strong">Add to my list</button>
            <p v-if="failed" role="alert">{{ failed }}</p>
        </form>
        <table class="areas">
            <thead><tr><th scope="col">Print area</th><th scope="col">Pixels</th><th scope="col">ppi</th><th scope="col">Inches</th><th scope="col"><span class="sr">Remove</span></th></tr></thead>
            <tbody>
                <tr v-for="area in [...(own ?? []), ...(catalogue?.areas ?? [])]" :key="`${area.id ?? ''}${area.name}`">
                    <td>{{ area.name }}</td><td class="measure">{{ area.width }} × {{ area.height }}</td><td class="measure">{{ area.ppi }}</td>
                    <td class="measure">{{ (area.width / area.ppi).toFixed(2) }} × {{ (area.height / area.ppi).toFixed(2) }}</td>
                    <td><button v-if="area.id" type="button" class="token" :aria-label="`Remove ${area.name}`" @click="remove(area.id)">remove</button><span v-else class="small">common practice</span></td>
                </tr>
            </tbody>
        </table>
    </main>
</template>

<style>
.areas { border-collapse: collapse; width: 100%; }
.areas th, .areas td { text-align: left; padding: 5px 12px 5px 0; border-bottom: 1px solid var(--hair); }
</style>
