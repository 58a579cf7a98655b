<script setup lang="ts">
import { parcelWords, useParcels } from '../server/parcels';
import { counted } from '../words/counted';
import type { ParcelCard } from '../types';

/** Files sent to houses, with both sides' figures. */
const props = defineProps<{ job: number }>();
const { data: parcels } = useParcels(() => props.job);
const mark: Partial<Record<ParcelCard['state'], string>> = { accepted: '✓', printed: '✓', refused: '✕', failed: '✕' };
const differs = (one: ParcelCard): number => one.figures.filter((row) => row.differs).length;
</script>

<template>
    <section v-if="parcels?.length" class="parcels" aria-labelledby="parcels-head">
        <h3 id="parcels-head">What the houses say</h3>
        <ul aria-live="polite">
            <li v-for="one in parcels" :key="one.id" class="parcel" :class="one.state">
                <p><strong>{{ one.house }}</strong>: {{ one.file }} <span class="parcel-state"><span aria-hidden="true">{{ mark[one.state] ?? '…' }}</span> {{ parcelWords[one.state] }}</span></p>
                <p v-for="reason in one.reasons" :key="reason" class="parcel-reason">{{ reason }}</p>
                <p v-if="one.trouble" class="small">{{ one.trouble }}{{ one.state === 'waiting' && one.tries ? ` Tried ${one.tries === 1 ? 'once' : `${one.tries} times`}; it is tried again by itself.` : '' }}</p>
                <details v-if="one.figures.length" :open="differs(one) > 0">
                    <summary class="small">{{ differs(one) ? `${differs(one)} of ${counted(one.figures.length, 'figure')} ${differs(one) === 1 ? 'differs' : 'differ'}` : `${one.figures.length} figures, the same on both sides` }}</summary>
                    <table>
                        <thead><tr><th scope="col">Figure</th><th scope="col">As made here</th><th scope="col">As the house measured</th></tr></thead>
                        <tbody><tr v-for="row in one.figures" :key="row.what" :class="{ differs: row.differs }"><th scope="row">{{ row.what }}</th><td class="measure">{{ row.ours }}</td><td class="measure">{{ row.theirs }}<span v-if="row.differs" class="small"> differs</span></td></tr></tbody>
                    </table>
                </details>
            </li>
        </ul>
    </section>
</template>

<style>
.parcels ul { display: grid; grid-template-columns: repeat(auto-fill, minmax(330px, 1fr)); gap: 10px; }
.parcel { border: 1px solid var(--hair); background: var(--card); padding: 8px 12px; display: grid; gap: 4px; align-content: start; }
.parcel p { margin: 0; }
.parcel-state { color: var(--faded); }
.parcel.printed .parcel-state, .parcel.accepted .parcel-state { color: var(--good); }
.parcel.refused .parcel-state, .parcel.failed .parcel-state, .parcel-reason, .parcel .differs { color: var(--bad); }
.parcel table { border-collapse: collapse; font-size: 12px; margin-top: 4px; }
.parcel th, .parcel td { text-align: left; font-weight: normal; padding: 2px 12px 2px 0; }
.parcel thead th { color: var(--faded); }
</style>
