<script setup lang="ts">
import { useDropZone } from '@vueuse/core';
import { computed, ref } from 'vue';
import { VBtn, VCheckbox, VForm } from 'vuetify/components';
import { api, Refused } from '../api';
import { vFirst } from '../focus';
import { useFaults } from '../server/faults';
import { queryClient, useShop } from '../server/queries';
import { useSelection } from '../stores/selection';
import { useSheet } from '../stores/sheet';
import type { AssetCard, Operation } from '../types';

/** Adds files dropped on the bench to the shelf and the sheet in one step, after asking for their licence once. */
const { over } = defineProps<{ over: HTMLElement | null }>();
const sheet = useSheet();
const shop = useShop();
const selection = useSelection();
const files = ref<File[]>([]);
const licence = ref('');
const author = ref('');
const held = ref(false);
const at = ref(0);
const busy = ref(false);
const refused = ref<Refused | null>(null);
const { isOverDropZone } = useDropZone(() => over, { onDrop: (dropped) => begin(dropped ?? []), multiple: true });
const open = computed({ get: () => files.value.length > 0, set: (to: boolean) => !to && !busy.value && (files.value = []) });
const fault = useFaults(refused, 'licence', 'author', 'held');
const other = computed(() => (fault.other ? `${files.value[at.value]?.name ?? ''}: ${fault.other}` : ''));

function begin(dropped: File[]): void {
    files.value = dropped;
    at.value = 0;
    refused.value = null;
    held.value = false;
}

/** A picture becomes a layer, a font is used for new words. */
const laid = (asset: AssetCard, newWords: string): Operation => (asset.kind === 'font'
    ? { op: 'add', source: { kind: 'text', text: newWords, font: asset.file, align: 'centre', leading: 1 }, share: 0.6 }
    : { op: 'add', source: { kind: 'art', file: asset.file, frame: 'ink' }, share: 0.4 });

async function put(): Promise<void> {
    const newWords = shop.catalogue?.newWords;
    if (newWords === undefined) {
        return;
    }
    busy.value = true;
    refused.value = null;
    try {
        for (; at.value < files.value.length; at.value++) {
            const form = new FormData();
            form.set('file', files.value[at.value] as File);
            form.set('licence', licence.value);
            form.set('author', author.value);
            form.set('held', held.value ? '1' : '0');
            const kept = await api.upload<AssetCard[]>('assets', form);
            await queryClient.invalidateQueries({ queryKey: ['assets'] });
            await sheet.operate(...kept.slice(0, 1).map((asset) => laid(asset, newWords)));
        }
        selection.reveal();
        files.value = [];
    } catch (error) {
        refused.value = error instanceof Refused ? error : new Refused('The file could not be put on the shelf.', 0);
    } finally {
        busy.value = false;
    }
}
</script>

<template>
    <div v-if="isOverDropZone" class="drop-here" aria-hidden="true">Let go to put it on the shelf and on the sheet</div>
    <v-dialog v-model="open" max-width="520" :persistent="busy" aria-labelledby="drop-head">
        <v-form class="sheet-dialog drop-form" @submit.prevent="put">
            <h2 id="drop-head">{{ files.length === 1 ? `Put ${files[0]?.name} on the shelf and on the sheet` : `Put ${files.length} files on the shelf and on the sheet` }}</h2>
            <p class="small">Fonts (OTF, TTF, WOFF, WOFF2, zip) and pictures (PNG, JPEG, WebP, SVG). One licence for all of them.</p>
            <v-text-field v-model="licence" v-first label="Licence, such as CC BY 4.0" maxlength="120" :error-messages="fault.of('licence')" />
            <v-text-field v-model="author" label="Author or seller" maxlength="300" :error-messages="fault.of('author')" />
            <v-checkbox v-model="held" label="I hold the right to use them for print on demand" :error-messages="fault.of('held')" />
            <p v-if="other" role="alert">{{ other }}</p>
            <div class="dialog-ends"><v-btn type="submit" variant="flat" color="primary" :loading="busy" :disabled="!shop.catalogue">Put {{ files.length === 1 ? 'it' : 'them' }} there</v-btn><v-btn :disabled="busy" @click="open = false">Not now</v-btn></div>
        </v-form>
    </v-dialog>
</template>

<style>
.drop-here { position: absolute; inset: 8px; z-index: 2; display: grid; place-items: center; border: 2px dashed var(--rust); background: color-mix(in srgb, var(--rust-wash) 80%, transparent); font-weight: 600; pointer-events: none; }
.drop-form { display: grid; gap: 10px; }
</style>
