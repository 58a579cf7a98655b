<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue';
import { VAutocomplete, VBtn, VExpansionPanel, VExpansionPanels, VForm, VNumberInput, VSelect } from 'vuetify/components';
import { api } from '../api';
import { useFaults } from '../server/faults';
import { useChange } from '../server/queries';
import { JUDGED, useInterview } from '../server/rights';
import type { FactCard, FactQuestion, LicenceCard } from '../types';
import LicenceProofs from './LicenceProofs.vue';

/** A licence: licensor, dates, terms from a short interview, and proofs. */
const open = defineModel<boolean>({ required: true });
const props = defineProps<{ licence: LicenceCard | null }>();
const emit = defineEmits<{ kept: [licence: LicenceCard] }>();
const { data: interview } = useInterview();

type Answer = Pick<FactCard, 'value' | 'number' | 'text' | 'clause' | 'quote'>;
const BLANK = { name: '', spdx: '' as string | null, licensor: '', source: '', orderNumber: '', seats: null as number | null, boughtOn: '' as string | null, beginsOn: '' as string | null, endsOn: '' as string | null };
const form = reactive({ ...BLANK });
const facts = ref<Record<string, Answer>>({});
const { mutate: save, isPending: busy, error, reset } = useChange(() => {
    const asked = { ...form, spdx: form.spdx ?? '', boughtOn: form.boughtOn || null, beginsOn: form.beginsOn || null, endsOn: form.endsOn || null, facts: facts.value };
    return props.licence ? api.put<LicenceCard>(`licences/${props.licence.id}`, asked) : api.post<LicenceCard>('licences', asked);
}, ...JUDGED);
const fault = useFaults(error, 'name', 'spdx', 'licensor', 'source', 'orderNumber', 'seats', 'boughtOn', 'beginsOn', 'endsOn', 'until', 'facts.*');
const terms = ref<number | undefined>(0);
// Unfold the terms if one of them has an error.
watch(error, (now) => now && (terms.value = 0));
const known = computed(() => interview.value?.known.find((one) => one.spdx === form.spdx));
const openFacts = computed(() => (interview.value?.questions ?? []).filter((one) => (facts.value[one.name]?.value ?? 'unknown') === 'unknown').length);

watch([open, () => props.licence], () => {
    if (!open.value) {
        return;
    }
    reset();
    const held = props.licence;
    Object.assign(form, held ? { name: held.name, spdx: held.spdx, licensor: held.licensor, source: held.source, orderNumber: held.orderNumber, seats: held.seats, boughtOn: held.boughtOn, beginsOn: held.beginsOn, endsOn: held.endsOn } : BLANK);
    facts.value = Object.fromEntries((held?.facts ?? []).map(({ name, value, number, text, clause, quote }) => [name, { value, number, text, clause, quote }]));
}, { immediate: true });

/** The quoted clause supports only the answer that was prefilled from it. */
function answer(question: FactQuestion, changes: Partial<Answer>): void {
    const before = facts.value[question.name] ?? { value: 'unknown', number: null, text: '', clause: '', quote: '' };
    facts.value = { ...facts.value, [question.name]: { ...before, ...('value' in changes && changes.value !== before.value ? { clause: '', quote: '' } : {}), ...changes } };
}

function fillIn(): void {
    if (known.value) {
        facts.value = { ...facts.value, ...Object.fromEntries(known.value.facts.map(({ name, value, number, text, clause, quote }) => [name, { value, number, text, clause, quote }])) };
        form.name ||= known.value.name;
    }
}
</script>

