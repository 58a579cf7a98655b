<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { findLayer } from '../bench/layers';
import { useSheet } from '../stores/sheet';
import type { EffectLine } from '../types';
import { CORNERS, cornersOf, inTurn, placed, toLine, type Corner } from './corners';
import PictureRoom from './PictureRoom.vue';

/** Sets four corners on a picture to be straightened, by pointer or keys, before anything changes. */
const props = defineProps<{ effect: EffectLine; layer: string; line: number }>();
const emit = defineEmits<{ change: [corners: Record<string, number>] }>();

const STEP = 0.002;
const sheet = useSheet();
const open = ref(false);
const corners = ref<Corner[]>([]);
const held = ref(-1);
const picture = ref<HTMLImageElement | null>(null);

/** An entry just added is not saved yet. */
const address = computed(() => {
    const known = sheet.job && findLayer(sheet.job.artwork, props.layer)?.effects[props.line]?.kind === 'straighten';
    return known ? `/api/revisions/${sheet.job?.revision}/layers/${props.layer}/before/${props.line}.png` : null;
});
const fits = computed(() => inTurn(corners.value));
const said = computed(() => {
    const [x, y] = corners.value[held.value] ?? [];
    return x === undefined || y === undefined ? 'No mark is chosen.' : `${CORNERS[held.value]}: ${(x * 100).toFixed(1)} % across, ${(y * 100).toFixed(1)} % down`;
});
const outline = computed(() => corners.value.map(([x, y]) => `${x * 100},${y * 100}`).join(' '));
const close = computed(() => {
    const [x, y] = corners.value[held.value] ?? [0, 0];
    const { clientWidth = 0, clientHeight = 0 } = picture.value ?? {};
    return { backgroundImage: `url(${address.value})`, backgroundSize: `${clientWidth * 4}px ${clientHeight * 4}px`, backgroundPosition: `${64 - x * clientWidth * 4}px ${64 - y * clientHeight * 4}px` };
});

watch(open, (now) => {
    if (now) {
        corners.value = cornersOf(props.effect);
        held.value = -1;
        picture.value = null;
    }
});

function put(index: number, corner: Corner): void {
    corners.value = corners.value.map((one, i) => (i === index ? placed(corner) : one));
}

function grasp(event: PointerEvent, index: number): void {
    held.value = index;
    (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
}

function follow(event: PointerEvent, index: number): void {
    const box = picture.value?.getBoundingClientRect();
    if (box && (event.currentTarget as HTMLElement).hasPointerCapture(event.pointerId)) {
        put(index, [(event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height]);
    }
}

function key(event: KeyboardEvent, index: number): void {
    const step = event.shiftKey ? STEP * 10 : STEP;
    const way = ({ ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] } as Record<string, Corner>)[event.key];
    const now = corners.value[index];
    if (way && now) {
        event.preventDefault();
        put(index, [now[0] + way[0], now[1] + way[1]]);
    }
}

function straighten(): void {
    open.value = false;
    emit('change', toLine(corners.value));
}
</script>

<template>
    <button type="button" class="token" :disabled="!address" @click="open = true">place them on the picture</button>
    <v-dialog v-model="open" max-width="720">
        <section class="sheet-dialog corners-dialog" aria-label="Corners of the picture">
            <h2>Where are its corners?</h2>
            <p id="corners-how" class="small">Drag each mark onto a corner of what should be upright, or choose a mark and press the arrow keys; with Shift in larger steps.</p>
            <PictureRoom v-model:picture="picture" :address="address" alt="The picture as it is before this line">
                <svg viewBox="0 0 100 100" preserveAspectRatio="none" aria-hidden="true"><polygon :points="outline" :class="{ wrong: !fits }" /></svg>
                <button
                    v-for="(corner, i) in corners" :key="i" type="button" class="corner-mark" :class="{ held: held === i }" :style="{ left: `${corner[0] * 100}%`, top: `${corner[1] * 100}%` }"
                    :aria-label="`${CORNERS[i]} corner, ${(corner[0] * 100).toFixed(1)} % across, ${(corner[1] * 100).toFixed(1)} % down`" aria-describedby="corners-how"
                    @focus="held = i" @pointerdown="grasp($event, i)" @pointermove="follow($event, i)" @keydown="key($event, i)"
                >
                    {{ i + 1 }}
                </button>
                <template #beside>
                    <div v-show="held >= 0" class="corner-close" :class="{ left: (corners[held]?.[0] ?? 0) > 0.5 }" aria-hidden="true" :style="close"></div>
                </template>
            </PictureRoom>
            <div class="corners-says">
                <p v-if="!fits" role="alert">The corners cross. Put 1 to 4 around the picture in turn, from the top left as the hands of a clock go.</p>
                <p v-else class="small measure" role="status">{{ said }}</p>
            </div>
            <div class="dialog-ends">
                <v-btn size="small" variant="flat" color="primary" :disabled="!fits || !picture" @click="straighten">Straighten it</v-btn>
                <v-btn size="small" variant="text" @click="open = false">Leave it as it was</v-btn>
            </div>
        </section>
    </v-dialog>
</template>

<style>
.picture-laid polygon { fill: color-mix(in srgb, var(--rust) 12%, transparent); stroke: var(--rust); stroke-width: 2; vector-effect: non-scaling-stroke; }
.picture-laid polygon.wrong { stroke: var(--bad); stroke-dasharray: 6 4; }
.corner-mark { position: absolute; width: 26px; height: 26px; margin: -13px 0 0 -13px; border: 2px solid var(--rust); border-radius: 50%; background: color-mix(in srgb, var(--card) 75%, transparent); font-size: 12px; font-weight: 600; line-height: 1; touch-action: none; cursor: grab; }
.corner-mark.held { background: var(--rust-wash); }
.corner-close { position: absolute; right: 6px; top: calc(50% - 66px); width: 132px; height: 132px; border: 2px solid var(--rust); background-color: var(--card); background-repeat: no-repeat; image-rendering: pixelated; pointer-events: none; }
.corner-close.left { right: auto; left: 6px; }
.corner-close::before, .corner-close::after { content: ''; position: absolute; background: var(--rust); opacity: 0.7; }
.corner-close::before { left: 64px; top: 0; width: 1px; height: 128px; }
.corner-close::after { top: 64px; left: 0; height: 1px; width: 128px; }
/* What is said never moves the picture under a mark that is being dragged. */
.corners-says { min-height: 24px; }
</style>
