<script setup lang="ts">
import { computed } from 'vue';
import { useBench } from '../stores/bench';
import type { Finding } from '../types';

const bench = useBench();
const mark = { pass: '✓', warn: '!', fail: '✕' };
const saysMark = { pass: 'holds', warn: 'look at this', fail: 'does not hold' };
const groups = computed(() => {
    const kinds: [string, (key: string) => boolean][] = [
        ['Sheet', (key) => ['sheet', 'edge', 'haze'].includes(key) || key.startsWith('trouble')],
        ['Pictures', (key) => key.startsWith('ppi') || key.startsWith('background')],
        ['Cloth', (key) => key.startsWith('vanish')],
        ['Wear', (key) => key.startsWith('wear') || key.startsWith('word:')],
        ['Composition', (key) => ['line:', 'order:', 'weight:'].some((kind) => key.startsWith(kind))],
    ];
    return kinds
        .map(([name, holds]) => ({ name, findings: (bench.report?.findings ?? []).filter((finding) => holds(finding.key)) }))
        .filter((group) => group.findings.length > 0);
});
const summary = computed(() => {
    const all = bench.report?.findings ?? [];
    const count = (verdict: string): number => all.filter((finding) => finding.verdict === verdict).length;
    return `${count('fail')} fail · ${count('warn')} to look at · ${count('pass')} hold`;
});

function label(finding: Finding): string {
    return finding.key.startsWith('ppi') ? `${finding.word}, resolution` : finding.key.startsWith('background') ? `${finding.word}, background` : finding.word;
}

function choose(finding: Finding): void {
    bench.finding = bench.finding === finding.key ? null : finding.key;
    const cloth = bench.artwork?.garments.findIndex((garment) => `vanish:${garment.name}` === finding.key) ?? -1;
    if (cloth >= 0) {
        bench.cloth = cloth;
    }
}
</script>

<template>
    <section class="gauges" aria-label="Gauges" :aria-busy="bench.measuring">
        <header>
            <h2>Gauges</h2>
            <span class="small measure" role="status">{{ bench.measuring ? 'measuring …' : bench.report ? summary : '' }}</span>
            <div class="measuring" :class="{ busy: bench.measuring }"></div>
        </header>
        <div v-for="group in groups" :key="group.name" class="gauge-group">
            <h3>{{ group.name }}</h3>
            <div v-for="finding in group.findings" :key="finding.key" class="gauge" :class="[finding.verdict, { open: bench.finding === finding.key }]">
                <button type="button" class="gauge-row" :aria-expanded="bench.finding === finding.key" @click="choose(finding)">
                    <span class="mark" :title="saysMark[finding.verdict]"><span aria-hidden="true">{{ mark[finding.verdict] }}</span><span class="sr">{{ saysMark[finding.verdict] }}: </span></span>
                    <span class="gauge-word">{{ label(finding) }}</span>
                    <span class="measure gauge-figure">{{ finding.figure }}</span>
                </button>
                <div v-if="bench.finding === finding.key" class="gauge-more">
                    <p>{{ finding.says }}</p>
                    <p class="small measure">limit: {{ finding.limit }}</p>
                    <button v-for="(mend, i) in finding.mends" :key="mend" type="button" class="plain-button" @click="bench.mend(finding.key, i)">{{ mend }}</button>
                </div>
            </div>
        </div>
    </section>
</template>
