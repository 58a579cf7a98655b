<script setup lang="ts">
import { onMounted, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { VBtn, VForm, VTextField } from 'vuetify/components';
import { api, Refused } from '../api';
import { vFirst } from '../focus';
import { changeHands } from '../people/me';
import { useFaults } from '../server/faults';
import type { Me } from '../types';

const { way } = defineProps<{ way: 'sign-in' | 'enter' | 'join' | 'reset' }>();

const route = useRoute();
const router = useRouter();
const form = ref({ name: '', login: '', password: '', code: '' });
const refused = ref<unknown>();
const busy = ref(false);
const asksCode = ref(false);
const heads = { 'sign-in': 'Sign in', enter: 'Opening the shop', join: 'Join the shop', reset: 'A new password' };
const paths = { 'sign-in': 'session', enter: 'session/enter', join: 'session/join', reset: 'session/reset' };
const fault = useFaults(refused, 'name', 'login', 'password', 'code');

async function submit(): Promise<void> {
    busy.value = true;
    refused.value = undefined;
    try {
        const { name, login, password, code } = form.value;
        const pass = route.params['pass'];
        const body = way === 'enter' ? { pass } : way === 'sign-in' ? { login, password, code } : { pass, login, password, ...(way === 'join' ? { name } : {}) };
        changeHands(await api.post<Me>(paths[way], body));
        const to = route.query['to'];
        await router.replace(typeof to === 'string' && /^\/(?!\/)/.test(to) ? to : '/');
    } catch (error) {
        refused.value = error;
        asksCode.value ||= error instanceof Refused && error.code;
    } finally {
        busy.value = false;
    }
}

onMounted(() => way === 'enter' && submit());
</script>

<template>
    <main class="page door">
        <h1>{{ heads[way] }}</h1>
        <p v-if="fault.other" role="alert">{{ fault.other }}</p>
        <p v-if="way === 'enter'" role="status">{{ busy ? 'One moment …' : refused ? 'To make a new link, start the shop again or run: bin/artisan crow:link' : '' }}</p>
        <v-form v-else class="door-form" @submit.prevent="submit">
            <v-text-field v-if="way === 'join'" v-first v-model="form.name" label="Your name" autocomplete="name" maxlength="80" required :error-messages="fault.of('name')" />
            <v-text-field v-first="way !== 'join'" v-model="form.login" label="Sign-in name" autocomplete="username" autocapitalize="off" maxlength="120" required :error-messages="fault.of('login')" />
            <v-text-field v-model="form.password" label="Password" type="password" :autocomplete="way === 'sign-in' ? 'current-password' : 'new-password'" maxlength="200" required :error-messages="fault.of('password')" :hint="way === 'sign-in' ? '' : 'At least 12 characters; four or five words in a row are easy to keep in mind.'" />
            <v-text-field v-if="asksCode" v-first v-model="form.code" label="Code from your phone" inputmode="numeric" autocomplete="one-time-code" maxlength="6" :error-messages="fault.of('code')" />
            <v-btn type="submit" color="primary" variant="flat" :loading="busy">{{ way === 'sign-in' ? 'Sign in' : way === 'join' ? 'Join' : 'Set it and sign in' }}</v-btn>
        </v-form>
        <p v-if="way === 'sign-in'" class="small">Forgotten? An owner of the shop can give you a code. On the shop's own machine, <span class="measure">bin/artisan crow:link</span> makes a link that opens it once.</p>
    </main>
</template>

<style>
.page.door { max-width: 420px; padding-top: 9vh; }
.door-form { display: grid; gap: 16px; }
</style>
