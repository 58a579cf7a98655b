<script setup lang="ts">
import { useRouter } from 'vue-router';
import BriefForm from './BriefForm.vue';

const router = useRouter();
</script>

<template>
    <main class="page brief-page"><h1>New job</h1><BriefForm @done="router.push(`/jobs/${$event.id}/build`)" /></main>
</template>
