<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import { VBtn, VSelect, VSlider } from 'vuetify/components';
import { api, said } from '../api';
import { vFirst } from '../focus';
import RightsGroup from '../rights/RightsGroup.vue';
import { useChange, useVersions } from '../server/queries';
import { useSheet } from '../stores/sheet';
import type { BenchJob, Finding, KnownWord, Mend, Report } from '../types';
import { ago } from '../words/lines';

/** Examines a design as a print house would: the gravest findings first, each with its place, figure and correction. */
const sheet = useSheet();
const revision = computed(() => sheet.job?.revision);
const { data: report, error, isFetching, refetch } = useQuery({
    queryKey: ['closely', revision],
    queryFn: () => api.get<Report>(`revisions/${revision.value}/preflight?closely=1`),
    enabled: () => revision.value !== undefined,
    placeholderData: (before) => before,
});
const open = ref<string | null>(null);
const trying = ref<Mend | null>(null);
const cloth = ref(0);
const why = ref('');
const asks = ref(false);
const showsHeld = ref(false);

const findings = computed(() => report.value?.findings ?? []);
const counts = (finding: Finding): boolean => finding.verdict !== 'pass' && finding.meant === '';
const rank = (finding: Finding): number => (finding.meant !== '' ? 2 : finding.verdict === 'fail' ? 0 : 1);
const told = computed(() => findings.value.filter((finding) => finding.verdict !== 'pass').sort((a, b) => rank(a) - rank(b)));
const held = computed(() => findings.value.filter((finding) => finding.verdict === 'pass'));
/** In the same words as on the bench. */
const summary = computed(() => {
    const count = (verdict: Finding['verdict']): number => findings.value.filter((finding) => counts(finding) && finding.verdict === verdict).length;

    return `${count('fail')} fail · ${count('warn')} to look at · ${held.value.length} hold`;
});
const chosen = computed(() => findings.value.find((finding) => finding.key === open.value));
const garments = computed(() => sheet.artwork?.garments ?? []);
const page = computed(() => sheet.artwork?.sheet);
const inches = computed(() => (page.value ? { width: page.value.width / page.value.ppi, height: page.value.height / page.value.ppi } : { width: 1, height: 1 }));
const picture = computed(() => `/api/revisions/${revision.value}/proof.png?ppi=60`);
const mark = { pass: '✓', warn: '!', fail: '✕' };
const saysMark = { pass: 'holds', warn: 'look at this', fail: 'does not hold' };

/** The point of the close-up chosen by the seller, in inches; null to use the finding's. */
const pointed = ref<{ x: number; y: number } | null>(null);
const middle = computed(() => {
    const box = (chosen.value ?? told.value.find((finding) => finding.where.length > 0))?.where[0];
    return pointed.value ?? (box ? { x: box.left + box.width / 2, y: box.top + box.height / 2 } : { x: inches.value.width / 2, y: inches.value.height / 2 });
});
/** Two inches around that point, at the print's resolution and within the sheet. */
const close = computed(() => {
    const ppi = page.value?.ppi ?? 300;
    const side = Math.min(600, page.value?.width ?? 600, page.value?.height ?? 600);
    const at = (inch: number, most: number): number => Math.round(Math.max(0, Math.min(most - side, inch * ppi - side / 2)));
    return { ppi, left: at(middle.value.x, page.value?.width ?? side), top: at(middle.value.y, page.value?.height ?? side), side };
});
const part = computed(() => `ppi=${close.value.ppi}&left=${close.value.left}&top=${close.value.top}&width=${close.value.side}&height=${close.value.side}`);

/** Screen reader announcement of the position after arrow keys. */
const moved = ref('');

function look(event: MouseEvent): void {
    // A press of Enter or the space bar has no position.
    if (event.detail > 0) {
        const box = (event.currentTarget as HTMLElement).getBoundingClientRect();
        pointed.value = { x: ((event.clientX - box.left) / box.width) * inches.value.width, y: ((event.clientY - box.top) / box.height) * inches.value.height };
    }
}

const inch = (pixels: number): string => `${(pixels / close.value.ppi).toFixed(1)} in`;

