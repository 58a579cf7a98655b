<script setup lang="ts">
import { computed, ref } from 'vue';
import { useShop } from '../server/queries';
import { useGauges } from '../stores/gauges';
import { usePeg } from '../stores/peg';
import { useSheet } from '../stores/sheet';
import { useRights } from '../server/rights';
import RightsGroup from '../rights/RightsGroup.vue';
import type { Finding } from '../types';
import { groupsOf } from './grouping';

const sheet = useSheet();
const peg = usePeg();
const gauges = useGauges();
const shop = useShop();
const mark = { pass: '✓', warn: '!', fail: '✕' };
const saysMark = { pass: 'holds', warn: 'look at this', fail: 'does not hold' };
const showsHeld = ref(false);
/** Findings that need attention; the others are folded. */
const shown = computed(() => (showsHeld.value ? gauges.findings : gauges.findings.filter((finding) => counts(finding) || finding.group === 'cloth' || finding.key === gauges.open)));
const counts = (finding: Finding): boolean => finding.verdict !== 'pass' && finding.meant === '';
const isBlank = computed(() => sheet.artwork?.layers.length === 0);
const groups = computed(() => groupsOf(isBlank.value ? [] : shown.value, shop.catalogue?.groups ?? []));
const held = computed(() => gauges.findings.filter((finding) => !counts(finding)).length);
const { data: rights } = useRights(() => peg.hung ?? undefined);
const summary = computed(() => {
    const count = (verdict: string): number => gauges.findings.filter((finding) => finding.verdict === verdict && finding.meant === '').length;
    const ruled = (ruling: string): number => (rights.value?.pieces ?? []).filter((piece) => piece.ruling === ruling).length;
    return `${count('fail') + ruled('not-allowed')} fail · ${count('warn') + ruled('look') + (rights.value?.watched.length ?? 0)} to look at · ${held.value} hold`;
});

function choose(finding: Finding): void {
    gauges.open = gauges.open === finding.key ? null : finding.key;
    const cloth = sheet.artwork?.garments.findIndex((garment) => `vanish:${garment.name}` === finding.key) ?? -1;
    if (cloth >= 0) {
        peg.cloth = cloth;
    }
}
</script>

<template>
    <section class="gauges" aria-label="Gauges" :aria-busy="gauges.measuring">
        <header>
            <h2>Gauges</h2>
            <span class="small" role="status">{{ gauges.measuring ? 'measuring …' : gauges.report && !isBlank ? summary : '' }}</span>
            <div class="measuring" :class="{ busy: gauges.measuring }"></div>
        </header>
        <p v-if="isBlank" class="empty">Nothing to check yet: the gauges begin with the first line.</p>
        <p v-if="gauges.trouble" class="gauge-trouble" role="alert">{{ gauges.trouble }} <button type="button" class="token" @click="gauges.again()">Measure again</button></p>
        <button v-if="held && !isBlank" type="button" class="token gauges-held" :aria-expanded="showsHeld" @click="showsHeld = !showsHeld">{{ showsHeld ? 'show what needs a look alone' : `show the ${held} that hold` }}</button>
        <div v-for="group in groups" :key="group.name" class="gauge-group">
            <h3>{{ group.name }}</h3>
            <div v-for="finding in group.findings" :key="finding.key" class="gauge" :class="[finding.verdict, { open: gauges.open === finding.key }]">
                <button type="button" class="gauge-row" :aria-expanded="gauges.open === finding.key" @click="choose(finding)">
                    <span class="mark" :title="saysMark[finding.verdict]"><span aria-hidden="true">{{ mark[finding.verdict] }}</span><span class="sr">{{ saysMark[finding.verdict] }}: </span></span>
                    <span class="gauge-word">{{ finding.word }}</span>
                    <span class="measure gauge-figure">{{ finding.figure }}</span>
                </button>
                <div v-if="gauges.open === finding.key" class="gauge-more">
                    <p>{{ finding.says }}</p>
                    <p class="small measure">limit: {{ finding.limit }}</p>
                    <v-btn size="small" class="long" v-for="mend in finding.mends" :key="mend.says" @click="sheet.operate(...mend.operations)">{{ mend.says }}</v-btn>
                </div>
            </div>
        </div>
        <RightsGroup v-if="!isBlank" :revision="peg.hung ?? undefined" />
    </section>
</template>

<style>
.measuring { height: 2px; margin: 4px -10px 0; background: repeating-linear-gradient(90deg, var(--hair) 0 4px, transparent 4px 8px); }
.measuring.busy { background: var(--rust); }
.gauges header [role='status'] { display: block; min-height: 18px; line-height: 18px; white-space: nowrap; }
.gauges-held { margin: 6px 10px 0; }
.gauge-group h3 { padding: 8px 10px 2px; }
.gauge { border-bottom: 1px solid var(--hair); }
.gauge-row { display: grid; grid-template-columns: 16px minmax(0, 1fr) auto; gap: 4px; width: 100%; text-align: left; padding: 3px 10px; font-size: 12.5px; align-items: baseline; }
.gauge-row:hover, .gauge.open .gauge-row { background: var(--rust-wash); }
.gauge .mark { font-weight: 600; }
.gauge-word { overflow-wrap: anywhere; }
.gauge-figure { font-size: 11px; text-align: right; max-width: 122px; }
.gauge-more { padding: 4px 10px 10px 30px; font-size: 12.5px; display: grid; gap: 6px; justify-items: start; }
.where { fill: color-mix(in srgb, var(--rust) 28%, transparent); stroke: var(--rust); }
</style>
