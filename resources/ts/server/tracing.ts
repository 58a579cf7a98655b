import { useQueryClient } from '@tanstack/vue-query';
import { api, said } from '../api';
import { useSheet } from '../stores/sheet';
import type { AssetCard } from '../types';

const COLOURS = 6;

/** Traces a raster: the result is added to the shelf under the same licence and replaces the raster on the sheet. */
export function useTracing(): (asset: number, layer: string) => Promise<void> {
    const client = useQueryClient();
    const sheet = useSheet();
    return async (asset, layer) => {
        try {
            const made = await api.post<AssetCard>(`assets/${asset}/trace`, { colours: COLOURS });
            await client.invalidateQueries({ queryKey: ['assets'] });
            await sheet.operate({ op: 'swap-picture', id: layer, file: made.file });
        } catch (error) {
            sheet.trouble = said(error);
        }
    };
}
