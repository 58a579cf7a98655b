<script setup lang="ts">
import { computed, reactive } from 'vue';
import { useRouter } from 'vue-router';
import { VAutocomplete, VBtn, VForm, VSelect } from 'vuetify/components';
import { api, said } from '../api';
import { day, useIdeas } from '../server/calendar';
import { useFaults } from '../server/faults';
import { useChange, useShop } from '../server/queries';
import type { CalendarPage, IdeaCard } from '../types';

/** Ideas that can be made into jobs. */
const props = defineProps<{ page: CalendarPage }>();
const router = useRouter();
const { data: ideas, error: unread } = useIdeas();
const form = reactive({ words: '', event: '', niche: '', inspiredBy: '', link: '', asset: null as number | null });
const shop = useShop();
const pictures = computed(() => shop.assets.filter((asset) => asset.kind === 'art').map((asset) => ({ value: asset.id, title: asset.title })));
const told = (idea: IdeaCard): string => idea.words || (shop.assets.find((asset) => asset.id === idea.asset)?.title ?? idea.link);
const adding = useChange(() => api.post<IdeaCard>('ideas', form), 'ideas');
const dropping = useChange((id: number) => api.remove(`ideas/${id}`), 'ideas');
const promoting = useChange((id: number) => api.post<IdeaCard>(`ideas/${id}/job`), 'ideas', 'jobs');
const fault = useFaults(adding.error, 'words', 'asset', 'link');
const events = (): { value: string; title: string }[] => [...new Map(props.page.occasions.map((one) => [one.key, { value: one.key, title: one.name }])).values()];
const named = (key: string): string => props.page.occasions.find((one) => one.key === key)?.name ?? '';
const next = (key: string): string => { const on = props.page.occasions.find((one) => one.key === key)?.on; return on ? `, ${day(on)}` : ''; };
</script>

<template>
    <section class="ideas" aria-labelledby="ideas-head">
        <h2 id="ideas-head">Ideas</h2>
        <v-form class="ideas-form" @submit.prevent="adding.mutate(undefined, { onSuccess: () => Object.assign(form, { words: '', niche: '', inspiredBy: '', link: '', asset: null }) })">
            <v-text-field v-model="form.words" label="A line of words" maxlength="500" :error-messages="fault.of('words')" />
            <v-select :model-value="form.event || null" label="For" :items="events()" clearable @update:model-value="form.event = $event ?? ''" />
            <v-text-field v-model="form.niche" label="Whom it is for" maxlength="120" />
            <v-text-field v-model="form.inspiredBy" label="Inspired by, not a copy of" maxlength="300" />
            <v-autocomplete v-model="form.asset" label="A picture of the shelf" :items="pictures" clearable :error-messages="fault.of('asset')" />
            <v-text-field v-model="form.link" label="A link" maxlength="500" :error-messages="fault.of('link')" />
            <v-btn type="submit" :loading="adding.isPending.value">Keep the idea</v-btn>
        </v-form>
        <p class="small">What inspires is not copied: words, pictures and signs of others may be protected. Where in doubt, ask for legal advice.</p>
        <p v-if="fault.other" role="alert">{{ fault.other }}</p>
        <p v-if="unread || dropping.error.value || promoting.error.value" role="alert">{{ said(unread ?? dropping.error.value ?? promoting.error.value) }}</p>
        <ul>
            <li v-for="idea in ideas ?? []" :key="idea.id">
                <img v-if="idea.asset" class="ideas-art" :src="`/api/assets/${idea.asset}/preview.png`" alt="" width="40" height="40" loading="lazy" /><strong>{{ told(idea) }}</strong><a v-if="idea.link" class="small" :href="idea.link" target="_blank" rel="noopener noreferrer">{{ idea.link }}</a><span class="small">{{ named(idea.event) ? ` · ${named(idea.event)}${next(idea.event)}` : '' }}{{ idea.niche ? ` · ${idea.niche}` : '' }}{{ idea.inspiredBy ? ` · inspired by ${idea.inspiredBy}` : '' }}</span>
                <span class="ideas-acts"><router-link v-if="idea.job" :to="`/jobs/${idea.job}/build`">to its job</router-link><v-btn v-else size="small" :aria-label="`Make a job of: ${told(idea)}`" @click="promoting.mutate(idea.id, { onSuccess: (made) => router.push(`/jobs/${made.job}/build`) })">Make a job of it</v-btn><v-btn size="small" variant="text" :aria-label="`Throw away: ${told(idea)}`" @click="dropping.mutate(idea.id)">throw away</v-btn></span>
            </li>
        </ul>
        <p v-if="ideas?.length === 0" class="empty">No ideas are kept yet.</p>
    </section>
</template>

<style>
.ideas { display: grid; gap: 10px; }
.ideas-form { display: grid; grid-template-columns: repeat(4, minmax(0, 1fr)); gap: 10px; align-items: start; }
.ideas-form > :first-child { grid-column: span 2; }
.ideas-art { object-fit: contain; background: #e9e2d2; border: 1px solid var(--hair); }
.ideas li { display: flex; flex-wrap: wrap; gap: 10px; align-items: center; border-bottom: 1px solid var(--hair); padding: 5px 0; }
.ideas-acts { margin-left: auto; display: flex; gap: 6px; align-items: center; }
@media (max-width: 900px) { .ideas-form { grid-template-columns: minmax(0, 1fr); } .ideas-form > :first-child { grid-column: auto; } }
</style>
