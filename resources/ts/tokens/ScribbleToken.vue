<script setup lang="ts">
import { keepPreviousData, useQuery } from '@tanstack/vue-query';
import { useObjectUrl } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import { api } from '../api';
import { findLayer } from '../bench/layers';
import { thinned } from '../peg/pen';
import { useSheet } from '../stores/sheet';
import type { PocketOfPicture, Scribble } from '../types';
import ChoiceToken from './ChoiceToken.vue';
import PictureRoom from './PictureRoom.vue';
import QuantityToken from './QuantityToken.vue';

/** Strokes, dots and closed shapes drawn over a picture, as it is before an effect, to mark parts of it. */
const props = defineProps<{ value: Scribble[]; layer: string; line: number; kind: string; parameter: string }>();
const emit = defineEmits<{ change: [scribbles: Scribble[]] }>();

type Point = [number, number];

const FINE = 0.002;
const STEP = 0.01;
type Ask = { opens: string; title: string; how: string; keeps: string; drops: string; lasso: boolean };
const ofSubject: Ask = { opens: 'mark it on the picture', title: 'What is the subject?', how: 'Scribble over what is kept, then over what goes. A few rough lines do.', keeps: 'keeps', drops: 'drops', lasso: false };
const asks: Record<string, Ask> = {
    'clear-edge': { opens: 'mark what stays and pockets that go', title: 'What stays, which pockets go?', how: 'Paint over a pale part that must stay. Press a number to clear the pocket that it lies in, or dab into one.', keeps: 'protects', drops: 'clears a pocket', lasso: false },
    area: { opens: 'everywhere', title: 'Where does the line work?', how: 'Draw around the part, or paint it. Nothing drawn: it works everywhere.', keeps: 'adds', drops: 'takes away', lasso: true },
};
const ask = computed(() => asks[props.parameter === 'area' ? 'area' : props.kind] ?? ofSubject);
const sheet = useSheet();
const open = ref(false);
const drawn = ref<Scribble[]>([]);
const now = ref<Point[]>([]);
const cross = ref<Point | null>(null);
const keeps = ref(true);
const width = ref(0.04);
const shape = ref('brush');
const picture = ref<HTMLImageElement | null>(null);
const ratio = computed(() => (picture.value ? picture.value.naturalHeight / picture.value.naturalWidth : 1));

/** An entry just added is not saved yet. */
const held = computed(() => sheet.job && findLayer(sheet.job.artwork, props.layer)?.effects[props.line]?.kind === props.kind);
const base = computed(() => `revisions/${sheet.job?.revision}/layers/${props.layer}`);
const address = computed(() => (held.value ? `/api/${base.value}/before/${props.line}.png` : null));
const asksPockets = computed(() => props.kind === 'clear-edge' && props.parameter === 'scribbles');
const { data: pockets } = useQuery({
    queryKey: ['pockets', base, () => props.line],
    queryFn: () => api.get<PocketOfPicture[]>(`${base.value}/pockets/${props.line}`),
    enabled: () => open.value && asksPockets.value && held.value === true,
});
const asksLeft = computed(() => props.parameter === 'scribbles' && held.value === true && open.value && drawn.value.length > 0);
/** Preview of the effect's result with the strokes so far. */
const { data: left, isFetching, isError } = useQuery({
    queryKey: ['scribbled', base, () => props.line, drawn],
    queryFn: ({ signal }) => api.drawn(`${base.value}/scribbled/${props.line}.png`, { scribbles: drawn.value }, signal),
    enabled: asksLeft,
    placeholderData: keepPreviousData,
    gcTime: 0,
});
const leftUrl = useObjectUrl(left);
const leftSays = computed(() => {
    if (!asksLeft.value) {
        return 'What is left shows as soon as something is drawn.';
    }
    if (isError.value) {
        return 'What is left could not be shown. What is drawn can be used all the same.';
    }
    return isFetching.value ? 'Cutting …' : 'What is pale goes.';
});
const says = computed(() => (props.value.length === 0 ? ask.value.opens : props.parameter === 'area' ? 'only where it is drawn' : `${props.value.length} ${props.value.length === 1 ? 'mark' : 'marks'} on it`));
const shown = computed<Scribble[]>(() => {
    const points = cross.value && now.value.length ? [...now.value, cross.value] : now.value;
    return points.length ? [...drawn.value, { points, width: shape.value === 'lasso' ? 0 : width.value, keeps: keeps.value }] : drawn.value;
});

