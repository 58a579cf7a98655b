<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue';
import { VBtn, VForm, VNumberInput, VSelect } from 'vuetify/components';
import { api, said } from '../api';
import { CALENDAR, day } from '../server/calendar';
import { useFaults } from '../server/faults';
import { useChange, useJobs } from '../server/queries';
import type { CalendarPage, PlannedCard } from '../types';

/** Planned designs with their due dates. */
const props = defineProps<{ page: CalendarPage }>();
const { data: jobs } = useJobs();
const form = reactive({ title: '', event: '', on: '', designs: 1, listWeeks: 6, job: null as number | null });
const events = computed(() => props.page.occasions.map((one) => ({ value: `${one.key} ${one.on}`, title: `${one.name}, ${day(one.on)}` })));
/** Where it will be listed: some marketplaces need more lead time. */
const market = ref<number | null>(null);
const more = computed(() => props.page.houses.find((one) => one.house === market.value)?.weeks ?? 0);
watch(more, (now, was) => (form.listWeeks = Math.min(52, Math.max(0, form.listWeeks + now - was))));
const chosen = computed({
    get: () => (form.event ? `${form.event} ${form.on}` : null),
    set: (value: string | null) => {
        const one = props.page.occasions.find((occasion) => `${occasion.key} ${occasion.on}` === value);
        Object.assign(form, one ? { event: one.key, on: one.on, listWeeks: Math.min(52, one.listWeeks + more.value), title: form.title || one.name } : { event: '' });
    },
});
const adding = useChange(() => api.post('plan', form), ...CALENDAR);
const changing = useChange((one: PlannedCard) => api.put(`plan/${one.id}`, { title: one.title, event: one.event, on: one.on, designs: one.designs, listWeeks: one.listWeeks, job: one.job, dropped: !one.dropped }), ...CALENDAR);
const dropping = useChange((id: number) => api.remove(`plan/${id}`), ...CALENDAR);
const fault = useFaults(adding.error, 'on', 'title');
const late = computed(() => props.page.plan.filter((one) => one.late));
const drop = computed(() => props.page.plan.filter((one) => one.drop));

function add(): void {
    adding.mutate(undefined, { onSuccess: () => Object.assign(form, { title: '', event: '', on: '', designs: 1, job: null }) });
}
</script>

<template>
    <section class="plan" aria-labelledby="plan-head">
        <h2 id="plan-head">The plan</h2>
        <p v-if="late.length" role="status" class="plan-late">{{ late.length }} of {{ page.plan.length }} cannot be listed in time: {{ late.map((one) => one.title).join(', ') }}. <template v-if="drop.length">Without {{ drop.map((one) => one.title).join(' and ') }} all the others can.</template></p>
        <v-form class="plan-form" @submit.prevent="add">
            <v-select v-model="chosen" label="For" :items="events" clearable />
            <v-text-field v-model="form.on" class="plan-day" type="date" label="Its day" :error-messages="fault.of('on')" />
            <v-text-field v-model="form.title" label="What is made" maxlength="200" :error-messages="fault.of('title')" />
            <v-number-input v-model="form.designs" label="Designs" :min="1" :max="2000" control-variant="hidden" />
            <v-number-input v-model="form.listWeeks" class="plan-weeks" label="Weeks listed before" :min="0" :max="52" control-variant="hidden" />
            <v-select v-if="page.houses.length" v-model="market" label="Listed at" :items="page.houses.map((one) => ({ value: one.house, title: one.name }))" clearable />
            <v-select v-model="form.job" label="Its job" :items="(jobs ?? []).map((one) => ({ value: one.id, title: one.title }))" clearable />
            <v-btn type="submit" :loading="adding.isPending.value">Plan it</v-btn>
        </v-form>
        <p v-if="fault.other" role="alert">{{ fault.other }}</p>
        <p v-if="changing.error.value || dropping.error.value" role="alert">{{ said(changing.error.value ?? dropping.error.value) }}</p>
        <div class="plan-scroll">
            <table v-if="page.plan.length">
                <thead><tr><th scope="col">What</th><th scope="col">Designs</th><th scope="col">Gather by</th><th scope="col">Draw by</th><th scope="col">List by</th><th scope="col">Its day</th><th scope="col">Done about</th><th scope="col"><span class="sr">What to do</span></th></tr></thead>
                <tbody>
                    <tr v-for="one in page.plan" :key="one.id" :class="{ late: one.late, dropped: one.dropped }">
                        <th scope="row"><router-link v-if="one.job" :to="`/jobs/${one.job}/build`">{{ one.title }}</router-link><template v-else>{{ one.title }}</template></th>
                        <td class="measure">{{ one.designs }}</td><td>{{ day(one.gatherBy) }}</td><td>{{ day(one.designBy) }}</td><td>{{ day(one.listBy) }}</td><td>{{ day(one.on) }}</td>
                        <td>{{ one.done ? 'listed' : one.dropped ? 'dropped' : one.ends ? day(one.ends) : '' }}<span v-if="one.late"> too late</span></td>
                        <td><v-btn size="small" variant="text" :aria-label="`${one.dropped ? 'Take up again' : 'Drop'} ${one.title}`" @click="changing.mutate(one)">{{ one.dropped ? 'take up again' : 'drop' }}</v-btn><v-btn size="small" variant="text" :aria-label="`Take ${one.title} out of the plan`" @click="dropping.mutate(one.id)">take out</v-btn></td>
                    </tr>
                </tbody>
            </table>
        </div>
        <p v-if="page.plan.length === 0" class="empty">Nothing is planned yet. Choose an event, and the days by which to gather, draw and list go back from it.</p>
    </section>
</template>

<style>
.plan { display: grid; gap: 10px; }
.plan-form { display: flex; flex-wrap: wrap; gap: 10px; align-items: flex-start; }
.plan-form > .v-input { flex: 1 1 130px; }
.plan-form > .v-number-input { flex: 0 1 96px; }
.plan-form > .plan-weeks { flex-basis: 138px; }
.plan-form > .plan-day { flex: 0 0 150px; }
.plan-scroll { overflow-x: auto; }
.plan table { border-collapse: collapse; width: 100%; }
.plan th, .plan td { text-align: left; font-weight: normal; padding: 5px 10px 5px 0; border-bottom: 1px solid var(--hair); white-space: nowrap; }
.plan thead th { color: var(--faded); font-size: 12px; }
.plan .late, .plan-late { color: var(--bad); }
.plan .dropped { color: var(--faded); text-decoration: line-through; }
</style>
