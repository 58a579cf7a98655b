<script setup lang="ts">
/** One row of the build sheet: number, switch, text and actions. */
defineProps<{ number?: number; on: boolean; name: string; chosen?: boolean; first?: boolean; last?: boolean; sub?: boolean; copies?: boolean; links?: boolean; among?: boolean; own?: string }>();
const emit = defineEmits<{ toggle: [on: boolean]; up: []; down: []; copy: []; link: []; remove: []; fold: []; name: [name: string]; choose: [among: boolean, byKey: boolean] }>();

let pressed = false;

function press(event: PointerEvent): void {
    pressed = true;
    window.setTimeout(() => (pressed = false), 400);
    emit('choose', event.shiftKey || event.ctrlKey || event.metaKey, false);
}

/** Focus caused by a press was already reported. */
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
                <button v-if="copies" type="button" role="menuitem" @click="emit('copy')">Copy <span class="small">Ctrl+D</span></button>
                <button v-if="links" type="button" role="menuitem" title="Its words, shape and place stay those of this line; its colours and wear are its own" @click="emit('link')">Linked copy <span class="small">Ctrl+Shift+D</span></button>
                <button v-if="copies" type="button" role="menuitem" @click="emit('fold')">Fold to one line</button>
                <button type="button" role="menuitem" @click="emit('remove')">Take out <span v-if="copies" class="small">Delete</span></button>
                <div v-if="copies" class="line-name" @click.stop @keydown.stop><v-text-field :model-value="own" label="Name of this line" maxlength="80" hide-details @change="emit('name', ($event.target as HTMLInputElement).value)" /></div>
            </div>
        </v-menu>
    </div>
</template>

<style>
.line { display: grid; grid-template-columns: 16px 18px minmax(0, 1fr) 24px; column-gap: 5px; padding: 6px 4px 5px 14px; position: relative; }
.line.sub { min-height: 33px; padding: 2px 4px 3px 50px; grid-template-columns: 16px minmax(0, 1fr) 24px; }
.line.chosen { background: linear-gradient(90deg, var(--rust) 3px, var(--rust-wash) 3px); }
.line.off .line-body, .line.off .line-body :is(input, textarea, select, button, .token) { color: var(--faded); text-decoration: line-through; }
.punch input { accent-color: var(--ink); width: 14px; height: 14px; margin: 6px 0 0; display: block; }
.number { color: var(--faded); text-align: right; line-height: 26px; }
.line-more { width: 24px; height: 24px; color: var(--faded); line-height: 1; align-self: start; }
.line-more:hover { background: var(--rust-wash); color: var(--ink); }
.line-menu { background: var(--card); border: 1px solid var(--ink); display: grid; }
.line-menu button { text-align: left; padding: 5px 14px; }
.line-menu .line-name { padding: 6px 14px 10px; width: 240px; }
.line-menu button:hover:not(:disabled) { background: var(--rust-wash); }
.line.among:not(.chosen) { background: linear-gradient(90deg, var(--rust) 3px, transparent 3px); }
</style>