watch(open, (isOpen) => {
    if (isOpen) {
        drawn.value = props.value;
        now.value = [];
        cross.value = null;
        picture.value = null;
        keeps.value = props.kind !== 'clear-edge' || props.parameter === 'area';
        shape.value = ask.value.lasso ? 'lasso' : 'brush';
    }
});

const d = (points: number[][], closed: boolean): string => `M${points.map(([x = 0, y = 0]) => `${x * 1000} ${y * 1000 * ratio.value}`).join('L')}${closed ? 'Z' : points.length === 1 ? 'h0.1' : ''}`;

function at(event: PointerEvent): Point {
    const box = picture.value?.getBoundingClientRect();
    return box ? [(event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height] : [0.5, 0.5];
}

function press(event: PointerEvent): void {
    if (picture.value) {
        (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
        cross.value = null;
        now.value = [at(event)];
    }
}

function follow(event: PointerEvent): void {
    if (now.value.length && !cross.value && picture.value) {
        now.value = [...now.value, at(event)];
    }
}

function end(): void {
    const points = thinned(now.value, FINE).map(([x, y]): Point => [Math.round(x * 1e5) / 1e5, Math.round(y * 1e5) / 1e5]);
    now.value = [];
    if (points.length && (shape.value === 'brush' || points.length > 2)) {
        drawn.value = [...drawn.value, { points, width: shape.value === 'lasso' ? 0 : width.value, keeps: keeps.value }];
    }
}

/** Arrow keys move a crosshair, the space bar sets a point, Enter ends the line. */
function key(event: KeyboardEvent): void {
    const step = event.shiftKey ? STEP * 5 : STEP;
    const way = ({ ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] } as Record<string, Point>)[event.key];
    const from: Point = cross.value ?? [0.5, 0.5];
    if (way) {
        cross.value = [Math.min(1, Math.max(0, from[0] + way[0])), Math.min(1, Math.max(0, from[1] + way[1]))];
    } else if (event.key === ' ') {
        cross.value = from;
        now.value = [...now.value, from];
    } else if (event.key === 'Enter' && now.value.length) {
        end();
    } else {
        return;
    }
    event.preventDefault();
}

const isAt = (scribble: Scribble, pocket: PocketOfPicture): boolean => scribble.points.length === 1 && scribble.points[0]?.[0] === pocket.x && scribble.points[0][1] === pocket.y;

function toggle(pocket: PocketOfPicture): void {
    const without = drawn.value.filter((one) => !isAt(one, pocket));
    drawn.value = without.length < drawn.value.length ? without : [...drawn.value, { points: [[pocket.x, pocket.y]], width: 0.004, keeps: false }];
}

function done(): void {
    open.value = false;
    emit('change', drawn.value);
}
</script>

<template>
    <button type="button" class="token" :disabled="!address" :aria-label="`${ask.title} ${says}`" @click="open = true">{{ says }}</button>
    <v-dialog v-model="open" max-width="760">
        <section class="sheet-dialog" :aria-label="ask.title">
            <h2>{{ ask.title }}</h2>
            <p id="scribble-how" class="small">{{ ask.how }} By keys: arrows move the cross, the space bar sets a point, Enter ends the line.</p>
            <p class="sentence">
                The {{ shape === 'lasso' ? 'pen' : 'brush' }} <ChoiceToken :value="keeps ? 'keeps' : 'drops'" :choices="['keeps', 'drops']" :words="{ keeps: ask.keeps, drops: ask.drops }" label="what it means" @change="keeps = $event === 'keeps'" />
                <template v-if="ask.lasso">, <ChoiceToken :value="shape" :choices="['lasso', 'brush']" :words="{ lasso: 'drawn around', brush: 'painted over' }" label="how it is drawn" @change="shape = $event" /></template>
                <template v-if="shape === 'brush'">, <QuantityToken :value="width" kind="share" :least="0.002" :most="0.5" label="brush width" @change="width = $event" /> of the picture wide</template>
            </p>
            <PictureRoom
                v-model:picture="picture" :address="address" alt="The picture as it is before this line" :pale="asksLeft && !!leftUrl && !isError"
                class="scribble-room" tabindex="0" role="application" aria-describedby="scribble-how" :aria-label="cross ? `cross at ${Math.round(cross[0] * 100)} % across, ${Math.round(cross[1] * 100)} % down` : 'the picture'"
                @keydown="key" @pointerdown="press" @pointermove="follow" @pointerup="end"
            >
                <img v-if="asksLeft && leftUrl && !isError" class="scribble-left" :src="leftUrl" alt="What is left of it" draggable="false" />
                <svg :viewBox="`0 0 1000 ${1000 * ratio}`" preserveAspectRatio="none" aria-hidden="true">
                    <path v-for="(one, i) in shown" :key="i" :d="d(one.points, one.width === 0)" :class="{ keeps: one.keeps, filled: one.width === 0 }" :stroke-width="one.width === 0 ? 3 : one.width * 1000 * Math.max(1, ratio)" />
                    <path v-if="cross" class="cross" :d="`M${cross[0] * 1000 - 18} ${cross[1] * 1000 * ratio}h36m-18 -18v36`" />
                </svg>
                <button
                    v-for="(pocket, i) in asksPockets ? (pockets ?? []) : []" :key="`${pocket.x} ${pocket.y}`" type="button" class="corner-mark" :class="{ held: drawn.some((one) => isAt(one, pocket)) }"
                    :style="{ left: `${pocket.x * 100}%`, top: `${pocket.y * 100}%` }" :aria-pressed="drawn.some((one) => isAt(one, pocket))" :aria-label="`pocket ${i + 1}, ${(pocket.share * 100).toFixed(1)} % of the picture: clear it`"
                    @pointerdown.stop @click="toggle(pocket)"
                >
                    {{ i + 1 }}
                </button>
            </PictureRoom>
            <p v-if="parameter === 'scribbles'" class="small" role="status">{{ leftSays }}</p>
            <div class="dialog-ends">
                <v-btn size="small" variant="flat" color="primary" :disabled="!picture" @click="done">Use these marks</v-btn>
                <v-btn size="small" :disabled="drawn.length === 0" @click="drawn = drawn.slice(0, -1)">Take back the last</v-btn>
                <v-btn size="small" :disabled="drawn.length === 0" @click="drawn = []">Clear all</v-btn>
                <v-btn size="small" variant="text" @click="open = false">Leave it as it was</v-btn>
            </div>
        </section>
    </v-dialog>
</template>

<style>
.scribble-room { cursor: crosshair; outline-offset: 3px; }
.scribble-room img.scribble-left { position: absolute; inset: 0; width: 100%; height: 100%; max-height: none; pointer-events: none; }
.scribble-room path { fill: none; stroke: color-mix(in srgb, var(--bad) 60%, transparent); stroke-linecap: round; stroke-linejoin: round; }
.scribble-room path.keeps { stroke: color-mix(in srgb, var(--moss, #3c7a4e) 65%, transparent); }
.scribble-room path.filled { fill: color-mix(in srgb, var(--bad) 22%, transparent); }
.scribble-room path.filled.keeps { fill: color-mix(in srgb, var(--moss, #3c7a4e) 26%, transparent); }
.scribble-room path.cross { stroke: var(--ink); stroke-width: 3; }
</style>
