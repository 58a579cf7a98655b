<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { VBtn, VSelect, VTable } from 'vuetify/components';
import { api, said } from '../api';
import { useMe } from '../people/me';
import { useChange } from '../server/queries';
import type { Deed, Person, Secret } from '../types';
import { ago } from '../words/lines';

const { me } = useMe();
const roles = [
    { value: 'owner', title: 'owner: everything' },
    { value: 'maker', title: 'maker: sheets, shelf, houses' },
    { value: 'viewer', title: 'viewer: look, comment, approve' },
];
const role = ref('maker');
const shown = ref<{ what: string; address: string }>();
const { data: people, error: unread } = useQuery({ queryKey: ['people'], queryFn: () => api.get<Person[]>('people') });
const { data: journal } = useQuery({ queryKey: ['journal'], queryFn: () => api.get<Deed[]>('journal'), staleTime: 0 });
const inviting = useChange(() => api.post<Secret>('people/invitations', { role: role.value }), 'journal');
const changing = useChange(({ id, to }: { id: number; to: string }) => api.put<Person>(`people/${id}`, { role: to }), 'people', 'journal');
const resetting = useChange((id: number) => api.post<Secret>(`people/${id}/reset`), 'journal');
const removing = useChange((id: number) => api.remove(`people/${id}`), 'people', 'journal');
const failed = computed(() => {
    const error = unread.value ?? inviting.error.value ?? changing.error.value ?? resetting.error.value ?? removing.error.value;
    return error ? said(error) : '';
});

const show = (what: string) => (answer: Secret) => {
    shown.value = { what, address: window.location.origin + answer.secret };
};
</script>

<template>
    <main class="page">
        <header class="page-head"><h1>People</h1><span class="small">who works in {{ me?.shop }}</span></header>
        <p v-if="failed" role="alert">{{ failed }}</p>
        <v-table density="compact">
            <thead><tr><th scope="col">Name</th><th scope="col">Signs in as</th><th scope="col">Role</th><th scope="col">Sign-in</th><th scope="col"><span class="sr">More</span></th></tr></thead>
            <tbody>
                <tr v-for="one in people ?? []" :key="one.id">
                    <td>{{ one.name }}</td><td class="measure">{{ one.login }}</td>
                    <td><v-select :model-value="one.role" :items="roles" :aria-label="`Role of ${one.name}`" @update:model-value="changing.mutate({ id: one.id, to: String($event) })" /></td>
                    <td>{{ one.password ? (one.codes ? 'password and code' : 'password') : 'link of this machine' }}</td>
                    <td class="ends"><v-btn size="small" variant="text" :aria-label="`Code for a new password for ${one.name}`" @click="resetting.mutate(one.id, { onSuccess: show(`${one.name} sets a new password here, within a day:`) })">new password</v-btn><v-btn v-if="one.login !== me?.login" size="small" variant="text" :aria-label="`Take ${one.name} out of the shop`" @click="removing.mutate(one.id)">take out</v-btn></td>
                </tr>
            </tbody>
        </v-table>
        <div class="invite"><v-select v-model="role" :items="roles" label="Invite somebody as" /><v-btn color="primary" variant="flat" :loading="inviting.isPending.value" @click="inviting.mutate(undefined, { onSuccess: show('Send this address to whom you invite; it works once, for a week:') })">Make an invitation</v-btn></div>
        <p v-if="shown" class="note" role="status">{{ shown.what }} <code class="measure secret">{{ shown.address }}</code></p>
        <h2>Journal</h2>
        <p v-if="journal?.length === 0" class="empty">Nothing has been done yet.</p>
        <v-table v-else density="compact">
            <thead><tr><th scope="col">When</th><th scope="col">Who</th><th scope="col">What</th><th scope="col">Where</th></tr></thead>
            <tbody><tr v-for="deed in journal ?? []" :key="deed.id"><td>{{ ago(deed.at) }}</td><td>{{ deed.who }}</td><td>{{ deed.what }}</td><td class="measure">{{ deed.where }}</td></tr></tbody>
        </v-table>
    </main>
</template>

<style>
.invite { display: flex; gap: 12px; align-items: center; max-width: 560px; }
.page .v-table { background: var(--card); border: 1px solid var(--hair); }
.page .v-table .v-select { min-width: 240px; padding: 4px 0; }
.ends { white-space: nowrap; }
</style>
