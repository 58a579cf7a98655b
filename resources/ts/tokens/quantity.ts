import { api } from '../api';

export type QuantityKind = 'length' | 'share' | 'number' | 'angle';

/** Formatting, step and parsing of a kind of quantity. */
interface Quantity {
    show: (value: number) => string;
    step: number;
    read: (typed: string, ppi: number) => Promise<number>;
}

function plain(typed: string, suffix: RegExp): number {
    const number = Number(typed.replace(suffix, '').replace(',', '.').replace('−', '-').trim());
    if (typed.trim() === '' || !Number.isFinite(number)) {
        throw new Error(`"${typed}" is not a number.`);
    }
    return number;
}

const trimmed = (value: number, decimals: number): string => String(Number(value.toFixed(decimals)));

export const quantities: Record<QuantityKind, Quantity> = {
    length: {
        show: (value) => `${value.toFixed(2)} in`,
        step: 0.01,
        // Units are parsed by the core, which returns inches.
        read: async (typed, ppi) => (await api.get<{ inches: number }>(`lengths?${new URLSearchParams({ text: typed, ppi: String(ppi) })}`)).inches,
    },
    share: { show: (value) => `${trimmed(value * 100, 1)} %`, step: 0.01, read: async (typed) => plain(typed, /%\s*$/) / 100 },
    number: { show: (value) => trimmed(value, 2), step: 1, read: async (typed) => plain(typed, /[×x]\s*$/) },
    angle: { show: (value) => `${trimmed(value, 1)}°`, step: 1, read: async (typed) => plain(typed, /°\s*$/) },
};
