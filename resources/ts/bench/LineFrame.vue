<script setup lang="ts">
/** One line of the ticket: its number, whether it prints, what it says, and what can be done with it. */
defineProps<{ number?: number; on: boolean; name: string; chosen?: boolean; first?: boolean; last?: boolean; sub?: boolean; copies?: boolean; among?: boolean }>();
const emit = defineEmits<{ toggle: [on: boolean]; up: []; down: []; copy: []; remove: []; choose: [among: boolean, byKey: boolean] }>();

let pressed = false;

function press(event: PointerEvent): void {
    pressed = true;
    window.setTimeout(() => (pressed = false), 400);
    emit('choose', event.shiftKey || event.ctrlKey || event.metaKey, false);
}

/** Focus that a press brings has been told of already. */
function focus(): void {
    if (!pressed) {
        emit('choose', false, true);
    }
}

function key(event: KeyboardEvent): void {
    if (event.altKey && event.key === 'ArrowUp') {
        event.preventDefault();
        emit('up');
    } else if (event.altKey && event.key === 'ArrowDown') {
        event.preventDefault();
        emit('down');
    }
}
</script>

<template>
    <div class="line" :class="{ chosen, among, off: !on, sub }" @keydown="key" @focusin="focus" @pointerdown="press" @mousedown="(event) => event.shiftKey && event.preventDefault()">
        <label class="punch" :title="on ? 'This line is on' : 'This line is off'">
            <input type="checkbox" :checked="on" :aria-label="`${name}: line is on`" @change="emit('toggle', ($event.target as HTMLInputElement).checked)" />
        </label>
        <span v-if="number !== undefined" class="number measure" aria-hidden="true">{{ number }}</span>
        <div class="line-body"><slot /></div>
        <v-menu location="bottom end">
            <template #activator="{ props: opener }">
                <button v-bind="opener" type="button" class="line-more" :aria-label="`${name}: more`" title="Move, copy or take out this line">⋯</button>
            </template>
            <div class="line-menu" role="menu" :aria-label="name">
                <button type="button" role="menuitem" :disabled="first" @click="emit('up')">Move earlier <span class="small">Alt+↑</span></button>
                <button type="button" role="menuitem" :disabled="last" @click="emit('down')">Move later <span class="small">Alt+↓</span></button>
                <button v-if="copies" type="button" role="menuitem" @click="emit('choose', true, false)">{{ among ? 'Choose no longer' : 'Choose with others' }} <span class="small">Shift+click</span></button>
                <button v-if="copies" type="button" role="menuitem" @click="emit('copy')">Copy</button>
                <button type="button" role="menuitem" @click="emit('remove')">Take out</button>
            </div>
        </v-menu>
    </div>
</template>