function lookOn(event: KeyboardEvent): void {
    const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    if (way) {
        event.preventDefault();
        const { ppi, left, top, side } = close.value;
        pointed.value = { x: (left + side / 2) / ppi + (way[0] ?? 0), y: (top + side / 2) / ppi + (way[1] ?? 0) };
        moved.value = `Seen at 1 : 1 about ${inch(close.value.left + side / 2)} from the left and ${inch(close.value.top + side / 2)} from the top`;
    }
}
const loupe = computed(() => `/api/revisions/${revision.value}/proof.png?${part.value}`);
const pressed = computed(() => `/api/revisions/${revision.value}/pressed.png?${part.value}&cloth=${cloth.value}`);
/** Percentage of the loupe that shows the art; the rest shows the press simulation. */
const split = ref(50);
const tried = computed(() => (trying.value ? `/api/revisions/${revision.value}/mended.png?operations=${encodeURIComponent(JSON.stringify(trying.value.operations))}` : null));
const wholeTried = computed(() => (tried.value ? `${tried.value}&ppi=60` : null));
const loupeTried = computed(() => (tried.value ? `${tried.value}&${part.value}` : null));

/** An older revision to compare with the current one. */
const older = ref<number | null>(null);
const { data: versions } = useVersions(() => sheet.job?.id, revision);
const states = computed(() => (versions.value ?? []).filter((one) => !one.current).map((one) => ({ value: one.revision, title: `state ${one.number}, ${ago(one.at)}${one.who ? ` by ${one.who}` : ''}` })));
const beside = computed(() => states.value.find((one) => one.value === older.value)?.title);

/** The word unknown to the spelling check. */
const unknown = (finding: Finding): string | undefined => /^spelling:(.+)$/.exec(finding.key)?.[1];
const learning = useChange((word: string) => api.post<KnownWord>('words', { word }), 'closely', 'report');

const pictures = computed(() => [
    { key: 'now', src: picture.value, alt: `The design on ${garments.value[cloth.value]?.name ?? 'cloth'}`, says: 'as it is' },
    ...(trying.value ? [{ key: 'mended', src: wholeTried.value ?? picture.value, alt: 'The design as the mend would leave it', says: trying.value.says }] : []),
    ...(beside.value && !trying.value ? [{ key: 'older', src: `/api/revisions/${older.value}/proof.png?ppi=60`, alt: 'The design as it was', says: beside.value }] : []),
]);

const router = useRouter();
const starting = useChange((from: number) => api.post<BenchJob>(`jobs/${sheet.job?.id}/versions/${from}/copy`, {}), 'jobs');

function start(from: number): void {
    // Ignored if another page has been opened meanwhile.
    starting.mutate(from, { onSuccess: (copy) => void router.push(`/jobs/${copy.id}/build`) });
}

async function goBack(): Promise<void> {
    if (older.value !== null) {
        await sheet.goBackTo(older.value);
        older.value = null;
    }
}

watch(open, () => {
    trying.value = null;
    pointed.value = null;
    asks.value = false;
    why.value = '';
    const index = garments.value.findIndex((garment) => `vanish:${garment.name}` === open.value);
    if (index >= 0) {
        cloth.value = index;
    }
});

async function mend(one: Mend): Promise<void> {
    trying.value = null;
    await sheet.operate(...one.operations);
}

async function meanSo(finding: Finding, word: string): Promise<void> {
    asks.value = false;
    await sheet.operate({ op: 'mean-so', key: finding.key, why: word });
}
</script>

