<script setup lang="ts">
import { computed, reactive, ref } from 'vue';
import { VBtn, VDataTable, VFileInput } from 'vuetify/components';
import { api, said } from '../api';
import { useFaults } from '../server/faults';
import { useAreas, useCatalogue, useChange } from '../server/queries';
import { allRead } from '../stores/reading';
import QuantityToken from '../tokens/QuantityToken.vue';
import HouseDialog from '../houses/HouseDialog.vue';
import HouseServiceForm from '../houses/HouseServiceForm.vue';
import PlaceOnGarment from '../houses/PlaceOnGarment.vue';
import { useHouses } from '../server/houses';
import type { Area, HouseCard } from '../types';

const { data: houses } = useHouses();
const open = ref(false);
const looked = ref<number | null>(null);
const chosen = computed(() => houses.value?.find((one) => one.id === looked.value) ?? null);
const file = ref<File | File[] | null>(null);
const adding = useChange((house: string) => api.post<HouseCard>('houses', { house }), 'houses');
const dropping = useChange((id: number) => api.remove(`houses/${id}`), 'houses', 'fits');

function look(id: number | null): void {
    looked.value = id;
    open.value = true;
}

async function take(): Promise<void> {
    const one = [file.value].flat()[0];
    if (one) {
        adding.mutate(await one.text());
        file.value = null;
    }
}

const { data: catalogue, error: unread } = useCatalogue();
const { data: own, error: missing } = useAreas();
const form = reactive({ name: '', width: 12, height: 16, ppi: 300 });
const { mutate: add, error: refused } = useChange((area: Omit<Area, 'id'>) => api.post<Area>('areas', area), 'areas');
const { mutate: remove, error: kept } = useChange((id: number) => api.remove(`areas/${id}`), 'areas');
const listed = computed(() => [...(own.value ?? []), ...(catalogue.value?.areas ?? [])]);
const columns = [
    { title: 'Print area', key: 'name' }, { title: 'Pixels', key: 'pixels', value: (area: Area) => area.width * area.height }, { title: 'ppi', key: 'ppi' },
    { title: 'Inches', key: 'inches', value: (area: Area) => area.width / area.ppi }, { title: '', key: 'id', sortable: false },
];
const failed = useFaults(() => refused.value ?? kept.value ?? missing.value ?? unread.value);

async function submit(): Promise<void> {
    await allRead();
    const { name, width, height, ppi } = form;
    add({ name, ppi, width: Math.round(width * ppi), height: Math.round(height * ppi) }, { onSuccess: () => (form.name = '') });
}
</script>

<template>
    <main class="page">
        <header class="page-head"><h1>Houses</h1><span class="small">who prints, on what, and what each asks of a file</span></header>
        <section class="houses" aria-label="Print houses">
            <div class="houses-bar"><v-btn variant="flat" color="primary" @click="look(null)">Note a house</v-btn><v-file-input v-model="file" label="Take in a house as a file" accept=".json,application/json" prepend-icon="" density="compact" variant="outlined" hide-details @update:model-value="take" /></div>
            <p v-if="houses?.length === 0" class="empty">No house is noted yet. A house has its products and places, and what it asks of a file for each.</p>
            <p v-if="adding.error.value || dropping.error.value" role="alert">{{ said(adding.error.value ?? dropping.error.value) }}</p>
            <article v-for="house in houses ?? []" :key="house.id" class="house">
                <header><h2>{{ house.name }}</h2><span class="small">{{ house.notes }}</span><v-btn size="small" :aria-label="`Change ${house.name}`" @click="look(house.id)">Change</v-btn><v-btn size="small" variant="text" :aria-label="`Take out ${house.name}`" @click="dropping.mutate(house.id)">take out</v-btn></header>
                <p class="small">files are called {{ house.names }}</p>
                <ul>
                    <li v-for="place in house.places" :key="place.key">
                        <PlaceOnGarment :product="place.product" :place="place.place" :width="place.area.width / place.area.ppi" :height="place.area.height / place.area.ppi" :margin="place.margin" :cloth="place.cloths[0]?.colour ?? '#8f8a80'" :label="`${place.product}, ${place.place}`" />
                        <strong>{{ place.product }}</strong>, {{ place.place }}
                        <small class="measure"><span class="in-one">{{ place.area.width }} × {{ place.area.height }} px</span> · <span class="in-one">{{ (place.area.width / place.area.ppi).toFixed(2) }} × {{ (place.area.height / place.area.ppi).toFixed(2) }} in</span></small>
                        <small><span class="in-one">{{ place.area.ppi }} ppi, {{ place.least }} accepted</span> · <span class="in-one">{{ place.kind.toUpperCase() }}{{ place.mostMegabytes ? ` up to ${place.mostMegabytes} MB` : '' }}</span>{{ place.mirrored ? ' · mirrored' : '' }}</small>
                    </li>
                </ul>
                <details><summary class="small">Files reach it {{ house.service ? `by a service, as ${house.account}` : 'by hand' }}</summary><HouseServiceForm :house="house" /></details>
            </article>
            <HouseDialog v-model="open" :house="chosen" @kept="looked = $event.id" />
        </section>
        <h2>Print areas to start jobs on</h2>
        <form class="upload" @submit.prevent="submit">
            <v-text-field v-model="form.name" label="Name: house, product and side" maxlength="120" required />
            <p class="sentence">
                <QuantityToken :value="form.width" kind="length" :least="0.4" :most="40" :ppi="form.ppi" label="area width" @change="form.width = $event" /> wide by
                <QuantityToken :value="form.height" kind="length" :least="0.4" :most="40" :ppi="form.ppi" label="area height" @change="form.height = $event" /> tall at
                <QuantityToken :value="form.ppi" kind="number" :least="50" :most="1200" label="pixels per inch" @change="form.ppi = $event" /> ppi
                <span class="small">(inches, mm or px)</span>
            </p>
            <v-btn type="submit" variant="flat" color="primary">Add to my list</v-btn>
            <p v-if="failed.other" role="alert">{{ failed.other }}</p>
        </form>
        <v-data-table class="areas" :items="listed" :headers="columns" :items-per-page="-1" density="compact" hide-default-footer>
            <template #[`item.pixels`]="{ item }"><span class="measure">{{ item.width }} × {{ item.height }}</span></template>
            <template #[`item.inches`]="{ item }"><span class="measure">{{ (item.width / item.ppi).toFixed(2) }} × {{ (item.height / item.ppi).toFixed(2) }}</span></template>
            <template #[`item.id`]="{ item }"><v-btn v-if="item.id" size="small" variant="text" :aria-label="`Remove ${item.name}`" @click="remove(item.id)">remove</v-btn><span v-else class="small">common practice</span></template>
        </v-data-table>
    </main>
</template>

<style>
.houses { display: grid; gap: 14px; margin-bottom: 26px; }
.houses-bar { display: grid; grid-template-columns: max-content minmax(200px, 360px); gap: 14px; align-items: center; }
.house { border: 1px solid var(--hair); background: var(--card); padding: 10px 14px; }
.house header { display: flex; gap: 12px; align-items: baseline; }
.house header h2 { margin: 0; }
.house header .v-btn:first-of-type { margin-left: auto; }
.house ul { display: grid; grid-template-columns: repeat(auto-fill, minmax(180px, 1fr)); gap: 12px; }
.house small { display: block; color: var(--faded); }
</style>
