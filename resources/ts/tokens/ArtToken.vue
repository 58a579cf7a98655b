<script setup lang="ts">
import { computed, ref } from 'vue';
import { useCatalogue } from '../stores/catalogue';

const props = defineProps<{ value: string }>();
const emit = defineEmits<{ change: [file: string] }>();

const shop = useCatalogue();
const open = ref(false);
const art = computed(() => shop.assets.filter((asset) => asset.kind === 'art'));
const current = computed(() => shop.asset(props.value)?.title ?? props.value);

function take(file: string): void {
    open.value = false;
    if (file !== props.value) {
        emit('change', file);
    }
}
</script>

<template>
    <button type="button" class="token" :aria-label="`picture: ${current}, choose`" @click="open = true">{{ current }}</button>
    <v-dialog v-model="open" max-width="720" scrollable>
        <section class="sheet-dialog" aria-label="Pictures on the shelf">
            <h2>Pictures on the shelf</h2>
            <ul class="art-list">
                <li v-for="piece in art" :key="piece.id">
                    <button type="button" :aria-current="piece.file === value ? 'true' : undefined" @click="take(piece.file)">
                        <img :src="`/api/assets/${piece.id}/preview.png`" alt="" loading="lazy" />
                        <span>{{ piece.title }}</span>
                        <small>{{ piece.type === 'svg' ? 'drawing' : `${piece.width} × ${piece.height} px` }} · {{ piece.licence.name }}</small>
                    </button>
                </li>
            </ul>
        </section>
    </v-dialog>
</template>
