<script setup lang="ts">
import { computed, ref } from 'vue';
import { api, Refused, said } from '../api';
import { useAssets, useChange } from '../server/queries';
import { genresOf } from '../tokens/finding';
import type { AssetCard } from '../types';

const MOST_BYTES = 60e6;

const { data: assets, error: unread, refetch } = useAssets();
const { mutate: send, isPending: busy, error: refused } = useChange((form: FormData) => api.upload<AssetCard[]>('assets', form), 'assets');
const missing = ref('');
const added = ref('');
const licence = ref('');
const author = ref('');
const genre = ref('');
const held = ref(false);
const file = ref<HTMLInputElement | null>(null);
const fonts = computed(() => (assets.value ?? []).filter((asset) => asset.kind === 'font'));
const art = computed(() => (assets.value ?? []).filter((asset) => asset.kind === 'art'));
const genres = computed(() => genresOf(fonts.value));
const wrong = computed(() => {
    const error = refused.value;
    return missing.value || (error instanceof Refused && Object.keys(error.fields).length ? Object.values(error.fields).flat().join(' ') : error ? said(error) : '');
});
const size = (bytes: number): string => (bytes > 1e6 ? `${(bytes / 1e6).toFixed(1)} MB` : `${Math.ceil(bytes / 1e3)} kB`);

function upload(): void {
    missing.value = added.value = '';
    const chosen = file.value?.files?.[0];
    if (!chosen || chosen.size > MOST_BYTES) {
        missing.value = chosen ? `"${chosen.name}" is ${size(chosen.size)}; ${size(MOST_BYTES)} is the most.` : 'Choose a file.';
        return;
    }
    const form = new FormData();
    form.set('file', chosen);
    form.set('licence', licence.value);
    form.set('author', author.value);
    form.set('genre', genre.value);
    form.set('held', held.value ? '1' : '0');
    send(form, {
        onSuccess: (kept) => {
            added.value = kept.length === 1 ? `${kept[0]?.title} is on the shelf.` : `${kept.length} cuts are on the shelf: ${kept.map((one) => one.title).join(', ')}.`;
            held.value = false;
            if (file.value) {
                file.value.value = '';
            }
        },
    });
}
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
        <p v-if="unread" role="alert">{{ said(unread) }} <button type="button" class="token" @click="refetch()">Try again</button></p>
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
                <figure><img :src="`/api/assets/${asset.id}/preview.png`" alt="" loading="lazy" /><figcaption>{{ asset.title }}<small>{{ asset.type === 'svg' ? 'drawing' : `${asset.width} × ${asset.height} px` }} · {{ size(asset.bytes) }} · {{ asset.licence.name }}</small><small v-if="asset.leftOut.length" class="left-out">not printed: {{ asset.leftOut.join('; ') }}</small></figcaption></figure>
            </li>
        </ul>
    </main>
</template>

<style>
.left-out { color: var(--warn); }
.font-list { display: grid; gap: 2px; margin-top: 8px; }
.font-list.wide { grid-template-columns: 1fr 1fr; gap: 0 28px; }
.font-list li { border-bottom: 1px solid var(--hair); padding: 4px 0; }
.font-list button { display: grid; grid-template-columns: 450px 1fr; align-items: center; justify-items: start; width: 100%; text-align: left; padding: 4px 6px; }
.font-list button:hover, .art-list button:hover { background: var(--rust-wash); }
.font-list img { max-width: 100%; height: 48px; object-fit: contain; object-position: left; }
.font-list span { display: block; }
.font-list small { display: block; overflow: hidden; text-overflow: ellipsis; white-space: nowrap; max-width: 520px; }
[data-light='dark'] .font-list img { filter: invert(0.9); }
.art-list { display: grid; grid-template-columns: repeat(auto-fill, minmax(150px, 1fr)); gap: 12px; margin-top: 8px; }
.art-list button, .art-list figure { display: grid; justify-items: center; gap: 4px; width: 100%; padding: 10px; margin: 0; border: 1px solid var(--hair); background: var(--card); text-align: center; }
.art-list img { width: 110px; height: 110px; object-fit: contain; background: #e9e2d2; padding: 6px; }
.art-list small { display: block; }
</style>