<template>
    <v-dialog v-model="open" max-width="860" scrollable aria-labelledby="licence-head">
        <v-form class="sheet-dialog licence-form" @submit.prevent="save(undefined, { onSuccess: (kept) => emit('kept', kept) })">
            <h2 id="licence-head">{{ licence ? licence.name : 'A licence' }}</h2>
            <p class="small">Facts as the terms state them. What you do not know stays unknown, which is not a yes. Tall Crow gives no legal advice.</p>
            <div class="licence-head">
                <v-text-field v-model="form.name" label="Name: the pack, the family, the subscription" maxlength="160" :error-messages="fault.of('name')" />
                <v-autocomplete v-model="form.spdx" label="Open licence, if it is one (SPDX)" :items="(interview?.spdx ?? []).map((one) => ({ value: one.id, title: `${one.id}: ${one.name}` }))" clearable :error-messages="fault.of('spdx')" />
                <v-text-field v-model="form.licensor" label="Who gives it" maxlength="200" :error-messages="fault.of('licensor')" />
                <v-text-field v-model="form.source" label="Where its terms are written" maxlength="500" :error-messages="fault.of('source')" />
                <v-text-field v-model="form.orderNumber" label="Order number" maxlength="120" :error-messages="fault.of('orderNumber')" />
                <v-number-input v-model="form.seats" label="People who may use it" :min="1" control-variant="hidden" clearable :error-messages="fault.of('seats')" />
                <v-text-field v-model="form.boughtOn" type="date" label="Bought on" :error-messages="fault.of('boughtOn')" />
                <v-text-field v-model="form.beginsOn" type="date" label="Begins on" :error-messages="fault.of('beginsOn')" />
                <v-text-field v-model="form.endsOn" type="date" label="Ends on" :error-messages="[...fault.of('endsOn'), ...fault.of('until')]" />
            </div>
            <p v-if="known" class="licence-known"><v-btn size="small" @click="fillIn">Fill in the terms of {{ known.spdx }}</v-btn> <span class="small">each with its clause; a layman's reading</span></p>
            <v-expansion-panels v-model="terms">
                <v-expansion-panel :title="`Its terms · ${openFacts} not known`">
                    <template #text>
                        <div v-for="question in interview?.questions ?? []" :key="question.name" class="fact">
                            <v-select
                                :model-value="facts[question.name]?.value ?? 'unknown'" :items="question.answers.map((one) => ({ value: one.value, title: one.says }))" :label="question.question"
                                :hint="question.example" :error-messages="fault.of(`facts.${question.name}`)" @update:model-value="answer(question, { value: $event as string })"
                            />
                            <v-number-input
                                v-if="question.takesNumber && !['unlimited', 'unknown'].includes(facts[question.name]?.value ?? 'unknown')" :model-value="facts[question.name]?.number ?? null" label="How many sales" :min="1" control-variant="hidden"
                                @update:model-value="answer(question, { number: $event })"
                            />
                            <v-text-field
                                v-if="question.takesText && !['worldwide', 'no', 'unknown'].includes(facts[question.name]?.value ?? 'unknown')" :model-value="facts[question.name]?.text" maxlength="500"
                                :label="question.name === 'territory' ? 'Which countries' : question.name === 'credit' ? 'The credit, and where' : 'Why you think so'" @update:model-value="answer(question, { text: $event })"
                            />
                            <p v-if="facts[question.name]?.quote" class="small fact-clause">{{ facts[question.name]?.clause }}: “{{ facts[question.name]?.quote }}”</p>
                        </div>
                    </template>
                </v-expansion-panel>
            </v-expansion-panels>
            <LicenceProofs v-if="licence" :licence="licence" />
            <p v-else class="small">Receipts, terms and letters can be kept with it once it is recorded.</p>
            <p v-if="fault.other" role="alert">{{ fault.other }}</p>
            <div class="dialog-ends"><v-btn type="submit" variant="flat" color="primary" :loading="busy">{{ licence ? 'Keep the changes' : 'Record it' }}</v-btn><v-btn @click="open = false">Close</v-btn></div>
        </v-form>
    </v-dialog>
</template>

<style>
.licence-form { display: grid; gap: 12px; max-height: 86vh; overflow: auto; }
.licence-head { display: grid; grid-template-columns: repeat(auto-fit, minmax(220px, 1fr)); gap: 10px; }
.licence-known { display: flex; gap: 10px; align-items: center; margin: 0; }
.fact { display: grid; gap: 6px; padding: 8px 0; border-bottom: 1px solid var(--hair); }
.fact-clause { margin: 0; color: var(--faded); }
</style>
