import type { Layer } from '../types';

/** The lines of a piece in the order in which they stand below it. */
export function linesOf(layer: Layer | undefined): { id: string; lines: string[] } {
    return { id: layer?.id ?? '', lines: layer ? [...layer.effects, ...(layer.repeat ? [layer.repeat] : []), ...layer.masks, ...layer.distress].map((line) => JSON.stringify(line)) : [] };
}

/** Which of the lines is new: the first that differs from what stood there. */
export function fresh(before: string[], now: string[]): number {
    return now.findIndex((line, i) => line !== before[i]);
}

/** The hand goes on at the line that was just added: it is scrolled into sight, and its first token can be typed over. */
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
