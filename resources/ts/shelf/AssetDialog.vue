<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { VAutocomplete, VBtn, VCombobox, VFileInput, VForm } from 'vuetify/components';
import { api, proofUrl, said } from '../api';
import { useChange } from '../server/queries';
import { useLicenceChoices } from '../server/rights';
import { SHELVED, useAsset } from '../server/shelf';
import type { AssetCard, Replaced } from '../types';
import { ago } from '../words/lines';
import { counted } from '../words/counted';

/** One asset: its uses, size, properties and licence. */
const id = defineModel<number | null>({ required: true });
const props = defineProps<{ known: string[] }>();
const { data: asset, error } = useAsset(id);
const title = ref('');
const tags = ref<string[]>([]);
const better = ref<File | File[] | null>(null);
const replaced = ref<Replaced | null>(null);
const open = computed({ get: () => id.value !== null, set: (to) => !to && (id.value = null) });
const change = <A, R>(work: (asked: A) => Promise<R>) => useChange(work, ...SHELVED);
const renaming = change(() => api.put<AssetCard>(`assets/${id.value}`, { title: title.value }));
const tagging = change(({ of, on }: { of: string[]; on: boolean }) => api.put('shelf/tags', { assets: [id.value], tags: of, on }));
const holding = change((licence: number) => api.put('shelf/licence', { assets: [id.value], licence }));
const binning = change(() => (asset.value?.card.binnedAt ? api.post<AssetCard>(`assets/${id.value}/back`) : api.remove<AssetCard>(`assets/${id.value}`)));
const replacing = change((file: File) => {
    const form = new FormData();
    form.set('file', file);
    return api.upload<Replaced>(`assets/${id.value}/replace`, form);
});
const trouble = computed(() => [error.value, renaming.error.value, tagging.error.value, holding.error.value, binning.error.value, replacing.error.value].find((one) => one));
const choices = useLicenceChoices();
const facts = computed(() => {
    const now = asset.value;
    return !now ? [] : [
        now.card.type === 'svg' ? 'a drawing: any size' : now.card.kind === 'art' ? `${now.card.width} × ${now.card.height} px` : `${now.card.type} font`,
        now.font ? `${now.font.characters} characters` : '', now.font ? `weight ${now.font.weight}, ${now.font.weightName}` : '', ...(now.font?.axes ?? []).map((axis) => `${axis.name} from ${axis.least} to ${axis.most}`),
        now.servesWidth ? `serves ${now.servesWidth} × ${now.servesHeight} in at 300 ppi` : '', now.sold ? `${counted(now.sold, 'shirt')} sold with it` : '', `came ${ago(now.cameAt)}`, now.card.genre,
    ].filter(Boolean);
});

watch(asset, (now) => {
    title.value = now?.card.title ?? '';
    tags.value = [...(now?.card.tags ?? [])];
}, { immediate: true });
watch(id, () => {
    replaced.value = null;
    [renaming, tagging, holding, binning, replacing].forEach((one) => one.reset());
});

function retag(now: string[]): void {
    const before = asset.value?.card.tags ?? [];
    const more = now.filter((tag) => !before.includes(tag));
    const less = before.filter((tag) => !now.includes(tag));
    if (more.length) {
        tagging.mutate({ of: more, on: true });
    }
    if (less.length) {
        tagging.mutate({ of: less, on: false });
    }
}

function replace(): void {
    const file = [better.value].flat()[0];
    if (file) {
        replacing.mutate(file, { onSuccess: (done) => { replaced.value = done; better.value = null; } });
    }
}
</script>

