<script setup lang="ts">
import { computed, reactive } from 'vue';
import { VBtn, VForm, VSelect } from 'vuetify/components';
import { api } from '../api';
import { eventWords, useJobLog } from '../server/parcels';
import { useFaults } from '../server/faults';
import { useChange } from '../server/queries';
import type { LogLine } from '../types';

/** Where a design is listed, at what price, and what was taken down; stored in the append-only log. */
const props = defineProps<{ job: number }>();
const { data: log } = useJobLog(() => props.job);
const today = (): string => new Date().toISOString().slice(0, 10);
const form = reactive({ event: 'listed', where: '', address: '', price: '', reason: '', on: today() });
const { mutate: note, isPending: busy, error } = useChange(() => api.post<LogLine>(`jobs/${props.job}/noted`, form), 'log', 'today');
const fault = useFaults(error, 'where', 'address', 'price', 'reason', 'on');
const noted = computed(() => (log.value?.lines ?? []).filter((one) => ['listed', 'priced', 'taken-down'].includes(one.event)));
const events = ['listed', 'priced', 'taken-down'].map((value) => ({ value, title: eventWords[value] ?? value }));

function keep(): void {
    note(undefined, { onSuccess: () => Object.assign(form, { address: '', price: '', reason: '', on: today() }) });
}
</script>

<template>
    <section class="listing-log" aria-labelledby="listing-log-head">
        <h2 id="listing-log-head">Where it is listed</h2>
        <v-form @submit.prevent="keep">
            <v-select v-model="form.event" label="What happened" :items="events" />
            <v-text-field v-model="form.where" label="Market" maxlength="120" :error-messages="fault.of('where')" />
            <v-text-field v-model="form.address" label="Address of the listing" type="url" maxlength="300" :error-messages="fault.of('address')" />
            <v-text-field v-if="form.event !== 'taken-down'" v-model="form.price" label="Price, with its currency" maxlength="40" :error-messages="fault.of('price')" />
            <v-text-field v-else v-model="form.reason" label="Why it was taken down" maxlength="300" :error-messages="fault.of('reason')" />
            <v-text-field v-model="form.on" label="On" type="date" :error-messages="fault.of('on')" />
            <v-btn type="submit" :loading="busy">Note it</v-btn>
        </v-form>
        <p v-if="fault.other" role="alert">{{ fault.other }}</p>
        <ul>
            <li v-for="one in noted" :key="one.id"><span class="measure">{{ one.at.slice(0, 10) }}</span> {{ eventWords[one.event] }}{{ one.house ? ` at ${one.house}` : '' }}<template v-for="what in one.said" :key="what">, <a v-if="/^https?:/.test(what)" :href="what" rel="noopener noreferrer" target="_blank">{{ what }}</a><template v-else>{{ what }}</template></template></li>
        </ul>
        <p v-if="noted.length === 0" class="small">Nothing is noted yet. What is noted stays: a price that changed is noted anew.</p>
    </section>
</template>

<style>
.listing-log { display: grid; gap: 10px; margin: 20px 0; }
.listing-log form { display: grid; grid-template-columns: 150px 1fr 1.6fr 1fr 150px max-content; gap: 10px; align-items: start; }
@media (max-width: 1000px) { .listing-log form { grid-template-columns: 1fr 1fr; } }
</style>
