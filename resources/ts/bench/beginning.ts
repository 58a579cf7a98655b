import type { Layer } from '../types';

/** The effects, masks and wear of a layer in display order. */
export function linesOf(layer: Layer | undefined): { id: string; lines: string[] } {
    return { id: layer?.id ?? '', lines: layer ? [...layer.effects, ...(layer.repeat ? [layer.repeat] : []), ...layer.masks, ...layer.distress].map((line) => JSON.stringify(line)) : [] };
}

/** The index of the new entry: the first that differs from before. */
export function fresh(before: string[], now: string[]): number {
    return now.findIndex((line, i) => line !== before[i]);
}

/** The part of the page in which each of these is set. */
const PLACES: Record<string, string> = {
    font: '.line.chosen [aria-label^="font:"]',
    words: '.line.chosen textarea.words',
    turn: '.how-it-lies [aria-label=turn]',
    size: '.line.chosen :is([aria-label=width], [aria-label=height], [aria-label="height of capitals"], [aria-label="type size"])',
};

/** Scrolls to a token of the selected layer and focuses it. */
export function point(label: string): void {
    const token = document.querySelector<HTMLElement>(PLACES[label] ?? '');
    token?.scrollIntoView({ block: 'nearest' });
    token?.focus({ preventScroll: true });
    if (token instanceof HTMLInputElement || token instanceof HTMLTextAreaElement) {
        token.select();
    }
}

/** Scrolls to the entry that was just added and selects its first token for typing. */
export function begin(layer: Layer | undefined, before: ReturnType<typeof linesOf>): void {
    const row = layer ? document.querySelector(`[data-layer="${CSS.escape(layer.id)}"]`) : null;
    if (!layer || !row) {
        return;
    }
    const own = [...row.children].filter((child) => child.classList.contains('line'));
    const line = layer.id === before.id ? own[fresh(before.lines, linesOf(layer).lines) + 1] : own[0];
    const token = line?.querySelector<HTMLElement>('.line-body .token');
    line?.scrollIntoView({ block: 'nearest' });
    token?.focus({ preventScroll: true });
    if (token instanceof HTMLInputElement || token instanceof HTMLTextAreaElement) {
        token.select();
    }
}
