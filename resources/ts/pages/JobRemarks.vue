<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { ref } from 'vue';
import { VBtn, VForm, VTextarea } from 'vuetify/components';
import { api } from '../api';
import { useFaults } from '../server/faults';
import { useChange } from '../server/queries';
import type { Remark } from '../types';
import { ago } from '../words/lines';

/** Comments on a job, and who approved its current state. */
const { job, revision } = defineProps<{ job: number; revision: number }>();

const text = ref('');
const verdicts = { note: 'says', approved: 'approved it', change: 'asks for a change' };
const { data: remarks } = useQuery({ queryKey: ['remarks', () => job], queryFn: () => api.get<Remark[]>(`jobs/${job}/comments`) });
const saying = useChange((verdict: Remark['verdict']) => api.post<Remark>(`jobs/${job}/comments`, { verdict, text: text.value }), 'remarks');
const fault = useFaults(saying.error, 'text');

function say(verdict: Remark['verdict']): void {
    saying.mutate(verdict, { onSuccess: () => (text.value = '') });
}
</script>

<template>
    <section class="remarks" aria-labelledby="remarks">
        <h2 id="remarks">What was said</h2>
        <p v-if="remarks?.length === 0" class="small">Nothing yet. Partners who only look can say here what they think, and approve.</p>
        <ul>
            <li v-for="one in remarks ?? []" :key="one.id"><strong>{{ one.who }}</strong> {{ verdicts[one.verdict] }}<span class="small"> · {{ ago(one.at) }}{{ one.revision === revision ? '' : ' · of an earlier step' }}</span><p v-if="one.text" class="prose">{{ one.text }}</p></li>
        </ul>
        <p v-if="fault.other" role="alert">{{ fault.other }}</p>
        <v-form class="say" @submit.prevent="say('note')">
            <v-textarea v-model="text" label="Your words" maxlength="2000" :error-messages="fault.of('text')" />
            <div class="row"><v-btn type="submit" :disabled="text === ''" :loading="saying.isPending.value">Say it</v-btn><v-btn :disabled="text === ''" @click="say('change')">Ask for a change</v-btn><v-btn color="primary" variant="flat" @click="say('approved')">Approve this step</v-btn></div>
        </v-form>
    </section>
</template>

<style>
.remarks { display: grid; gap: 10px; border-top: 2px dotted var(--hair); padding-top: 14px; margin-top: 10px; }
.remarks li { padding: 4px 0; }
.say { display: grid; gap: 8px; max-width: 620px; }
.say .row { display: flex; gap: 8px; }
</style>
