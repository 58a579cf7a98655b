<script setup lang="ts">
import { computed, nextTick, ref } from 'vue';
import { useBench } from '../stores/bench';
import { useCatalogue } from '../stores/catalogue';
import { called } from './layers';
import { verbs, type Verb } from './verbs';

const bench = useBench();
const shop = useCatalogue();
const open = ref(false);
const wanted = ref('');
const at = ref(0);
const field = ref<HTMLInputElement | null>(null);

const all = computed(() => (shop.catalogue && bench.artwork ? verbs(bench.artwork, shop.catalogue, shop.assets, bench.layer) : []));
const found = computed(() => {
    const words = wanted.value.toLowerCase().trim();
    if (words === '') {
        return all.value;
    }
    // What begins with the words comes before what holds them, and that before what is only akin.
    const rank = (verb: Verb): number => {
        const say = verb.say.toLowerCase();
        return say.startsWith(words) ? 0 : say.includes(` ${words}`) ? 1 : say.includes(words) ? 2 : verb.also.some((text) => text.toLowerCase().startsWith(words)) ? 3 : 4;
    };
    return all.value
        .filter((verb) => [verb.say, ...verb.also].some((text) => text.toLowerCase().includes(words)))
        .sort((a, b) => rank(a) - rank(b));
});

async function show(): Promise<void> {
    open.value = true;
    wanted.value = '';
    at.value = 0;
    await nextTick();
    field.value?.focus();
}

function take(verb: Verb | undefined): void {
    if (!verb) {
        return;
    }
    open.value = false;
    if (verb.begin) {
        verb.begin(bench);
        return;
    }
    let chosen: string | null = null;
    void bench.change((artwork) => {
        const done = verb.apply(artwork);
        chosen = done.chosen;
        return done.artwork;
    });
    bench.choose(chosen);
}

function step(by: number): void {
    at.value = (at.value + by + found.value.length) % Math.max(1, found.value.length);
    document.getElementById(`verb-${at.value}`)?.scrollIntoView({ block: 'nearest' });
}
</script>

<template>
    <div class="add-line">
        <button v-if="!open" type="button" class="plain-button" @click="show">Add a line</button>
        <div v-else class="finder" @keydown.esc="open = false">
            <label class="small" for="verb-field">What next{{ bench.layer ? ` (${called(bench.layer)} is chosen)` : '' }}?</label>
            <input
                id="verb-field" ref="field" v-model="wanted" class="field" type="search" role="combobox" aria-expanded="true" aria-controls="verb-list" :aria-activedescendant="`verb-${at}`"
                autocomplete="off" placeholder="arch, outline, knock, wear …"
                @input="at = 0" @keydown.down.prevent="step(1)" @keydown.up.prevent="step(-1)" @keydown.enter.prevent="take(found[at])"
            />
            <ul id="verb-list" role="listbox" aria-label="Lines to add">
                <li v-for="(verb, i) in found" :id="`verb-${i}`" :key="verb.say" role="option" :aria-selected="i === at" @pointerenter="at = i" @click="take(verb)">
                    {{ verb.say }} <small>{{ verb.hint }}</small>
                </li>
            </ul>
            <p v-if="found.length === 0" class="small">Nothing of that name. Choose a piece first to arch, ring, mask or wear it.</p>
            <button type="button" class="plain-button quiet" @click="open = false">Close</button>
        </div>
    </div>
</template>
