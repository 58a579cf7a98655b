<script setup lang="ts">
import { ref, watch } from 'vue';

/** A picture to draw on. It has the same height before and after loading, so that nothing moves; attributes and overlays apply to the picture's area. */
defineOptions({ inheritAttrs: false });
const props = defineProps<{ address: string | null; alt: string; pale?: boolean }>();
/** The loaded picture; null before, and if loading failed. */
const picture = defineModel<HTMLImageElement | null>('picture', { required: true });
const lost = ref(false);

watch(() => props.address, () => {
    lost.value = false;
    picture.value = null;
});

function come(event: Event): void {
    picture.value = event.target as HTMLImageElement;
}

function fail(): void {
    lost.value = true;
    picture.value = null;
}
</script>

<template>
    <div class="picture-room">
        <p v-if="lost" role="alert">The picture could not be loaded. Close this and open it again.</p>
        <template v-else>
            <p v-if="!picture" class="picture-awaited" role="status">Loading the picture …</p>
            <div v-bind="$attrs" class="picture-laid">
                <img v-if="address" :class="{ pale }" :src="address" :alt="alt" draggable="false" @load="come" @error="fail" />
                <slot v-if="picture"></slot>
            </div>
            <slot v-if="picture" name="beside"></slot>
        </template>
    </div>
</template>

<style>
.picture-room { position: relative; padding: 26px; margin: 8px 0; height: min(472px, 62vh); background: repeating-conic-gradient(var(--card) 0 25%, var(--paper) 0 50%) 0 0 / 16px 16px; display: grid; place-items: center; overflow: hidden; }
.picture-awaited { grid-area: 1 / 1; padding: 4px 12px; border-radius: 3px; background: var(--card); }
.picture-laid { grid-area: 1 / 1; position: relative; max-width: 100%; touch-action: none; }
.picture-laid img { display: block; max-width: 100%; max-height: min(420px, calc(62vh - 52px)); user-select: none; }
.picture-laid img.pale { opacity: 0.2; filter: grayscale(1); }
.picture-laid svg { position: absolute; inset: 0; width: 100%; height: 100%; overflow: visible; pointer-events: none; }
</style>
