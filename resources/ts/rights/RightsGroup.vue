<script setup lang="ts">
import { computed, ref } from 'vue';
import { said } from '../api';
import { useRights } from '../server/rights';
import type { JudgedPiece } from '../types';
import { NO_ADVICE, short, signs, tones } from './ruling';

/** The rights report of a design: one row for each font and picture, watch list hits, and cautions. */
const props = defineProps<{ revision: number | undefined; whole?: boolean }>();
const { data: rights, error, refetch } = useRights(() => props.revision);
const open = ref<string | null>(null);
const showsAllowed = ref(false);
const pieces = computed(() => (rights.value?.pieces ?? []).filter((piece) => props.whole || showsAllowed.value || piece.ruling !== 'allowed' || piece.file === open.value));
const fine = computed(() => (rights.value?.pieces ?? []).filter((piece) => piece.ruling === 'allowed').length);
const where = (piece: JudgedPiece): string => [piece.ways.join(', '), piece.layers.length ? `in ${piece.layers.slice(0, 3).join(', ')}` : '', piece.unaltered ? 'alone and as it came' : ''].filter(Boolean).join(' · ');
</script>

<template>
    <section v-if="rights || error" class="rights gauge-group" aria-label="Rights">
        <h3>Rights</h3>
        <p v-if="error" class="gauge-trouble" role="alert">{{ said(error) }} <button type="button" class="token" @click="refetch()">Ask again</button></p>
        <template v-if="rights">
            <p v-for="one in rights.turned" :key="one" class="rights-note" role="status">{{ one }}</p>
            <div v-for="piece in pieces" :key="piece.file" class="gauge" :class="[tones[piece.ruling], { open: open === piece.file }]">
                <button type="button" class="gauge-row" :aria-expanded="open === piece.file" @click="open = open === piece.file ? null : piece.file">
                    <span class="mark" :title="piece.says"><span aria-hidden="true">{{ signs[piece.ruling] }}</span><span class="sr">{{ piece.says }}: </span></span>
                    <span class="gauge-word">{{ piece.title }}</span>
                    <span class="measure gauge-figure">{{ short[piece.ruling] }}</span>
                </button>
                <div v-if="open === piece.file" class="gauge-more">
                    <p class="small">{{ where(piece) }}</p>
                    <p class="small">Licence: {{ piece.licenceName || 'none recorded' }}</p>
                    <p v-if="piece.reasons.length === 0">{{ piece.says }}.</p>
                    <div v-for="reason in piece.reasons" :key="reason.says" class="rights-reason">
                        <p><span :class="tones[reason.ruling]" class="mark" aria-hidden="true">{{ signs[reason.ruling] }}</span> {{ reason.says }}</p>
                        <blockquote v-if="reason.quote" class="small">“{{ reason.quote }}” <cite>{{ reason.clause }}</cite></blockquote>
                    </div>
                    <router-link class="token" :to="piece.licence ? `/licences?open=${piece.licence}` : `/shelf?q=${encodeURIComponent(piece.title)}`">{{ piece.licence ? 'See its terms and proofs' : 'Say under what it is held' }}</router-link>
                </div>
            </div>
            <div v-for="hit in rights.watched" :key="hit.phrase" class="gauge warn"><p class="rights-line"><span class="mark" aria-hidden="true">!</span> “{{ hit.found }}” is like “{{ hit.phrase }}”, of which this shop was warned{{ hit.on ? ` on ${hit.on}` : '' }}{{ hit.note ? `: ${hit.note}` : '' }}.</p></div>
            <div v-for="caution in rights.cautions" :key="caution.kind" class="gauge"><p class="rights-line small">{{ caution.says }} Look at: {{ caution.register }}.</p></div>
            <button v-if="fine && !whole" type="button" class="token gauges-held" :aria-expanded="showsAllowed" @click="showsAllowed = !showsAllowed">{{ showsAllowed ? 'fold what is allowed' : `${fine} allowed as stated` }}</button>
            <p class="small rights-line">{{ NO_ADVICE }}</p>
        </template>
    </section>
</template>

<style>
.rights-note { padding: 6px 10px; margin: 0; background: var(--rust-wash); font-size: 12.5px; }
.rights-line { margin: 0; padding: 5px 10px; font-size: 12.5px; }
.rights-line .mark { color: var(--warn); }
.rights-reason p { margin: 0; }
.rights-reason blockquote { margin: 2px 0 0 16px; color: var(--faded); }
.rights-reason cite { font-style: normal; white-space: nowrap; }
.rights .mark.fail { color: var(--bad); } .rights .mark.warn { color: var(--warn); } .rights .mark.pass { color: var(--good); }
</style>
