<script setup lang="ts">
import { computed, ref } from 'vue';
import { useCatalogue } from '../stores/catalogue';

const props = defineProps<{ value: string; sample: string }>();
const emit = defineEmits<{ change: [file: string] }>();

const shop = useCatalogue();
const open = ref(false);
const wanted = ref('');
const fonts = computed(() => shop.assets.filter((asset) => asset.kind === 'font'));
const current = computed(() => shop.asset(props.value)?.title ?? props.value);
const found = computed(() => fonts.value.filter((font) => `${font.title} ${font.genre}`.toLowerCase().includes(wanted.value.toLowerCase())));
const words = computed(() => props.sample.replace(/\s+/g, ' ').slice(0, 40));

function take(file: string): void {
    open.value = false;
    if (file !== props.value) {
        emit('change', file);
    }
}
</script>

<template>
    <button type="button" class="token" :aria-label="`font: ${current}, choose`" @click="open = true">{{ current }}</button>
    <v-dialog v-model="open" max-width="720" scrollable>
        <section class="sheet-dialog" aria-label="Fonts on the shelf">
            <h2>Your words in each font</h2>
            <input v-model="wanted" class="field" type="search" aria-label="Filter fonts by name or genre" placeholder="slab, script, stencil …" />
            <ul class="font-list">
                <li v-for="font in found" :key="font.id">
                    <button type="button" :aria-current="font.file === value ? 'true' : undefined" @click="take(font.file)">
                        <img :src="`/api/assets/${font.id}/preview.png?text=${encodeURIComponent(words)}`" :alt="`${words} in ${font.title}`" width="440" height="64" loading="lazy" />
                        <span>{{ font.title }} <small>{{ font.genre }} · {{ font.licence.name }}</small></span>
                    </button>
                </li>
            </ul>
            <p v-if="found.length === 0">No font of that name or genre is on the shelf. Add one under Gather.</p>
        </section>
    </v-dialog>
</template>
