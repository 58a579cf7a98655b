<script setup lang="ts">
import { useElementVisibility } from '@vueuse/core';
import { computed, ref, useTemplateRef, watch } from 'vue';
import { VBtn } from 'vuetify/components';
import { useSmallPicture } from '../peg/useSmallPicture';
import type { SeriesRowCard } from '../types';

/** One shirt of a series; its picture is requested when it becomes visible. */
const props = defineProps<{ row: SeriesRowCard; cloth: string; ratio: number }>();
defineEmits<{ change: []; freeze: []; drop: [] }>();
const card = useTemplateRef<HTMLElement>('card');
const visible = useElementVisibility(card, { rootMargin: '200px' });
const seen = ref(false);
watch(visible, (now) => (seen.value ||= now), { immediate: true });
const shown = useSmallPicture(computed(() => `${props.row.id} ${props.row.key}`), computed(() => (seen.value ? `/api/series-rows/${props.row.id}/proof.png?ppi=14&of=${props.row.key}` : null)));
const mark: Record<string, string> = { pass: '✓', warn: '!', fail: '✕' };
const says: Record<string, string> = { pass: 'holds', warn: 'look at this', fail: 'does not hold' };
/** The verdict covers what this shirt adds; findings of the pattern are shown once for all. */
const verdict = computed(() => (props.row.verdict === 'pass' && props.row.told.some((one) => one.grave) ? 'no fault of its own' : says[props.row.verdict]));
</script>

<template>
    <li ref="card" class="row-card" :class="row.verdict">
        <figure :style="{ background: cloth, aspectRatio: String(1 / ratio) }"><img v-if="shown" :src="shown" :alt="row.title" /><span v-else-if="seen" class="small row-drawn">being drawn …</span></figure>
        <p class="row-title"><strong>{{ row.title }}</strong></p>
        <p class="row-verdict"><template v-if="row.verdict"><span aria-hidden="true">{{ mark[row.verdict] }}</span> {{ verdict }}</template><template v-else>being checked …</template><span v-if="row.frozen" class="small"> · frozen</span><span v-if="row.changes.length" class="small"> · changed</span></p>
        <p v-if="row.told[0]" class="small row-told" :title="row.told.map((one) => one.says).join('\n')">{{ row.told[0].says }}{{ row.told.length > 1 ? ` And ${row.told.length - 1} more.` : '' }}</p>
        <p class="row-acts"><v-btn size="x-small" :aria-label="`Change ${row.title}`" @click="$emit('change')">Change</v-btn><v-btn size="x-small" variant="text" :aria-label="`${row.frozen ? 'Let follow again' : 'Freeze'} ${row.title}`" @click="$emit('freeze')">{{ row.frozen ? 'follow again' : 'freeze' }}</v-btn><v-btn size="x-small" variant="text" :aria-label="`Take out ${row.title}`" @click="$emit('drop')">take out</v-btn></p>
    </li>
</template>

<style>
.row-card { border: 1px solid var(--hair); background: var(--card); padding: 8px; display: grid; gap: 4px; align-content: start; content-visibility: auto; contain-intrinsic-size: auto 330px; }
.row-card figure { margin: 0; display: grid; place-items: center; }
.row-drawn { padding: 1px 8px; background: var(--card); color: var(--ink); }
.row-card img { width: 100%; display: block; }
.row-card p { margin: 0; }
.row-title { overflow-wrap: anywhere; }
.row-card.fail .row-verdict { color: var(--bad); } .row-card.warn .row-verdict { color: var(--warn); } .row-card.pass .row-verdict { color: var(--good); }
.row-told { display: -webkit-box; -webkit-line-clamp: 3; -webkit-box-orient: vertical; overflow: hidden; }
.row-acts { display: flex; flex-wrap: wrap; gap: 4px; }
</style>
