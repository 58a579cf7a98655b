<script setup lang="ts">
import { onMounted, reactive, ref } from 'vue';
import { api, Refused, said } from '../api';
import { useCatalogue } from '../stores/catalogue';
import QuantityToken from '../tokens/QuantityToken.vue';
import { allRead } from '../stores/reading';
import type { Area } from '../types';

const shop = useCatalogue();
const own = ref<Area[]>([]);
const failed = ref('');
const form = reactive({ name: '', width: 12, height: 16, ppi: 300 });

async function load(): Promise<void> {
    try {
        await shop.load();
        own.value = await api.get<Area[]>('areas');
    } catch (error) {
        failed.value = said(error);
    }
}

async function add(): Promise<void> {
    failed.value = '';
    await allRead();
    try {
        await api.post('areas', { name: form.name, ppi: form.ppi, width: Math.round(form.width * form.ppi), height: Math.round(form.height * form.ppi) });
        form.name = '';
        await load();
    } catch (error) {
        failed.value = error instanceof Refused && Object.keys(error.fields).length ? Object.values(error.fields).flat().join(' ') : said(error);
    }
}

async function remove(area: Area): Promise<void> {
    await api.remove(`areas/${area.id}`).catch((error: unknown) => (failed.value = said(error)));
    await load();
}

onMounted(load);
</script>

<template>
    <main class="page">
        <header class="page-head"><h1>Houses</h1><span class="small">print areas to start jobs on</span></header>
        <form class="upload" @submit.prevent="add">
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
                <tr v-for="area in [...own, ...(shop.catalogue?.areas ?? [])]" :key="`${area.id ?? ''}${area.name}`">
                    <td>{{ area.name }}</td><td class="measure">{{ area.width }} × {{ area.height }}</td><td class="measure">{{ area.ppi }}</td>
                    <td class="measure">{{ (area.width / area.ppi).toFixed(2) }} × {{ (area.height / area.ppi).toFixed(2) }}</td>
                    <td><button v-if="area.id" type="button" class="token" :aria-label="`Remove ${area.name}`" @click="remove(area)">remove</button><span v-else class="small">common practice</span></td>
                </tr>
            </tbody>
        </table>
    </main>
</template>
