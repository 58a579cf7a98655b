<script setup lang="ts">
import { computed } from 'vue';
import { useResults } from '../server/calendar';
import type { CalendarPage } from '../types';

/** Shirts sold this year beside last year's. */
const props = defineProps<{ page: CalendarPage }>();
const { data: lines } = useResults();
const heads: Record<string, string> = { design: 'By design', event: 'By event', cloth: 'By cloth', house: 'By house' };
const groups = computed(() => Object.keys(heads).map((by) => {
    const of = (lines.value ?? []).filter((line) => line.by === by).slice(0, 12);
    return { by, lines: of, hours: of.some((line) => line.hours > 0) };
}).filter((group) => group.lines.length));
const named = (by: string, name: string): string => (by === 'event' ? (props.page.occasions.find((one) => one.key === name)?.name ?? name.replaceAll('-', ' ')) : name);
</script>

<template>
    <section class="results" aria-labelledby="results-head">
        <h2 id="results-head">What was sold</h2>
        <p v-if="lines?.length === 0" class="small">Nothing is counted yet: sales are entered or read under Licences.</p>
        <p v-if="lines?.some((line) => line.hours)" class="small">Hours are reckoned from the traces of the work: saved steps and files made, up to a quarter of an hour from one to the next.</p>
        <div class="results-groups">
            <table v-for="group in groups" :key="group.by">
                <caption>{{ heads[group.by] }}</caption>
                <thead><tr><th scope="col">Name</th><th scope="col">this year</th><th scope="col">last year</th><template v-if="group.hours"><th scope="col">hours</th><th scope="col">an hour earned</th></template></tr></thead>
                <tbody><tr v-for="line in group.lines" :key="line.name"><th scope="row">{{ named(line.by, line.name) }}</th><td class="measure">{{ line.thisYear }}</td><td class="measure">{{ line.lastYear }}</td><template v-if="group.hours"><td class="measure">{{ line.hours ? line.hours.toFixed(1) : '' }}</td><td class="measure">{{ line.hours ? `${(line.thisYear / line.hours).toFixed(1)} shirts` : '' }}</td></template></tr></tbody>
            </table>
        </div>
    </section>
</template>

<style>
.results-groups { display: grid; grid-template-columns: repeat(auto-fill, minmax(min(100%, 330px), 1fr)); gap: 14px; align-items: start; }
.results table { border-collapse: collapse; }
.results caption { text-align: left; font-weight: 600; }
.results th, .results td { text-align: left; font-weight: normal; padding: 3px 10px 3px 0; border-bottom: 1px solid var(--hair); }
.results thead th { color: var(--faded); font-size: 12px; }
</style>