<template>
    <main class="check">
        <section class="check-list" aria-label="Findings">
            <header>
                <h1>Check</h1>
                <p class="small" role="status">{{ isFetching ? 'examining the print …' : summary }}</p>
                <v-progress-linear v-if="isFetching" indeterminate color="primary" height="2" aria-label="The print is being examined" />
            </header>
            <p v-if="error" role="alert" class="gauge-trouble">{{ said(error) }} <button type="button" class="token" @click="refetch()">Examine again</button></p>
            <p v-else-if="report && told.length === 0" class="check-fine">Nothing to object to. {{ held.length }} gauges hold.</p>
            <ul class="check-findings">
                <li v-for="finding in told" :key="finding.key" :class="finding.meant ? 'meant' : finding.verdict">
                    <button type="button" class="check-row" :aria-expanded="open === finding.key" @click="open = open === finding.key ? null : finding.key">
                        <span class="mark"><span aria-hidden="true">{{ finding.meant ? '~' : mark[finding.verdict] }}</span><span class="sr">{{ finding.meant ? 'meant so' : saysMark[finding.verdict] }}: </span></span>
                        <span>{{ finding.word }}</span>
                        <span class="measure small">{{ finding.figure }}</span>
                    </button>
                    <div v-if="open === finding.key" class="check-more">
                        <p>{{ finding.says }}</p>
                        <p class="small measure">limit: {{ finding.limit }}</p>
                        <p v-if="finding.meant" class="small">Meant so: {{ finding.meant }} <button type="button" class="token" @click="meanSo(finding, '')">count it again</button></p>
                        <template v-else>
                            <div v-for="one in finding.mends" :key="one.says" class="check-mend">
                                <v-btn size="small" class="long" variant="flat" color="primary" @click="mend(one)">{{ one.says }}</v-btn>
                                <v-btn size="small" :aria-pressed="trying === one" @click="trying = trying === one ? null : one">{{ trying === one ? 'Hide what it would do' : 'Show what it would do' }}</v-btn>
                            </div>
                            <v-btn v-if="unknown(finding)" size="small" class="long" :loading="learning.isPending.value" @click="learning.mutate(unknown(finding) ?? '')">Keep "{{ unknown(finding) }}" as a word of this shop</v-btn>
                            <p v-if="learning.error.value && unknown(finding)" role="alert" class="small">{{ said(learning.error.value) }}</p>
                            <form v-if="asks" class="check-why" @submit.prevent="meanSo(finding, why)">
                                <v-text-field v-model="why" v-first label="Why is it meant so?" :maxlength="200" hide-details density="compact" />
                                <v-btn type="submit" size="small" :disabled="why.trim() === ''">Keep</v-btn>
                            </form>
                            <button v-else type="button" class="token" @click="asks = true">it is meant so …</button>
                        </template>
                    </div>
                </li>
            </ul>
            <button v-if="held.length" type="button" class="token check-held" :aria-expanded="showsHeld" @click="showsHeld = !showsHeld">{{ held.length }} hold</button>
            <ul v-if="showsHeld" class="check-findings held">
                <li v-for="finding in held" :key="finding.key" class="pass"><span class="check-row"><span class="mark">✓</span><span>{{ finding.word }}</span><span class="measure small">{{ finding.figure }}</span></span></li>
            </ul>
            <RightsGroup :revision="revision" />
            <p class="check-report"><a :href="`/api/revisions/${revision}/report.html`" target="_blank" rel="noopener">Open the report to print or send</a> · <a :href="`/api/revisions/${revision}/report.pdf`" download>as PDF</a></p>
        </section>
        <section class="check-cloth" aria-label="The design on its cloth">
            <div class="check-bar">
                <div class="check-garments" role="group" aria-label="Cloth">
                    <button v-for="(garment, i) in garments" :key="garment.name" type="button" class="check-garment" :aria-pressed="cloth === i" @click="cloth = i"><i :style="{ background: garment.colour }"></i>{{ garment.name }}</button>
                </div>
                <v-select v-if="states.length" v-model="older" class="check-older" :items="states" label="Beside an older state" clearable />
            </div>
            <p v-if="starting.error.value" role="alert" class="small">{{ said(starting.error.value) }}</p>
            <div class="check-pictures" :class="{ two: pictures.length > 1 }">
                <figure v-for="one in pictures" :key="one.key">
                    <div class="check-piece" :style="{ background: garments[cloth]?.colour, aspectRatio: `${inches.width} / ${inches.height}` }">
                        <img :src="one.src" :alt="one.alt" />
                        <svg v-if="one.key === 'now'" :viewBox="`0 0 ${inches.width} ${inches.height}`" aria-hidden="true">
                            <rect v-for="(box, i) in chosen?.where ?? []" :key="i" :x="box.left" :y="box.top" :width="box.width" :height="box.height" />
                            <rect v-for="under in [true, false]" :key="`${under}`" class="check-close" :class="{ under }" :x="close.left / close.ppi" :y="close.top / close.ppi" :width="close.side / close.ppi" :height="close.side / close.ppi" />
                        </svg>
                        <button v-if="one.key === 'now'" type="button" class="check-look" aria-label="The place that is seen at 1 : 1; arrow keys move it by an inch" title="Press where you want to look closely" @click="look" @keydown="lookOn"></button>
                        <span v-if="one.key === 'now'" role="status" class="d-sr-only">{{ moved }}</span>
                    </div>
                    <figcaption v-if="pictures.length > 1" class="small">{{ one.says }} <v-btn v-if="one.key === 'older'" size="small" @click="goBack()">Go back to this state</v-btn> <v-btn v-if="one.key === 'older'" size="small" :loading="starting.isPending.value" @click="start(older ?? 0)">Start a new job from it</v-btn></figcaption>
                </figure>
            </div>
            <div v-if="garments.length" class="check-loupes">
                <figure>
                    <div class="check-press" :style="{ background: garments[cloth]?.colour }">
                        <img :src="pressed" alt="The place as a house would print it" />
                        <img :src="loupe" alt="The place in the print's own pixels" :style="{ clipPath: `inset(0 ${100 - split}% 0 0)`, background: garments[cloth]?.colour }" />
                        <i :style="{ left: `${split}%` }"></i>
                    </div>
                    <div class="small check-split">art <v-slider v-model="split" min="0" max="100" step="1" density="compact" hide-details color="primary" aria-label="how much shows the art, the rest the press" /> as it would print</div>
                    <figcaption class="small">Two inches at 1 : 1. White goes under all ink of dark cloth; ink spreads a little; hairlines are lost. By common practice, not a proof of one press.</figcaption>
                </figure>
                <figure v-if="loupeTried"><img :src="loupeTried" alt="The same place as the mend would leave it" :style="{ background: garments[cloth]?.colour }" /><figcaption class="small">with the mend</figcaption></figure>
            </div>
        </section>
    </main>
