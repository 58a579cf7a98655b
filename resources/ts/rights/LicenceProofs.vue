<script setup lang="ts">
import { ref } from 'vue';
import { VBtn, VFileUpload, VList, VListItem } from 'vuetify/components';
import { api, said } from '../api';
import { useChange } from '../server/queries';
import { JUDGED } from '../server/rights';
import type { LicenceCard, ProofCard, ProofText } from '../types';
import { ago } from '../words/lines';

/** Documents stored unchanged with a licence. */
const props = defineProps<{ licence: LicenceCard }>();
const files = ref<File | File[]>([]);
const shown = ref<ProofText | null>(null);
const trouble = ref('');
const { mutateAsync: keep, isPending: busy } = useChange((file: File) => {
    const form = new FormData();
    form.set('file', file);
    return api.upload<ProofCard>(`licences/${props.licence.id}/proofs`, form);
}, ...JUDGED);
const size = (bytes: number): string => (bytes > 1e6 ? `${(bytes / 1e6).toFixed(1)} MB` : `${Math.ceil(bytes / 1e3)} kB`);

async function take(): Promise<void> {
    trouble.value = '';
    for (const file of [files.value].flat()) {
        if (file) {
            await keep(file).catch((error: unknown) => (trouble.value = said(error)));
        }
    }
    files.value = [];
}

async function read(proof: ProofCard): Promise<void> {
    shown.value = await api.get<ProofText>(`proofs/${proof.id}/text`).catch((error: unknown) => {
        trouble.value = said(error);
        return null;
    });
}
</script>

<template>
    <section class="proofs" aria-label="Proofs">
        <h3>Proof</h3>
        <p v-if="licence.proofs.length === 0" class="small">Nothing is kept yet. A receipt, the terms as they were on the day, or the letter that came with it.</p>
        <v-list v-else density="compact">
            <v-list-item v-for="proof in licence.proofs" :key="proof.id" :title="proof.name" :subtitle="`${size(proof.bytes)} · came ${ago(proof.cameAt)} · ${proof.sha256.slice(0, 12)}`">
                <template #append>
                    <v-btn v-if="proof.readable" size="small" variant="text" :aria-label="`Read ${proof.name}`" @click="read(proof)">read</v-btn>
                    <v-btn size="small" variant="text" :href="`/api/proofs/${proof.id}/file`" download :aria-label="`Save ${proof.name}`">save</v-btn>
                </template>
            </v-list-item>
        </v-list>
        <v-file-upload aria-label="A receipt, terms or an e-mail" v-model="files" density="compact" multiple title="Drop a receipt, terms or an e-mail here" browse-text="or choose files" :disabled="busy" accept=".pdf,.png,.jpg,.jpeg,.txt,.md,.html,.htm,.eml" @update:model-value="take" />
        <p v-if="trouble" role="alert">{{ trouble }}</p>
        <div v-if="shown" class="proof-text">
            <p class="small">{{ shown.name }}, as plain text. {{ shown.whole ? 'The file is the one that was kept.' : 'The file was changed on disk since it was kept!' }} <v-btn size="small" variant="text" @click="shown = null">fold</v-btn></p>
            <pre tabindex="0">{{ shown.text }}</pre>
        </div>
    </section>
</template>

<style>
.proofs { display: grid; gap: 8px; }
.proof-text pre { max-height: 260px; overflow: auto; padding: 10px; border: 1px solid var(--hair); background: var(--paper); white-space: pre-wrap; font-family: var(--measures); font-size: 12px; }
</style>
