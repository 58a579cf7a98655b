<script setup lang="ts">
import { VBtn } from 'vuetify/components';
</script>

<template>
    <main class="page narrow">
        <h1>Nothing hangs here</h1>
        <p>This address leads to no page of the shop. It may be old, or a letter of it is wrong.</p>
        <p><v-btn to="/">To the jobs</v-btn></p>
    </main>
</template>
