<script setup lang="ts">
import { computed, ref } from 'vue';
import { VAutocomplete, VFileInput } from 'vuetify/components';
import ColourToken from '../tokens/ColourToken.vue';
import { said } from '../api';
import { onceReleased } from '../hand';
import { usePalette, useShop } from '../server/queries';
import { useSheet } from '../stores/sheet';
import type { Swatch } from '../types';
import { coloursOf, freshName } from './colours';
import { everyLayer } from './layers';

/** The job's named colours: a change here applies to all effects that use them. */
const sheet = useSheet();
const shop = useShop();
const failed = ref('');
const from = ref('');
const file = ref<File | null>(null);
const { data: palette, error } = usePalette(from);

const wrong = computed(() => failed.value || (error.value ? said(error.value) : ''));
const swatches = computed(() => sheet.artwork?.swatches ?? []);
const inUse = computed(() => (sheet.artwork ? coloursOf(sheet.artwork) : []));
const pictures = computed(() => {
    const used = new Set(everyLayer(sheet.artwork?.layers ?? []).flatMap((layer) => (layer.source.kind === 'art' ? [layer.source.file] : [])));
    return shop.assets.filter((asset) => asset.kind === 'art').sort((a, b) => Number(used.has(b.file)) - Number(used.has(a.file)));
});

function recolour(swatch: Swatch, colour: string): void {
    void sheet.change((artwork) => ({ ...artwork, swatches: artwork.swatches.map((one) => (one.name === swatch.name ? { ...one, colour: sheet.hex(colour) } : one)) }));
}

function rename(swatch: Swatch, name: string): void {
    const to = name.trim();
    failed.value = swatches.value.some((one) => one.name === to && one.name !== swatch.name) ? `Another colour is called "${to}" already.` : '';
    if (to && to !== swatch.name && !failed.value) {
        void sheet.operate({ op: 'rename-colour', from: swatch.name, to });
    }
}

function add(colour: string): void {
    if (sheet.artwork) {
        void sheet.operate({ op: 'name-colour', colour, name: freshName(sheet.artwork) });
    }
}

async function load(): Promise<void> {
    const chosen = file.value;
    failed.value = '';
    if (chosen) {
        await sheet.loadSwatches(chosen).catch((refused: unknown) => (failed.value = said(refused)));
        file.value = null;
    }
}
</script>

<template>
    <details class="job-colours">
        <summary>Colours of the job <span class="swatch-row inline" aria-hidden="true"><i v-for="swatch in swatches" :key="swatch.name" class="dot" :style="{ background: swatch.colour }"></i></span></summary>
        <ul v-if="swatches.length">
            <li v-for="swatch in swatches" :key="swatch.name">
                <ColourToken :value="swatch.colour" :label="`${swatch.name}, colour`" @change="recolour(swatch, $event)" />
                <input class="token" :value="swatch.name" :aria-label="`${swatch.name}, name`" maxlength="60" @change="onceReleased(() => rename(swatch, ($event.target as HTMLInputElement).value))" @keydown.enter="($event.target as HTMLInputElement).blur()" />
                <button type="button" class="line-more" :aria-label="`${swatch.name}: take out`" title="Take it out; its lines keep the colour" @click="sheet.operate({ op: 'remove-colour', name: swatch.name })">✕</button>
            </li>
        </ul>
        <p v-else class="small">None yet. Name a colour of the sheet and every line that has it follows when it changes.</p>
        <p v-if="inUse.length" class="small">Name one of the sheet: <span class="swatch-row inline"><button v-for="colour in inUse" :key="colour" type="button" class="swatch" :style="{ background: colour }" :aria-label="`name ${colour}`" :title="`Name ${colour}`" @click="add(colour)"></button></span></p>
        <div class="small">
            <v-autocomplete v-model="from" label="From a picture" :items="pictures.map((one) => ({ value: String(one.id), title: one.title }))" clearable @click:clear="from = ''" />
            <span class="swatch-row inline"><button v-for="one in palette ?? []" :key="one.colour" type="button" class="swatch" :style="{ background: one.colour }" :aria-label="`name ${one.colour}, ${Math.round(one.share * 100)} % of the picture`" :title="`${one.colour}, ${Math.round(one.share * 100)} %`" @click="add(one.colour)"></button></span>
        </div>
        <div class="job-colours-files small">
            <v-file-input v-model="file" label="Palette in (.gpl)" accept=".gpl,text/plain" prepend-icon="" density="compact" variant="outlined" hide-details @update:model-value="load" />
            <a v-if="sheet.job && swatches.length" :href="`/api/jobs/${sheet.job.id}/swatches.gpl`" download>Palette out</a>
        </div>
        <p v-if="wrong" role="alert">{{ wrong }}</p>
    </details>
</template>

<style>
.job-colours { border-top: 1px dashed var(--hair); padding: 8px 10px; }
.job-colours summary { cursor: pointer; min-height: 24px; }
.job-colours ul { list-style: none; margin: 4px 0; padding: 0; }
.job-colours li { display: flex; align-items: center; gap: 6px; }
.job-colours-files { display: grid; grid-template-columns: minmax(0, 1fr) auto; gap: 8px; align-items: center; }
.job-colours .line-more { margin-left: auto; }
.dot { width: 12px; height: 12px; border: 1px solid var(--faded); border-radius: 50%; }
</style>
