<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue';
import { VAutocomplete, VBtn, VFileInput, VForm, VNumberInput } from 'vuetify/components';
import { api } from '../api';
import { CALENDAR, day, kindWords } from '../server/calendar';
import { useFaults } from '../server/faults';
import { useChange } from '../server/queries';
import type { CalendarPage, EventsRead } from '../types';

/** Upcoming events, public and the seller's own, and the lead time for each kind. */
const props = defineProps<{ page: CalendarPage }>();
const own = reactive({ name: '', on: '', days: 1, rrule: '' });
const adding = useChange(() => api.post('calendar/events', own), ...CALENDAR);
const dropping = useChange((id: number) => api.remove(`calendar/events/${id}`), ...CALENDAR);
const fault = useFaults(adding.error, 'name', 'on', 'rrule');
const file = ref<File | File[] | null>(null);
const came = ref<EventsRead | null>(null);
const reading = useChange((one: File) => {
    const form = new FormData();
    form.set('file', one);
    return api.upload<EventsRead>('calendar/file', form);
}, ...CALENDAR);
const settings = reactive({ countries: [] as string[], lead: {} as Record<string, number>, ahead: {} as Record<string, number>, design: 1, gather: 1, aWeek: null as number | null });
watch(() => props.page, (page) => Object.assign(settings, { countries: [...page.countries], lead: Object.fromEntries(page.leads.map((one) => [one.kind, one.weeks])), ahead: Object.fromEntries(page.houses.map((one) => [one.house, one.weeks])), design: page.design, gather: page.gather, aWeek: page.isSaid ? page.aWeek : null }), { immediate: true });
const saving = useChange(() => api.put<CalendarPage>('calendar/settings', settings), ...CALENDAR);
const feed = useChange((on: boolean) => api.put<CalendarPage>('calendar/feed', { on }), 'calendar');
const named = new Intl.DisplayNames(['en'], { type: 'region' });
const countries = computed(() => props.page.known.map((value) => ({ value, title: named.of(value) ?? value })));
const trouble = useFaults(() => [dropping.error.value, reading.error.value, saving.error.value, feed.error.value].find((one) => one));

function take(): void {
    const one = [file.value].flat()[0];
    if (one) {
        reading.mutate(one, { onSuccess: (done) => (came.value = done) });
        file.value = null;
    }
}
</script>

<template>
    <section class="events" aria-labelledby="events-head">
        <h2 id="events-head">Days to come</h2>
        <ul class="events-list">
            <li v-for="one in page.occasions" :key="`${one.key} ${one.on}`"><span class="measure">{{ day(one.on) }}</span> <div>{{ one.name }}<span v-if="one.days > 1" class="small">, {{ one.days }} days</span><span v-if="one.ribbon" class="small">, {{ one.ribbon }} ribbon</span><small v-if="one.caution" class="events-caution">{{ one.caution }}</small><v-btn v-if="one.own" size="x-small" variant="text" :aria-label="`Take out ${one.name}`" @click="dropping.mutate(one.own)">take out</v-btn></div></li>
        </ul>
        <v-form class="events-form" @submit.prevent="adding.mutate(undefined, { onSuccess: () => Object.assign(own, { name: '', on: '', days: 1, rrule: '' }) })">
            <v-text-field v-model="own.name" label="A day of my own" maxlength="120" :error-messages="fault.of('name')" />
            <v-text-field v-model="own.on" type="date" label="First on" :error-messages="fault.of('on')" />
            <v-number-input v-model="own.days" label="Days long" :min="1" :max="366" control-variant="hidden" />
            <v-text-field v-model="own.rrule" label="Again by rule (RFC 5545), such as FREQ=YEARLY" maxlength="300" :error-messages="fault.of('rrule')" />
            <v-btn type="submit" :loading="adding.isPending.value">Add it</v-btn>
        </v-form>
        <div class="events-files"><v-file-input v-model="file" label="Take in a calendar (.ics)" accept=".ics,text/calendar" prepend-icon="" density="compact" variant="outlined" hide-details @update:model-value="take" /><v-btn href="/api/calendar/file.ics" download>My days as .ics</v-btn><v-btn @click="feed.mutate(true)">{{ page.feed ? 'A new address for the feed' : 'A feed of what is due' }}</v-btn><v-btn v-if="page.feed" variant="text" @click="feed.mutate(false)">Close the feed</v-btn></div>
        <p v-if="page.feed" class="small">Subscribe to <code>{{ page.feed }}</code>. Whoever has this address reads it: change it if it gets about.</p>
        <div v-if="came" role="status"><p>{{ came.taken }} taken in{{ came.known ? `, ${came.known} known already` : '' }}.</p><ul><li v-for="problem in came.problems" :key="problem">{{ problem }}</li></ul></div>
        <p v-if="fault.other || trouble.other" role="alert">{{ fault.other || trouble.other }}</p>
        <details>
            <summary><h3>How far ahead I work</h3></summary>
            <v-form class="events-leads" @submit.prevent="saving.mutate(undefined)">
                <v-autocomplete v-model="settings.countries" class="events-wide" label="Days of these countries" :items="countries" multiple chips closable-chips />
                <v-number-input v-for="one in page.leads" :key="one.kind" v-model="settings.lead[one.kind] as number" :label="`Weeks listed before ${kindWords[one.kind]}; usual are ${one.usual}`" :min="0" :max="52" control-variant="hidden" />
                <v-number-input v-for="one in page.houses" :key="one.house" v-model="settings.ahead[one.house] as number" :label="`Weeks more to list at ${one.name}`" :min="0" :max="26" control-variant="hidden" />
                <v-number-input v-model="settings.design" label="Weeks drawn before that" :min="0" :max="52" control-variant="hidden" />
                <v-number-input v-model="settings.gather" label="Weeks gathered before that" :min="0" :max="52" control-variant="hidden" />
                <v-number-input v-model="settings.aWeek" :label="`Designs a week; empty for the log's ${page.logged}`" :min="0.1" :max="500" :precision="null" control-variant="hidden" clearable />
                <v-btn type="submit" :loading="saving.isPending.value">Keep these</v-btn>
            </v-form>
        </details>
    </section>
</template>

<style>
.events { display: grid; gap: 10px; }
.events-list { columns: 3 260px; }
.events-list li { display: grid; grid-template-columns: 88px minmax(0, 1fr); column-gap: 8px; align-items: baseline; break-inside: avoid; padding: 2px 0; }
.events-list .measure { color: var(--faded); }
.events-caution { display: block; color: var(--warn); }
.events-form { display: grid; grid-template-columns: 1.2fr 150px 100px 1.6fr max-content; gap: 10px; align-items: start; }
.events-files { display: flex; flex-wrap: wrap; gap: 10px; align-items: center; }
.events-files .v-input { flex: 0 1 280px; }
.events summary h3 { display: inline; }
.events-leads { display: grid; grid-template-columns: repeat(3, minmax(0, 1fr)); gap: 10px; margin-top: 10px; align-items: start; }
.events-wide { grid-column: 1 / -1; }
.events code { overflow-wrap: anywhere; }
@media (max-width: 900px) { .events-form, .events-leads { grid-template-columns: 1fr; } }
</style>
