<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { useLeaving } from '../hand';
import { usePeg } from '../stores/peg';
import { useSheet } from '../stores/sheet';
import { coloursOf } from '../bench/colours';
import { everyLayer } from '../bench/layers';
import { useShop } from '../server/queries';
import ArtColours from './ArtColours.vue';
import { colourOf } from './colours';

/** A colour as # and digits, or a named colour of the job after an @. */
const props = defineProps<{ value: string; label: string }>();
const emit = defineEmits<{ change: [value: string] }>();

const sheet = useSheet();
const shop = useShop();
const peg = usePeg();
const open = ref(false);
const named = computed(() => props.value.startsWith('@'));
const shown = computed(() => (named.value ? props.value.slice(1) : props.value));
const hex = computed(() => sheet.hex(props.value));
const picked = ref(hex.value);
const typed = ref(shown.value);
const wrong = ref(false);
/** The first few pictures on this sheet. */
const pictures = computed(() => {
    const files = new Set(everyLayer(sheet.artwork?.layers ?? []).flatMap((layer) => (layer.source.kind === 'art' ? [layer.source.file] : [])));
    return shop.assets.filter((asset) => asset.kind === 'art' && files.has(asset.file)).slice(0, 3);
});
const inUse = computed(() => (sheet.artwork ? coloursOf(sheet.artwork) : []));

watch(shown, (value) => {
    typed.value = value;
    picked.value = hex.value;
    wrong.value = false;
});
watch(hex, (now) => (picked.value = now));
watch(open, (now) => {
    if (!now && picked.value.slice(0, 7).toLowerCase() !== hex.value.toLowerCase()) {
        give(picked.value.slice(0, 7).toLowerCase());
    }
});

function give(colour: string): void {
    wrong.value = false;
    if (colour !== props.value.toLowerCase()) {
        emit('change', colour);
    }
}

function commit(): void {
    const text = typed.value.trim();
    if (text === shown.value) {
        wrong.value = false;
        return;
    }
    const colour = colourOf(text);
    const swatch = sheet.artwork?.swatches.find((one) => one.name.toLowerCase() === text.replace(/^@/, '').toLowerCase());
    wrong.value = colour === null && !swatch;
    if (swatch) {
        give(`@${swatch.name}`);
    } else if (colour !== null) {
        typed.value = colour;
        give(colour);
    }
}

const leave = useLeaving(commit);

function take(colour: string): void {
    picked.value = sheet.hex(colour);
    open.value = false;
    give(colour);
}

async function fromPeg(): Promise<void> {
    picked.value = hex.value;
    open.value = false;
    const colour = await peg.pickColour();
    if (colour) {
        give(colour);
    }
}
</script>

<template>
    <span class="token-wrap colour-token">
        <v-menu v-model="open" :close-on-content-click="false" location="bottom start">
            <template #activator="{ props: opener }">
                <button v-bind="opener" type="button" class="swatch" :style="{ background: hex }" :aria-label="`${label}: choose, now ${shown}`"></button>
            </template>
            <div class="colour-menu">
                <template v-if="sheet.artwork?.swatches.length">
                    <p class="small">Colours of the job</p>
                    <div class="swatch-row">
                        <button v-for="swatch in sheet.artwork.swatches" :key="swatch.name" type="button" class="swatch named" :style="{ background: swatch.colour }" :title="swatch.name" :aria-label="swatch.name" @click="take(`@${swatch.name}`)"></button>
                    </div>
                </template>
                <p class="small">Colours on this sheet</p>
                <div class="swatch-row">
                    <button v-for="colour in inUse" :key="colour" type="button" class="swatch" :style="{ background: colour }" :aria-label="colour" @click="take(colour)"></button>
                </div>
                <ArtColours v-for="asset in pictures" :key="asset.id" :asset="asset" @take="take" />
                <v-btn size="small" variant="text" @click="fromPeg">Pick from the peg</v-btn>
                <v-color-picker v-model="picked" mode="hex" :modes="['hex']" elevation="0" width="260" hide-inputs />
            </div>
        </v-menu>
        <input
            v-model="typed"
            class="token"
            :class="{ wrong, measure: !named }"
            :style="{ width: `${Math.max(typed.length, 4) + 1.2}ch` }"
            :aria-label="label"
            :aria-invalid="wrong ? 'true' : undefined"
            spellcheck="false"
            @focus="($event.target as HTMLInputElement).select()"
            @blur="leave"
            @keydown.enter.prevent="commit"
        />
        <span v-if="wrong" class="token-wrong" role="alert">Write a colour as # and six digits, such as #1d2b1f, or the name of one of the job's colours.</span>
    </span>
</template>
