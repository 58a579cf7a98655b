<script setup lang="ts">
import { computed } from 'vue';
import { VSlider } from 'vuetify/components';
import { proofUrl } from '../api';
import { usePicture } from '../peg/useProof';
import { useGauges } from '../stores/gauges';
import { GROUND, usePeg } from '../stores/peg';
import { useSheet } from '../stores/sheet';

const sheet = useSheet();
const peg = usePeg();
const gauges = useGauges();
const small = usePicture(computed(() => (peg.hung === null ? null : proofUrl(peg.hung, 12))));
const found = computed(() => new Map(gauges.findings.filter((finding) => finding.key.startsWith('vanish:')).map((finding) => [finding.key.slice(7), finding])));
const ground = computed(() => `rgb(${Array(3).fill(Math.round((peg.tone * 255) / 100)).join()})`);
const isBlank = computed(() => sheet.artwork?.layers.length === 0);
/** What is lost on a cloth; nothing can be on a blank sheet. */
function lost(name: string): string {
    const finding = found.value.get(name);
    return isBlank.value ? '' : finding ? `${mark[finding.verdict]} ${finding.figure}` : '…';
}
const mark = { pass: '✓', warn: '!', fail: '✕' };
</script>

<template>
    <section class="rail" aria-label="Garment colours on offer">
        <button
            v-for="(garment, i) in sheet.artwork?.garments ?? []" :key="garment.name" type="button" class="rail-cloth" :aria-pressed="peg.garment?.name === garment.name"
            @click="peg.cloth = i"
        >
            <span class="rail-art" :style="{ background: garment.colour }"><img v-if="small.shown.value" :src="small.shown.value" alt="" /></span>
            <span class="rail-name">{{ garment.name }}</span>
            <span class="measure rail-lost" :class="found.get(garment.name)?.verdict">{{ lost(garment.name) }}</span>
        </button>
        <div class="rail-cloth" :class="{ held: peg.cloth === GROUND }">
            <button type="button" class="rail-ground" :aria-pressed="peg.cloth === GROUND" title="Look at the art before a plain ground" @click="peg.cloth = GROUND">
                <span class="rail-art" :style="{ background: ground }"><img v-if="small.shown.value" :src="small.shown.value" alt="" /></span>
                <span class="rail-name">Plain ground</span>
            </button>
            <v-slider v-model="peg.tone" min="0" max="100" step="1" density="compact" hide-details color="primary" thumb-size="14" aria-label="how light the plain ground is" @update:model-value="peg.cloth = GROUND" />
        </div>
    </section>
</template>

<style>
.rail { display: flex; gap: 8px; overflow-x: auto; padding: 8px 10px; border-top: 1px solid var(--hair); background: var(--card); }
.rail-cloth { display: grid; justify-items: start; border: 1px solid var(--hair); padding: 3px 5px; min-width: 92px; text-align: left; font-size: 12px; }
.rail-cloth[aria-pressed='true'] { border-color: var(--ink); box-shadow: 0 0 0 1px var(--ink); }
.rail-cloth.held { border-color: var(--ink); box-shadow: 0 0 0 1px var(--ink); }
.rail-ground { display: grid; justify-items: start; padding: 0; text-align: left; font-size: 12px; }
.rail-cloth .v-slider { width: 76px; height: 24px; margin: 0 3px; }
.rail-art { width: 82px; height: 62px; display: grid; place-items: center; overflow: hidden; }
.rail-art img { max-width: 78px; max-height: 60px; }
.rail-lost { font-size: 11px; min-height: 1.3em; }
.rail-lost.fail, .gauge.fail .mark { color: var(--bad); }
.rail-lost.warn, .gauge.warn .mark { color: var(--warn); }
.rail-lost.pass, .gauge.pass .mark { color: var(--good); }
</style>
