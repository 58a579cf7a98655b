import { defineStore } from 'pinia';
import { ref } from 'vue';
import { api } from '../api';
import type { Asset, Catalogue, EffectKind } from '../types';

/** What the core offers and what the shop holds: read once, used everywhere. */
export const useCatalogue = defineStore('catalogue', () => {
    const catalogue = ref<Catalogue | null>(null);
    const assets = ref<Asset[]>([]);

    async function load(): Promise<void> {
        const [read, held] = await Promise.all([
            catalogue.value ?? api.get<Catalogue>('catalogue'),
            api.get<Asset[]>('assets'),
        ]);
        catalogue.value = read;
        assets.value = held;
    }

    function effect(kind: string): EffectKind | undefined {
        return catalogue.value?.effects.find((effect) => effect.kind === kind);
    }

    function asset(file: string): Asset | undefined {
        return assets.value.find((asset) => asset.file === file);
    }

    /** Shows at once; put back when it could not be kept. */
    async function favour(asset: Asset, favourite: boolean): Promise<void> {
        const set = (to: boolean): void => {
            assets.value = assets.value.map((one) => (one.id === asset.id ? { ...one, favourite: to } : one));
        };
        set(favourite);
        await api.put(`assets/${asset.id}/favourite`, { favourite }).catch(() => set(!favourite));
    }

    return { catalogue, assets, load, effect, asset, favour };
});
