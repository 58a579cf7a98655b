<script setup lang="ts">
import { useLocalStorage, usePreferredDark } from '@vueuse/core';
import { computed, watchEffect } from 'vue';
import { useRoute } from 'vue-router';
import { useTheme } from 'vuetify';
import { useMe } from './people/me';
import { useSheet } from './stores/sheet';

const route = useRoute();
const { me } = useMe();
const atDoor = computed(() => route.meta['door'] === true);
const sheet = useSheet();
const theme = useTheme();
const inJob = computed(() => route.path.startsWith('/jobs/'));
const stations = ['brief', 'gather', 'build', 'check', 'series', 'send'];
const light = useLocalStorage('light', usePreferredDark().value ? 'dark' : 'light');

watchEffect(() => {
    theme.change(light.value);
    document.documentElement.dataset['light'] = light.value;
});
</script>

<template>
    <v-app>
        <a class="skip" href="#work">Skip to the work</a>
        <header class="top">
            <router-link to="/" class="sign"><svg viewBox="0 0 32 32" aria-hidden="true"><path d="M5 29 17 17C13 17 11 13 13 9 15 5 20 4 23 7L29 9 24 11C25 16 22 20 18 21L14 29 12 24Z" /></svg>Tall Crow</router-link>
            <nav v-if="inJob" aria-label="Stations of this job">
                <router-link v-for="station in stations" :key="station" :to="`/jobs/${route.params['job']}/${station}`">{{ station[0]?.toUpperCase() }}{{ station.slice(1) }}</router-link>
            </nav>
            <nav v-else-if="!atDoor" aria-label="Shop"><router-link to="/">Jobs</router-link><router-link to="/calendar">Calendar</router-link><router-link to="/shelf">Shelf</router-link><router-link to="/licences">Licences</router-link><router-link to="/houses">Houses</router-link><router-link to="/transfers">Transfers</router-link><router-link to="/log">Log</router-link><router-link v-if="me?.role === 'owner'" to="/people">People</router-link></nav>
            <span v-if="inJob && sheet.job" class="top-job"><strong>{{ sheet.job.title }}</strong> <span class="small" role="status">{{ sheet.saving ? 'saving …' : sheet.saved ? 'saved' : 'not saved' }}</span></span>
            <router-link v-if="me && !atDoor" to="/account" class="who">{{ me.name }}</router-link>
            <button type="button" class="lamp" :aria-label="light === 'dark' ? 'Light room' : 'Dark room'" @click="light = light === 'dark' ? 'light' : 'dark'">{{ light === 'dark' ? '☀' : '☾' }}</button>
        </header>
        <div id="work" class="work"><router-view /></div>
    </v-app>
</template>
