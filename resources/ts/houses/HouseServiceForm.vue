<script setup lang="ts">
import { computed, reactive, watch } from 'vue';
import { VBtn, VForm, VSelect } from 'vuetify/components';
import { api } from '../api';
import { useServices } from '../server/parcels';
import { useFaults } from '../server/faults';
import { useChange } from '../server/queries';
import type { HouseCard } from '../types';

/** How files reach a house: by hand, or by a service configured by the operator. */
const props = defineProps<{ house: HouseCard }>();
const { data: services } = useServices();
const form = reactive({ service: '', account: '', token: '' });
watch(() => props.house, (house) => Object.assign(form, { service: house.service, account: house.account, token: '' }), { immediate: true });
const items = computed(() => [{ value: '', title: 'by hand' }, ...(services.value ?? []).map((one) => ({ value: one.key, title: one.name }))]);
const { mutate: keep, isPending: busy, error, isSuccess } = useChange(() => api.put<HouseCard>(`houses/${props.house.id}/service`, { ...form, account: form.service ? form.account : '' }), 'houses');
const fault = useFaults(error, 'service', 'account', 'token');
</script>

<template>
    <v-form class="house-service" aria-label="How files reach this house" @submit.prevent="keep(undefined)">
        <v-select v-model="form.service" label="Files reach it" :items="items" :error-messages="fault.of('service')" />
        <v-text-field v-model="form.account" label="Your account there" maxlength="100" :disabled="!form.service" :error-messages="fault.of('account')" />
        <v-text-field v-model="form.token" label="Token, if it asks for one" type="password" autocomplete="off" maxlength="500" :disabled="!form.service" :placeholder="house.hasToken ? 'one is kept' : ''" persistent-placeholder :error-messages="fault.of('token')" />
        <v-btn type="submit" :loading="busy">Keep the way</v-btn>
        <p v-if="isSuccess && !error" role="status" class="small">Kept.</p>
        <p v-if="fault.other" role="alert">{{ fault.other }}</p>
    </v-form>
</template>

<style>
.house-service { padding-top: 12px; display: grid; grid-template-columns: 1.4fr 1fr 1fr max-content; gap: 10px; align-items: start; }
.house-service p { grid-column: 1 / -1; margin: 0; }
@media (max-width: 760px) { .house-service { grid-template-columns: 1fr; } }
</style>
