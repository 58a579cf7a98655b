<script setup lang="ts">
import { computed } from 'vue';
import { day } from '../server/calendar';
import type { CalendarPage } from '../types';

/** The next half year: designs due per week, compared with the weekly rate. */
const props = defineProps<{ page: CalendarPage }>();
const HIGH = 120;
const most = computed(() => Math.max(props.page.aWeek * 1.4, ...props.page.weeks.map((week) => Math.max(week.designs, week.due))));
const y = (designs: number): number => HIGH - (designs / most.value) * (HIGH - 8);
const stages: Record<string, string> = { gather: 'to gather', draw: 'at the bench', send: 'to send' };
const took = computed(() => props.page.hours.filter((one) => one.hours > 0).map((one) => `${one.hours.toFixed(1)} h ${stages[one.stage] ?? one.stage}`).join(', '));
const wide = computed(() => 20 * props.page.weeks.length);
</script>

<template>
    <figure class="plan-picture">
        <svg :viewBox="`0 0 ${wide} ${HIGH + 26}`" role="img" :aria-label="`Designs in each week; ${page.aWeek} are finished in one`">
            <g v-for="(week, i) in page.weeks" :key="week.monday">
                <rect :x="i * 20 + 3" :y="y(week.designs)" width="14" :height="HIGH - y(week.designs)" class="plan-work"><title>{{ day(week.monday) }}: {{ week.designs }} to do, {{ week.due }} to list</title></rect>
                <rect v-if="week.due" :x="i * 20 + 1" :y="y(week.due) - 2" width="18" height="3" class="plan-due"><title>{{ day(week.monday) }}: {{ week.due }} must be listed</title></rect>
                <text v-if="i % 4 === 0" :x="i * 20 + 2" :y="HIGH + 16" class="plan-label">{{ day(week.monday) }}</text>
            </g>
            <line x1="0" :x2="wide" :y1="y(page.aWeek)" :y2="y(page.aWeek)" class="plan-able" />
        </svg>
        <figcaption class="small">Bars: designs in each week, one after another. Marks: designs that must be listed in that week. Line: {{ page.aWeek }} a week get done{{ page.isSaid ? ', as you say' : ', by the log' }}.<template v-if="took"> By its traces a design takes {{ took }}.</template></figcaption>
    </figure>
</template>

<style>
.plan-picture { margin: 0; overflow-x: auto; }
.plan-picture svg { width: 100%; min-width: 560px; max-height: 240px; }
.plan-work { fill: var(--good); }
.plan-due { fill: var(--rust); }
.plan-able { stroke: var(--ink); stroke-dasharray: 4 3; }
.plan-label { font-size: 9px; fill: var(--faded); }
</style>
