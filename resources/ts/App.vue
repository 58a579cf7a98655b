<script setup lang="ts">
import { computed, ref, watchEffect } from 'vue';
import { useRoute } from 'vue-router';
import { useTheme } from 'vuetify';
import { useBench } from './stores/bench';

const route = useRoute();
const bench = useBench();
const theme = useTheme();
const inJob = computed(() => route.path.startsWith('/jobs/'));
const stations = ['brief', 'gather', 'build', 'send'];
const light = ref(window.localStorage.getItem('light') ?? (window.matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light'));

watchEffect(() => {
    theme.change(light.value);
    document.documentElement.dataset['light'] = light.value;
    window.localStorage.setItem('light', light.value);
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
            <nav v-else aria-label="Shop"><router-link to="/">Jobs</router-link><router-link to="/shelf">Shelf</router-link><router-link to="/houses">Houses</router-link></nav>
            <span v-if="inJob && bench.job" class="top-job"><strong>{{ bench.job.title }}</strong> <span class="small" role="status">{{ bench.saving ? 'saving …' : bench.saved ? 'saved' : 'not saved' }}</span></span>
            <button type="button" class="lamp" :aria-label="light === 'dark' ? 'Light room' : 'Dark room'" @click="light = light === 'dark' ? 'light' : 'dark'">{{ light === 'dark' ? '☀' : '☾' }}</button>
        </header>
        <div id="work" class="work"><router-view /></div>
    </v-app>
</template>
