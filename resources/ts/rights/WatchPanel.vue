<script setup lang="ts">
import { reactive } from 'vue';
import { VBtn, VForm, VList, VListItem } from 'vuetify/components';
import { api, said } from '../api';
import { useFaults } from '../server/faults';
import { useChange } from '../server/queries';
import { useWatched } from '../server/rights';
import type { WatchedCard } from '../types';

/** The watch list: names, marks and phrases that the shop was warned about. */
const { data: watched, error: unread } = useWatched();
const form = reactive({ phrase: '', note: '', on: '' });
const { mutate: add, isPending: adding, error } = useChange(() => api.post<WatchedCard>('watched', { phrase: form.phrase, note: form.note, on: form.on || null }), 'watched', 'rights');
const { mutate: drop } = useChange((id: number) => api.remove(`watched/${id}`), 'watched', 'rights');
const fault = useFaults(error, 'phrase', 'note', 'on');
const keep = (): void => add(undefined, { onSuccess: () => Object.assign(form, { phrase: '', note: '', on: '' }) });
</script>

<template>
    <section class="sales">
        <p>Looked for in the words of every sheet, in any case and spacing, with letters that look alike, and with one slip of typing. Whether a word is somebody's, the trade mark registers of the countries where you sell can tell, and a lawyer.</p>
        <v-form class="sales-form" @submit.prevent="keep">
            <v-text-field v-model="form.phrase" label="Name, mark or phrase" maxlength="120" :error-messages="fault.of('phrase')" />
            <v-text-field v-model="form.note" label="Who warned, of what" maxlength="500" :error-messages="fault.of('note')" />
            <v-text-field v-model="form.on" type="date" label="On" :error-messages="fault.of('on')" />
            <v-btn type="submit" variant="flat" color="primary" :loading="adding" :disabled="form.phrase.trim().length < 2">Watch for it</v-btn>
        </v-form>
        <p v-if="fault.other" role="alert">{{ fault.other }}</p>
        <p v-if="unread" role="alert">{{ said(unread) }}</p>
        <p v-else-if="watched?.length === 0" class="empty">Nothing is watched for.</p>
        <v-list v-else>
            <v-list-item v-for="one in watched ?? []" :key="one.id" :title="one.phrase" :subtitle="[one.note, one.on].filter(Boolean).join(' · ')">
                <template #append><v-btn size="small" variant="text" :aria-label="`Watch no longer for ${one.phrase}`" @click="drop(one.id)">take out</v-btn></template>
            </v-list-item>
        </v-list>
    </section>
</template>
