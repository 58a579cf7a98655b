<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { said } from '../api';
import { useBench } from '../stores/bench';
import { useCatalogue } from '../stores/catalogue';

const route = useRoute();
const bench = useBench();
const shop = useCatalogue();
const failed = ref('');
const id = computed(() => Number(route.params['job']));

async function open(): Promise<void> {
    failed.value = '';
    try {
        await Promise.all([shop.load(), bench.open(id.value)]);
    } catch (error) {
        failed.value = said(error);
    }
}

onMounted(open);
watch(id, (now) => now && open());
</script>

<template>
    <div v-if="failed" class="page"><h1>This job could not be opened</h1><p role="alert">{{ failed }}</p><button type="button" class="plain-button" @click="open">Try again</button></div>
    <div v-else-if="!bench.artwork" class="page" role="status"><p>Opening the job …</p><v-progress-linear indeterminate color="primary" /></div>
    <template v-else>
        <div v-if="bench.stale" class="banner" role="alert">
            <span>{{ bench.stale }}</span>
            <button type="button" class="plain-button" @click="bench.loadNewer()">Load the newer sheet</button>
            <button type="button" class="plain-button quiet" @click="bench.keepMine()">Save mine as a step after it</button>
        </div>
        <div v-if="bench.trouble" class="banner" role="alert">
            <span>{{ bench.trouble }}</span>
            <button type="button" class="plain-button" @click="bench.retry()">Try again</button>
            <button type="button" class="plain-button quiet" @click="bench.trouble = null">Dismiss</button>
        </div>
        <router-view />
    </template>
</template>
