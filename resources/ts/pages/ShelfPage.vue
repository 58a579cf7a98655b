<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import { api, Refused, said } from '../api';
import { useCatalogue } from '../stores/catalogue';
import { genresOf } from '../tokens/finding';

const shop = useCatalogue();
const failed = ref('');
const wrong = ref('');
const added = ref('');
const busy = ref(false);
const licence = ref('');
const author = ref('');
const genre = ref('');
const genres = computed(() => genresOf(fonts.value));
const held = ref(false);
const file = ref<HTMLInputElement | null>(null);
const fonts = computed(() => shop.assets.filter((asset) => asset.kind === 'font'));
const art = computed(() => shop.assets.filter((asset) => asset.kind === 'art'));
const size = (bytes: number): string => (bytes > 1e6 ? `${(bytes / 1e6).toFixed(1)} MB` : `${Math.ceil(bytes / 1e3)} kB`);

async function load(): Promise<void> {
    failed.value = '';
    await shop.load().catch((error: unknown) => (failed.value = said(error)));
}

async function upload(): Promise<void> {
    wrong.value = added.value = '';
    const chosen = file.value?.files?.[0];
    if (!chosen) {
        wrong.value = 'Choose a file.';
        return;
    }
    if (chosen.size > 60e6) {
        wrong.value = `"${chosen.name}" is ${size(chosen.size)}; 60 MB is the most.`;
        return;
    }
    const form = new FormData();
    form.set('file', chosen);
    form.set('licence', licence.value);
    form.set('author', author.value);
    form.set('genre', genre.value);
    form.set('held', held.value ? '1' : '0');
    busy.value = true;
    try {
        const kept = await api.upload<{ title: string }[]>('assets', form);
        added.value = kept.length === 1 ? `${kept[0]?.title} is on the shelf.` : `${kept.length} cuts are on the shelf: ${kept.map((one) => one.title).join(', ')}.`;
        if (file.value) {
            file.value.value = '';
        }
        held.value = false;
        await load();
    } catch (error) {
        wrong.value = error instanceof Refused && Object.keys(error.fields).length ? Object.values(error.fields).flat().join(' ') : said(error);
    } finally {
        busy.value = false;
    }
}

onMounted(load);
</script>

<template>
    <main class="page">
        <header class="page-head"><h1>Shelf</h1><span class="small">fonts and art of this shop, each with its licence</span></header>
        <form class="upload" @submit.prevent="upload">
            <label><span>Font, zip of fonts, or picture</span><input ref="file" type="file" class="field" accept=".otf,.ttf,.woff,.woff2,.zip,.png,.jpg,.jpeg,.webp,.svg" /></label>
            <label><span>Genre, of a font</span><input v-model="genre" class="field" maxlength="60" list="genres" placeholder="slab, script …" /><datalist id="genres"><option v-for="one in genres" :key="one" :value="one" /></datalist></label>
            <label><span>Licence</span><input v-model="licence" class="field" maxlength="120" placeholder="its name, such as CC BY 4.0" /></label>
            <label><span>Author or seller</span><input v-model="author" class="field" maxlength="300" /></label>
            <label class="check"><input v-model="held" type="checkbox" /> I hold the right to use this file for print on demand. <span class="small">Tall Crow keeps your word and gives no legal advice.</span></label>
            <button type="submit" class="plain-button strong" :disabled="busy">{{ busy ? 'Looking at the file …' : 'Put it on the shelf' }}</button>
            <v-progress-linear v-if="busy" indeterminate color="primary" />
            <p v-if="wrong" role="alert">{{ wrong }}</p>
            <p v-if="added" role="status">{{ added }}</p>
        </form>
        <p v-if="failed" role="alert">{{ failed }} <button type="button" class="token" @click="load">Try again</button></p>
        <h2>Fonts <small class="measure">{{ fonts.length }}</small></h2>
        <ul class="font-list wide">
            <li v-for="asset in fonts" :key="asset.id">
                <img :src="`/api/assets/${asset.id}/preview.png`" :alt="asset.title" width="440" height="64" loading="lazy" />
                <span>{{ asset.title }} <small>{{ [asset.genre, asset.cut && asset.cut !== 'fill' ? `${asset.cut} cut` : '', asset.licence.name].filter(Boolean).join(' · ') }}</small></span>
                <details v-if="asset.licence.author || asset.licence.url"><summary class="small">whose it is</summary><p class="small">{{ asset.licence.author }} {{ asset.licence.url }}</p></details>
            </li>
        </ul>
        <h2>Art <small class="measure">{{ art.length }}</small></h2>
        <ul class="art-list">
            <li v-for="asset in art" :key="asset.id">
                <figure><img :src="`/api/assets/${asset.id}/preview.png`" alt="" loading="lazy" /><figcaption>{{ asset.title }}<small>{{ asset.type === 'svg' ? 'drawing' : `${asset.width} × ${asset.height} px` }} · {{ size(asset.bytes) }} · {{ asset.licence.name }}</small></figcaption></figure>
            </li>
        </ul>
    </main>
</template>
