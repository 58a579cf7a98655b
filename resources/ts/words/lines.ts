import type { Parameter } from '../types';

/**
 * How an effect reads on the build sheet: words between its parameters, each named in braces. A new effect of the core
 * needs one entry here; until it has one it reads by its own name.
 */
interface Wording {
    sentence: string;
    /** What a seller may type to find it. */
    verb: string;
    also: string[];
    labels: Record<string, string>;
}

export const effectWords: Record<string, Wording> = {
    'letter-spacing': {
        sentence: 'Space letters by {by} thousandths of an em',
        verb: 'Space letters',
        also: ['tracking', 'wide', 'tight', 'letter-spacing'],
        labels: { by: 'letter spacing' },
    },
    arch: { sentence: 'Arch {bend}', verb: 'Arch', also: ['bend', 'curve', 'warp', 'arc'], labels: { bend: 'bend' } },
    fill: { sentence: 'Fill with {colour}', verb: 'Fill with a colour', also: ['colour', 'paint', 'recolour'], labels: { colour: 'fill colour' } },
    outline: {
        sentence: 'Outline {width} in {colour}, {join} corners, points up to {mitreLimit} ×',
        verb: 'Outline',
        also: ['ring', 'stroke', 'border', 'sticker'],
        labels: { width: 'outline width', colour: 'outline colour', join: 'corners', mitreLimit: 'mitre limit' },
    },
};

export const shapeWords: Record<string, string> = {
    rectangle: 'rectangle', ellipse: 'ellipse', polygon: 'polygon', star: 'star', ring: 'ring', line: 'line',
};

export const textureWords: Record<string, string> = { speckle: 'fine speckle', scratches: 'scratches' };

/** Words and parameter names in turn: "Arch ", then bend. */
export function parts(kind: string, parameters: Parameter[]): (string | Parameter)[] {
    const sentence = effectWords[kind]?.sentence ?? `${kind} ${parameters.map((p) => `{${p.name}}`).join(', ')}`;
    return sentence
        .split(/(\{\w+\})/)
        .filter((part) => part !== '')
        .map((part) => parameters.find((parameter) => `{${parameter.name}}` === part) ?? part);
}

export function label(kind: string, parameter: string): string {
    return effectWords[kind]?.labels[parameter] ?? parameter;
}

export const inches = (value: number): string => `${value.toFixed(2)} in`;

export function ago(iso: string): string {
    const minutes = Math.round((Date.now() - new Date(iso).getTime()) / 60000);
    if (minutes < 1) {
        return 'just now';
    }
    if (minutes < 60) {
        return `${minutes} min ago`;
    }
    return minutes < 1440 ? `${Math.round(minutes / 60)} h ago` : new Date(iso).toISOString().slice(0, 10);
}
