<script setup lang="ts">
import { reactive, watch } from 'vue';
import { VBtn, VCheckbox, VCombobox, VForm, VNumberInput } from 'vuetify/components';
import { api } from '../api';
import { useFaults } from '../server/faults';
import { useChange } from '../server/queries';
import { JUDGED } from '../server/rights';
import type { UsageCard } from '../types';

/** The intended usage of designs, which is compared with licence terms: for one job, or the shop's default. */
const props = defineProps<{ usage: UsageCard; job?: number }>();
const form = reactive({ ...props.usage, territories: [...props.usage.territories] });
watch(() => props.usage, (now) => Object.assign(form, { ...now, territories: [...now.territories] }));
const { mutate: save, isPending: busy, isSuccess: saved, error } = useChange(() => api.put<UsageCard>(props.job === undefined ? 'usage' : `jobs/${props.job}/usage`, { ...form, units: form.units ?? 0, seats: form.seats ?? 1 }), 'usage', ...JUDGED);
const fault = useFaults(error, 'where', 'units', 'territories', 'seats');
</script>

<template>
    <v-form class="usage" @submit.prevent="save(undefined)">
        <v-text-field v-model="form.where" label="Where it is sold" placeholder="our own shop, a market, a fair" maxlength="200" :error-messages="fault.of('where')" />
        <v-number-input v-model="form.units" label="Shirts expected to be sold" :min="0" :max="10000000" control-variant="hidden" :error-messages="fault.of('units')" />
        <v-combobox v-model="form.territories" label="Countries; none for everywhere" multiple chips closable-chips :delimiters="[',']" hide-no-data :error-messages="fault.of('territories')" />
        <v-number-input v-model="form.seats" label="People who work on it" :min="1" :max="10000" control-variant="hidden" :error-messages="fault.of('seats')" />
        <v-checkbox v-model="form.asMark" label="It is to be a logo or mark of the shop" hide-details />
        <p v-if="fault.other" role="alert">{{ fault.other }}</p>
        <p class="usage-ends"><v-btn type="submit" variant="flat" color="primary" :loading="busy">Keep this use</v-btn> <span v-if="saved" role="status" class="small">Kept.</span></p>
    </v-form>
</template>

<style>
.usage { display: grid; gap: 12px; max-width: 560px; width: 100%; }
.usage-ends { display: flex; gap: 12px; align-items: center; margin: 0; }
</style>
