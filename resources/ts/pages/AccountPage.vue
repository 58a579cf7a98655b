<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { ref } from 'vue';
import { VBtn, VCheckbox, VForm, VTable, VTextField } from 'vuetify/components';
import { api } from '../api';
import CodePicture from '../people/CodePicture.vue';
import { toTheDoor } from '../router';
import { changeHands, keep, useMe } from '../people/me';
import { useFaults } from '../server/faults';
import { useChange } from '../server/queries';
import type { CodeSetup, Me, Secret, TokenCard } from '../types';
import { ago } from '../words/lines';

const { me } = useMe();
const current = ref('');
const password = ref('');
const code = ref('');
const setup = ref<CodeSetup>();
const token = ref({ name: '', change: false });
const shown = ref('');
const { data: tokens } = useQuery({ queryKey: ['tokens'], queryFn: () => api.get<TokenCard[]>('me/tokens') });

const changing = useChange(() => api.put<Me>('me/password', { current: current.value, password: password.value }));
const preparing = useChange(() => api.post<CodeSetup>('me/codes', { current: current.value }));
const starting = useChange(() => api.put<Me>('me/codes', { code: code.value }));
const stopping = useChange(() => api.remove<Me>('me/codes', { current: current.value }));
const making = useChange(() => api.post<Secret>('me/tokens', { name: token.value.name, scopes: token.value.change ? ['look', 'change'] : ['look'] }), 'tokens');
const dropping = useChange((id: number) => api.remove(`me/tokens/${id}`), 'tokens');
const fault = useFaults(() => changing.error.value ?? preparing.error.value ?? stopping.error.value ?? starting.error.value, 'current', 'password', 'code');

function done(answer: Me): void {
    keep(answer);
    current.value = password.value = code.value = '';
    setup.value = undefined;
}

async function leave(everywhere: boolean): Promise<void> {
    await (everywhere ? api.post('me/sign-out-everywhere') : api.remove('session'));
    await toTheDoor();
    changeHands();
}
</script>

<template>
    <main v-if="me" class="page narrow">
        <header class="page-head"><h1>{{ me.name }}</h1><span class="small">{{ me.role }} of {{ me.shop }}, signs in as {{ me.login }}</span></header>
        <section class="room" aria-labelledby="leave">
            <h2 id="leave">Sign out</h2>
            <div class="row"><v-btn @click="leave(false)">Sign out here</v-btn><v-btn @click="leave(true)">Sign out everywhere</v-btn></div>
        </section>
        <section class="room" aria-labelledby="keys">
            <h2 id="keys">Password and codes</h2>
            <p v-if="fault.other" role="alert">{{ fault.other }}</p>
            <v-text-field v-if="me.password" v-model="current" label="Present password" type="password" autocomplete="current-password" :error-messages="fault.of('current')" />
            <v-form class="row" @submit.prevent="changing.mutate(undefined, { onSuccess: done })">
                <v-text-field v-model="password" :label="me.password ? 'New password' : 'Password'" type="password" autocomplete="new-password" :error-messages="fault.of('password')" hint="At least 12 characters" />
                <v-btn type="submit" color="primary" variant="flat" :loading="changing.isPending.value" :disabled="password === ''">{{ me.password ? 'Change it' : 'Set it' }}</v-btn>
            </v-form>
            <p v-if="me.codes">A code from your phone is asked for at each sign-in. <v-btn size="small" :loading="stopping.isPending.value" @click="stopping.mutate(undefined, { onSuccess: done })">Switch codes off</v-btn></p>
            <template v-else-if="setup">
                <p>Read this with the app of your phone that shows one-time codes, or type its letters there. Then type the code that it shows.</p>
                <CodePicture :text="setup.uri" />
                <p class="measure">{{ setup.secret.match(/.{4}/g)?.join(' ') }}</p>
                <v-form class="row" @submit.prevent="starting.mutate(undefined, { onSuccess: done })">
                    <v-text-field v-model="code" label="Code from your phone" inputmode="numeric" maxlength="6" autocomplete="one-time-code" :error-messages="fault.of('code')" />
                    <v-btn type="submit" color="primary" variant="flat" :loading="starting.isPending.value">Switch codes on</v-btn>
                </v-form>
            </template>
            <p v-else>Sign in by password alone. <v-btn size="small" :disabled="!me.password" :loading="preparing.isPending.value" @click="preparing.mutate(undefined, { onSuccess: (answer) => (setup = answer) })">Add codes from a phone</v-btn></p>
        </section>
        <section class="room" aria-labelledby="tokens">
            <h2 id="tokens">Tokens for scripts</h2>
            <p class="small">A token does what you may do in this shop, without a sign-in: to look, or also to change. Keep it as you keep a password.</p>
            <v-form class="row" @submit.prevent="making.mutate(undefined, { onSuccess: (answer) => { shown = answer.secret; token = { name: '', change: false }; } })">
                <v-text-field v-model="token.name" label="What it is for" maxlength="80" required />
                <v-checkbox v-model="token.change" label="may change" />
                <v-btn type="submit" :loading="making.isPending.value" :disabled="token.name === ''">Make a token</v-btn>
            </v-form>
            <p v-if="shown" class="note" role="status">Copy it now; it is not shown again: <code class="measure secret">{{ shown }}</code></p>
            <v-table v-if="tokens?.length" density="compact">
                <thead><tr><th scope="col">For</th><th scope="col">May</th><th scope="col">Made</th><th scope="col">Last used</th><th scope="col"><span class="sr">Take back</span></th></tr></thead>
                <tbody>
                    <tr v-for="one in tokens" :key="one.id"><td>{{ one.name }}</td><td>{{ one.scopes.join(', ') }}</td><td>{{ ago(one.madeAt) }}</td><td>{{ one.usedAt ? ago(one.usedAt) : 'never' }}</td><td><v-btn size="small" variant="text" :aria-label="`Take back ${one.name}`" @click="dropping.mutate(one.id)">take back</v-btn></td></tr>
                </tbody>
            </v-table>
        </section>
    </main>
</template>

<style>
.room { display: grid; gap: 12px; border: 1px solid var(--hair); background: var(--card); padding: 14px; }
.room .row { display: flex; gap: 12px; align-items: start; }
.room .row .v-text-field { min-width: 200px; }
.secret { user-select: all; overflow-wrap: anywhere; }
.room .v-table { background: transparent; }
</style>