</template>

<style>
.check { display: grid; grid-template-columns: 400px minmax(0, 1fr); height: 100%; min-height: 0; }
.check-list { border-right: 1px solid var(--ink); background: var(--card); overflow: auto; padding-bottom: 20px; }
.check-list header { padding: 8px 14px; border-bottom: 2px dotted var(--hair); }
.check-list h1 { font-size: 17px; margin: 0; }
.check-findings { list-style: none; margin: 0; padding: 0; }
.check-findings li { border-bottom: 1px solid var(--hair); }
.check-row { display: grid; grid-template-columns: 18px minmax(0, 1fr) auto; gap: 6px; width: 100%; text-align: left; padding: 8px 14px; align-items: baseline; min-height: 36px; }
button.check-row:hover, .check-row[aria-expanded=true] { background: var(--rust-wash); }
.check-findings .fail .mark { color: var(--bad); font-weight: 600; }
.check-findings .warn .mark { color: var(--rust); font-weight: 600; }
.check-findings .meant { color: var(--faded); }
.check-more { display: grid; gap: 8px; padding: 4px 14px 14px 38px; justify-items: start; }
.check-more p { margin: 0; }
.check-mend { display: flex; flex-wrap: wrap; gap: 8px; }
.check-why { display: flex; gap: 8px; width: 100%; align-items: center; }
.check-held { margin: 10px 14px; }
.check-report, .check-fine { padding: 8px 14px; margin: 0; }
.check-cloth { overflow: auto; padding: 14px 20px; }
.check-bar { min-height: 40px; display: flex; flex-wrap: wrap; gap: 8px 16px; align-items: center; margin-bottom: 12px; }
.check-garments { display: flex; flex-wrap: wrap; gap: 8px; flex: 1 1 auto; }
.check-older { flex: 0 1 280px; }
.check-garment { display: inline-flex; align-items: center; gap: 8px; min-height: 30px; padding: 2px 10px 2px 4px; border: 1px solid var(--hair); background: var(--card); }
.check-garment[aria-pressed=true] { border-color: var(--ink); outline: 1px solid var(--ink); }
.check-garment i { width: 24px; height: 22px; border: 1px solid var(--hair); }
.check-pictures { display: grid; gap: 16px; grid-template-columns: minmax(0, 560px); }
.check-pictures.two { grid-template-columns: minmax(0, 1fr) minmax(0, 1fr); }
.check figure { margin: 0; }
.check-piece { position: relative; border: 1px solid var(--hair); }
.check-piece img { position: absolute; inset: 0; width: 100%; height: 100%; }
.check-piece svg { position: absolute; inset: 0; width: 100%; height: 100%; pointer-events: none; }
.check-piece rect { fill: none; stroke: #ff00c8; stroke-width: 2; vector-effect: non-scaling-stroke; }
.check-piece .check-close { stroke: #fff; stroke-width: 1; stroke-dasharray: 4 4; }
.check-piece .check-close.under { stroke: #000; stroke-dasharray: none; }
.check-look { position: absolute; inset: 0; width: 100%; height: 100%; cursor: zoom-in; }
.check-loupes { display: flex; flex-wrap: wrap; gap: 16px; margin-top: 16px; }
.check-press { position: relative; width: 380px; max-width: 100%; aspect-ratio: 1; border: 1px solid var(--hair); overflow: hidden; }
.check .check-press img { position: absolute; inset: 0; width: 100%; height: 100%; border: 0; image-rendering: auto; }
.check-press i { position: absolute; top: 0; bottom: 0; width: 2px; margin-left: -1px; background: #ff00c8; }
.check-split { display: flex; gap: 8px; align-items: center; width: 380px; max-width: 100%; }
.check-loupes figcaption { max-width: 380px; }
.check-loupes img { width: 380px; max-width: 100%; display: block; image-rendering: pixelated; border: 1px solid var(--hair); }
@media (max-width: 900px) { .check { grid-template-columns: minmax(0, 1fr); height: auto; } .check-list { border-right: 0; } }
</style>
