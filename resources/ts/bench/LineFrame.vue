<script setup lang="ts">
/** One line of the ticket: its number, whether it prints, what it says, and what can be done with it. */
defineProps<{ number?: number; on: boolean; name: string; chosen?: boolean; first?: boolean; last?: boolean; sub?: boolean; copies?: boolean }>();
const emit = defineEmits<{ toggle: [on: boolean]; up: []; down: []; copy: []; remove: []; choose: [] }>();

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
    <div class="line" :class="{ chosen, off: !on, sub }" @keydown="key" @focusin="emit('choose')" @pointerdown="emit('choose')">
        <label class="punch" :title="on ? 'This line is on' : 'This line is off'">
            <input type="checkbox" :checked="on" :aria-label="`${name}: line is on`" @change="emit('toggle', ($event.target as HTMLInputElement).checked)" />
        </label>
        <span v-if="number !== undefined" class="number measure" aria-hidden="true">{{ number }}</span>
        <div class="line-body"><slot /></div>
        <!-- Choosing a line unfolds it, which would move these from under the pointer. -->
        <div class="line-tools" @pointerdown.stop @focusin.stop>
            <button type="button" :disabled="first" :aria-label="`${name}: move earlier (Alt+Up)`" title="Move earlier (Alt+↑)" @click="emit('up')">↑</button>
            <button type="button" :disabled="last" :aria-label="`${name}: move later (Alt+Down)`" title="Move later (Alt+↓)" @click="emit('down')">↓</button>
            <button v-if="copies" type="button" :aria-label="`${name}: copy`" title="Copy this line" @click="emit('copy')">copy</button>
            <button type="button" :aria-label="`${name}: remove`" title="Take this line out" @click="emit('remove')">×</button>
        </div>
    </div>
</template>
