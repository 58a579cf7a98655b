import type { AssetCard } from '../types';

export interface Wanted {
    wanted: string;
    genre: string;
    licence: string;
    favourites: boolean;
}

/** The assets that match every typed word and every filter; favourites first. */
export function finds(assets: AssetCard[], { wanted, genre, licence, favourites }: Wanted): AssetCard[] {
    const words = wanted.toLowerCase().split(/\s+/).filter(Boolean);
    return assets
        .filter((asset) => {
            const text = `${asset.title} ${asset.genre} ${asset.pack} ${asset.cut}`.toLowerCase();
            return words.every((word) => text.includes(word)) && (genre === '' || asset.genre === genre) && (licence === '' || asset.licence.name === licence) && (!favourites || asset.favourite);
        })
        .sort((a, b) => Number(b.favourite) - Number(a.favourite));
}

const each = (names: string[]): string[] => [...new Set(names.filter(Boolean))].sort();

export const genresOf = (assets: AssetCard[]): string[] => each(assets.map((asset) => asset.genre));
export const licencesOf = (assets: AssetCard[]): string[] => each(assets.map((asset) => asset.licence.name));
