import { useEventListener } from '@vueuse/core';
import { useFolding } from '../stores/folding';
import { usePeg } from '../stores/peg';
import { useSelection } from '../stores/selection';
import { useSheet } from '../stores/sheet';
import type { Layer, Operation } from '../types';

type Paste = Extract<Operation, { op: 'paste' }>;

/** The clipboard's content: layers as JSON text, with the named colours that they use. */
interface Copied {
    'tallcrow.lines': 1;
    layers: Layer[];
    swatches: { name: string; colour: string }[];
}

/** All keyboard shortcuts of the bench, as shown in the list of keys. */
export const KEYS: [string, string][] = [
    ['Ctrl+Z, Ctrl+Shift+Z', 'a step back, a step forward'], ['Delete', 'take the chosen lines out'], ['Ctrl+D', 'copy them beside themselves'],
    ['Ctrl+Shift+D', 'linked copies: the same words, shape and place'], ['Ctrl+C, Ctrl+X, Ctrl+V', 'copy, cut and paste them, also to another job'], ['Ctrl+A', 'choose every line'], ['Shift+click, Ctrl+click', 'choose one more'],
    ['A', 'add a line'], ['Arrow keys on the peg', 'move by a hundredth of an inch; with Shift by a tenth'], ['Alt+↑, Alt+↓', 'move a line earlier or later'], ['Home, End', 'choose the first or the last line'],
    ['[ and ]', 'fold or unfold every line'], ['+ and −, 0', 'closer, further, the whole garment'], ['double press on words', 'write them anew where they lie'], ['Escape', 'choose nothing'], ['?', 'this list'],
];

export function useKeys(help: () => void, add: () => void): void {
    const sheet = useSheet();
    const peg = usePeg();
    const selection = useSelection();
    const folding = useFolding();

    const elsewhere = (target: EventTarget | null): boolean =>
        target instanceof HTMLInputElement ? target.type !== 'checkbox' : target instanceof HTMLTextAreaElement || target instanceof HTMLSelectElement || (target instanceof HTMLElement && target.closest('[role=dialog], [role=menu], [role=listbox]') !== null);
    const remove = (): void => void (selection.ids.length && sheet.operate({ op: 'remove', ids: selection.ids }));

    function ends(to: 'Home' | 'End'): void {
        const layers = sheet.artwork?.layers ?? [];
        selection.choose((to === 'Home' ? layers[0] : layers[layers.length - 1])?.id ?? null);
        selection.reveal();
    }

    useEventListener(window, 'keydown', (event: KeyboardEvent) => {
        if (event.key === 'Escape' && peg.colourWanted) {
            peg.colourWanted(null);
            return;
        }
        // Open overlays handle their own keys: Escape closes them and keeps the selection.
        if (event.defaultPrevented || elsewhere(event.target) || document.querySelector('.v-overlay--active')) {
            return;
        }
        const held = event.ctrlKey || event.metaKey;
        const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
        const does: Record<string, (() => void) | undefined> = held
            ? { y: () => sheet.redo(), z: () => (event.shiftKey ? sheet.redo() : sheet.undo()), d: () => selection.ids.length && sheet.operate({ op: 'copy', ids: selection.ids, linked: event.shiftKey }), a: () => selection.chooseAll((sheet.artwork?.layers ?? []).map((layer) => layer.id)) }
            : event.altKey ? {} : { Delete: remove, Backspace: remove, Escape: peg.pen ? undefined : () => selection.choose(null), '?': help, a: add, '[': () => folding.foldAll(true), ']': () => folding.foldAll(false), Home: () => ends('Home'), End: () => ends('End') };
        const work = does[key];
        if (work) {
            event.preventDefault();
            work();
        }
    });

    const take = (event: ClipboardEvent, cut: boolean): void => {
        const what = elsewhere(event.target) || String(window.getSelection()) !== '' ? null : copied();
        if (what) {
            event.preventDefault();
            event.clipboardData?.setData('text/plain', JSON.stringify(what));
            if (cut) {
                remove();
            }
        }
    };
    useEventListener(document, 'copy', (event: ClipboardEvent) => take(event, false));
    useEventListener(document, 'cut', (event: ClipboardEvent) => take(event, true));
    useEventListener(document, 'paste', (event: ClipboardEvent) => {
        const lines = elsewhere(event.target) ? null : read(event.clipboardData?.getData('text/plain') ?? '');
        if (lines) {
            event.preventDefault();
            void sheet.operate({ op: 'paste', layers: lines.layers, swatches: lines.swatches } as Paste).then(() => selection.reveal());
        }
    });
}

/** The selected layers as they are copied; children of a selected group are included with it. */
export function copied(): Copied | null {
    const { artwork } = useSheet();
    const { ids } = useSelection();
    const chosen = (layers: Layer[]): Layer[] => layers.flatMap((layer) => (ids.includes(layer.id) ? [layer] : layer.source.kind === 'group' ? chosen(layer.source.layers) : []));
    const layers = chosen(artwork?.layers ?? []);
    const text = JSON.stringify(layers);
    return layers.length === 0 ? null : { 'tallcrow.lines': 1, layers, swatches: (artwork?.swatches ?? []).filter((one) => text.includes(JSON.stringify(`@${one.name}`))).map(({ name, colour }) => ({ name, colour })) };
}

/** Parses copied layers from text, or returns null; their content is validated by the core. */
export function read(text: string): Copied | null {
    try {
        const data: unknown = text.startsWith('{') ? JSON.parse(text) : null;
        return typeof data === 'object' && data !== null && 'tallcrow.lines' in data && Array.isArray((data as Copied).layers) ? { ...(data as Copied), swatches: (data as Partial<Copied>).swatches ?? [] } : null;
    } catch {
        return null;
    }
}
