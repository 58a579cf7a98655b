<script setup lang="ts">
import { computed, ref } from 'vue';
import { api, said } from '../api';
import { useBench } from '../stores/bench';
import { useCatalogue } from '../stores/catalogue';
import type { Swatch } from '../types';
import { coloursOf, freshName, nameColour, removeSwatch, renameSwatch } from './colours';
import { everyLayer } from './layers';

/** The job's own colours by name: changed here, changed on every line that calls them. */
const bench = useBench();
const shop = useCatalogue();
const wrong = ref('');
const palette = ref<Swatch[]>([]);
const from = ref('');
const file = ref<HTMLInputElement | null>(null);
const swatches = computed(() => bench.artwork?.swatches ?? []);
const inUse = computed(() => (bench.artwork ? coloursOf(bench.artwork) : []));
const pictures = computed(() => {
    const used = new Set(everyLayer(bench.artwork?.layers ?? []).flatMap((layer) => (layer.source.kind === 'art' ? [layer.source.file] : [])));
    return shop.assets.filter((asset) => asset.kind === 'art').sort((a, b) => Number(used.has(b.file)) - Number(used.has(a.file)));
});

function recolour(swatch: Swatch, colour: string): void {
    void bench.change((artwork) => ({ ...artwork, swatches: artwork.swatches.map((one) => (one.name === swatch.name ? { ...one, colour } : one)) }));
}

function rename(swatch: Swatch, name: string): void {
    const to = name.trim();
    wrong.value = swatches.value.some((one) => one.name === to && one.name !== swatch.name) ? `Another colour is called "${to}" already.` : '';
    if (to && to !== swatch.name && !wrong.value) {
        void bench.change((artwork) => renameSwatch(artwork, swatch.name, to));
    }
}

function add(colour: string): void {
    if (bench.artwork) {
        const name = freshName(bench.artwork);
        void bench.change((artwork) => nameColour(artwork, colour, name));
    }
}

async function find(id: string): Promise<void> {
    from.value = id;
    wrong.value = '';
    try {
        palette.value = id ? await api.get<Swatch[]>(`assets/${id}/palette?count=8`) : [];
    } catch (error) {
        wrong.value = said(error);
    }
}

async function load(): Promise<void> {
    const chosen = file.value?.files?.[0];
    wrong.value = '';
    if (chosen) {
        await bench.loadSwatches(chosen).catch((error: unknown) => (wrong.value = said(error)));
        if (file.value) {
            file.value.value = '';
        }
    }
}
</script>

<template>
    <details class="job-colours">
        <summary>Colours of the job <span class="swatch-row inline" aria-hidden="true"><i v-for="swatch in swatches" :key="swatch.name" class="dot" :style="{ background: swatch.colour }"></i></span></summary>
        <ul v-if="swatches.length">
            <li v-for="swatch in swatches" :key="swatch.name">
                <input type="color" class="swatch" :value="swatch.colour" :aria-label="`${swatch.name}, colour`" @change="recolour(swatch, ($event.target as HTMLInputElement).value)" />
                <input class="token" :value="swatch.name" :aria-label="`${swatch.name}, name`" maxlength="60" @change="rename(swatch, ($event.target as HTMLInputElement).value)" @keydown.enter="($event.target as HTMLInputElement).blur()" />
                <span class="measure small">{{ swatch.colour }}</span>
                <button type="button" class="line-more" :aria-label="`${swatch.name}: take out`" title="Take it out; its lines keep the colour" @click="bench.change((artwork) => removeSwatch(artwork, swatch.name))">✕</button>
            </li>
        </ul>
        <p v-else class="small">None yet. Name a colour of the sheet and every line that has it follows when it changes.</p>
        <p v-if="inUse.length" class="small">Name one of the sheet: <span class="swatch-row inline"><button v-for="colour in inUse" :key="colour" type="button" class="swatch" :style="{ background: colour }" :aria-label="`name ${colour}`" :title="`Name ${colour}`" @click="add(colour)"></button></span></p>
        <p class="small">
            <label>From a picture: <select class="token" :value="from" @change="find(($event.target as HTMLSelectElement).value)"><option value="">choose</option><option v-for="one in pictures" :key="one.id" :value="one.id">{{ one.title }}</option></select></label>
            <span class="swatch-row inline"><button v-for="one in palette" :key="one.colour" type="button" class="swatch" :style="{ background: one.colour }" :aria-label="`name ${one.colour}, ${Math.round((one.share ?? 0) * 100)} % of the picture`" :title="`${one.colour}, ${Math.round((one.share ?? 0) * 100)} %`" @click="add(one.colour)"></button></span>
        </p>
        <p class="small">
            <label class="file-label">Palette in (.gpl) <input ref="file" type="file" accept=".gpl,text/plain" @change="load" /></label>
            <a v-if="bench.job && swatches.length" :href="`/api/jobs/${bench.job.id}/swatches.gpl`" download>Palette out</a>
        </p>
        <p v-if="wrong" role="alert">{{ wrong }}</p>
    </details>
</template>
