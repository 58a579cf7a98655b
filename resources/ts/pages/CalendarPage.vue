<script setup lang="ts">
import { VBtn } from 'vuetify/components';
import { said } from '../api';
import EventsPanel from '../calendar/EventsPanel.vue';
import IdeaBox from '../calendar/IdeaBox.vue';
import PlanPicture from '../calendar/PlanPicture.vue';
import PlanTable from '../calendar/PlanTable.vue';
import ResultsPanel from '../calendar/ResultsPanel.vue';
import TodayPanel from '../calendar/TodayPanel.vue';
import { useCalendar } from '../server/calendar';

const { data: page, error, refetch } = useCalendar();
</script>

<template>
    <main class="page calendar-page">
        <header class="page-head"><h1>Calendar</h1><span class="small">from an event back to today</span></header>
        <p v-if="error" role="alert">{{ said(error) }} <v-btn size="small" @click="refetch()">Try again</v-btn></p>
        <TodayPanel />
        <v-progress-linear v-if="!page && !error" indeterminate color="primary" aria-label="The calendar is being read" />
        <template v-if="page"><PlanPicture v-if="page.plan.length" :page="page" /><PlanTable :page="page" /><EventsPanel :page="page" /><IdeaBox :page="page" /><ResultsPanel :page="page" /></template>
    </main>
</template>

<style>
.calendar-page { display: grid; gap: 20px; }
</style>
