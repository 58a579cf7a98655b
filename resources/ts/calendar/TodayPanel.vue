<script setup lang="ts">
import { computed } from 'vue';
import { day, useToday } from '../server/calendar';

/** Today's tasks: all in the calendar, one line elsewhere. */
const props = defineProps<{ oneLine?: boolean }>();
const { data: today } = useToday();
const late = computed(() => (today.value ?? []).filter((one) => one.late).length);
const first = computed(() => today.value?.[0]);
</script>

<template>
    <p v-if="props.oneLine && first" class="today-line" role="status"><span aria-hidden="true">{{ first.late ? '✕' : '!' }}</span> <router-link :to="first.to">{{ first.says }}</router-link><span class="small">, {{ day(first.on) }}</span><template v-if="(today?.length ?? 0) > 1"> · <router-link to="/calendar">{{ (today?.length ?? 1) - 1 }} more{{ late > 1 ? `, ${late} of all late` : '' }}</router-link></template></p>
    <section v-else-if="!props.oneLine" class="today" aria-labelledby="today-head">
        <h2 id="today-head">Today</h2>
        <p v-if="today?.length === 0" class="small">Nothing presses.</p>
        <ul><li v-for="one in today ?? []" :key="one.says" :class="{ late: one.late }"><span aria-hidden="true">{{ one.late ? '✕' : '!' }}</span> <router-link :to="one.to">{{ one.says }}</router-link> <span class="small measure">{{ day(one.on) }}</span></li></ul>
    </section>
</template>

<style>
.today-line { margin: 0 0 12px; padding: 8px 12px; border: 1px solid var(--hair); background: var(--card); }
.today li { padding: 3px 0; }
.today .late { color: var(--bad); }
</style>