<template>
    <v-dialog v-model="open" max-width="760" scrollable aria-labelledby="asset-head">
        <section class="sheet-dialog asset-dialog">
            <template v-if="asset">
                <h2 id="asset-head">{{ asset.card.title }}</h2>
                <img class="asset-picture" :class="asset.card.kind" :src="`/api/assets/${asset.card.id}/preview.png`" :alt="asset.card.title" />
                <p class="small">{{ facts.join(' · ') }}</p>
                <p v-if="asset.colours.length" class="asset-colours"><span v-for="one in asset.colours" :key="one.colour" :title="`${one.name}, ${one.colour}`" :style="{ background: one.colour }"></span></p>
                <p v-if="asset.languages.length" class="small">Has all letters of: {{ asset.languages.join(', ') }}.</p>
                <p v-if="asset.card.features.length" class="small">Features: {{ asset.card.features.join(', ') }}</p>
                <p v-if="asset.font?.hasColours" class="small note">Its letters have colours of their own. Here they are set as plain outlines, in the ink that the sheet gives them.</p>
                <v-form class="asset-name" @submit.prevent="renaming.mutate(undefined)"><v-text-field v-model="title" label="Title" maxlength="200" /><v-btn type="submit" :disabled="title.trim() === '' || title === asset.card.title">Rename</v-btn></v-form>
                <v-combobox :model-value="tags" label="Tags" multiple chips closable-chips :items="props.known" :delimiters="[',']" @update:model-value="retag($event as string[])" />
                <v-autocomplete :model-value="asset.card.licenceId" label="Held under" :items="choices" no-data-text="No licence is recorded" @update:model-value="typeof $event === 'number' && holding.mutate($event)" />
                <p v-if="asset.collections.length" class="small">In {{ asset.collections.map((one) => one.name).join(', ') }}.</p>
                <p class="small"><router-link v-if="asset.card.licenceId" :to="`/licences?open=${asset.card.licenceId}`">Its terms and proofs</router-link><template v-if="asset.card.licence.author"> · {{ asset.card.licence.author }}</template> {{ asset.card.licence.url }}</p>
                <section>
                    <h3>Used in</h3>
                    <p v-if="asset.uses.length === 0" class="small">No design names it.</p>
                    <ul v-else><li v-for="use in asset.uses" :key="use.job"><router-link :to="`/jobs/${use.job}/build`">{{ use.title }}</router-link><span v-if="!use.prints" class="small"> on lines that are off</span></li></ul>
                </section>
                <p v-if="asset.same.length">The very same file: {{ asset.same.map((one) => one.title).join(', ') }}.</p>
                <p v-if="asset.alike.length">Looks like: <button v-for="one in asset.alike" :key="one.id" type="button" class="token" @click="id = one.id">{{ one.title }}</button></p>
                <v-form v-if="!asset.card.binnedAt" class="asset-name" @submit.prevent="replace">
                    <v-file-input v-model="better" label="Replace it everywhere by a better copy" prepend-icon="" density="compact" variant="outlined" hide-details />
                    <v-btn type="submit" :disabled="[better].flat()[0] === undefined || [better].flat()[0] === null" :loading="replacing.isPending.value">Replace</v-btn>
                </v-form>
                <div v-if="replaced" role="status">
                    <p>{{ replaced.asset.title }} stands in its place in {{ replaced.jobs.length }} {{ replaced.jobs.length === 1 ? 'design' : 'designs' }}; undo in each takes it back.</p>
                    <div v-for="one in replaced.jobs.slice(0, 4)" :key="one.job" class="asset-before"><img :src="proofUrl(one.before, 20)" :alt="`${one.title} before`" /><img :src="proofUrl(one.after, 20)" :alt="`${one.title} after`" /><router-link :to="`/jobs/${one.job}/build`">{{ one.title }}</router-link></div>
                </div>
            </template>
            <p v-else-if="!error" role="status">Looking at it …</p>
            <p v-if="trouble" role="alert">{{ said(trouble) }}</p>
            <div class="dialog-ends"><v-btn @click="open = false">Close</v-btn><v-btn v-if="asset" variant="text" :loading="binning.isPending.value" @click="binning.mutate(undefined)">{{ asset.card.binnedAt ? 'Put it back on the shelf' : 'Take it off the shelf' }}</v-btn></div>
        </section>
    </v-dialog>
</template>

<style>
.asset-dialog { display: grid; gap: 10px; max-height: 86vh; overflow: auto; }
.asset-dialog p { margin: 0; }
.asset-picture { max-width: 100%; max-height: 180px; object-fit: contain; justify-self: start; background: #e9e2d2; padding: 10px; }
.asset-colours { display: flex; gap: 4px; }
.asset-colours span { width: 26px; height: 18px; border: 1px solid var(--hair); }
.asset-name { display: grid; grid-template-columns: minmax(0, 1fr) auto; gap: 10px; align-items: center; }
.asset-before { display: flex; gap: 10px; align-items: center; }
.asset-before img { width: 110px; height: 110px; object-fit: contain; background: #8a857a; }
</style>
