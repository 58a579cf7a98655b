<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Studio;
use App\Http\Answers\AssetCard;
use App\Models\Asset;
use App\Models\AssetKind;
use App\Models\Revision;
use App\Models\Shop;
use TallCrow\Asset\AssetUnusable;
use TallCrow\Type\FontRefused;

/** Fonts of the shelf that have the letters that a layer's font lacks. */
final class FontController
{
    private const MOST_TRIED = 200;

    private const MOST = 5;

    /** @return list<AssetCard> those that have every letter, favourites and fonts of the same genre first */
    public function index(Revision $revision, string $layer, Shop $shop): array
    {
        $words = $revision->read()->layer($layer)?->words() ?? abort(404, 'That line sets no words.');
        $letters = array_values(array_unique(mb_str_split((string) preg_replace('/[\s\p{C}]+/u', '', $words->text))));
        $genre = $shop->assets()->where('file', $words->font)->first()->genre ?? '';
        $shelf = Studio::of($shop)->shelf;
        $found = [];
        $fonts = $shop->assets()->where('kind', AssetKind::Font)->whereNull('binned_at')->whereNot('file', $words->font)
            ->orderByDesc('favourite')->orderByRaw('case when genre = ? then 0 else 1 end', [$genre])->orderBy('title')->limit(self::MOST_TRIED)->get();
        foreach ($fonts as $asset) {
            if ($this->has($shelf->font(...), $asset, $letters)) {
                $found[] = AssetCard::of($asset);
            }
            if (count($found) === self::MOST) {
                break;
            }
        }

        return $found;
    }

    /**
     * @param  \Closure(string): \TallCrow\Type\Font  $font
     * @param  list<string>  $letters
     */
    private function has(\Closure $font, Asset $asset, array $letters): bool
    {
        try {
            $opened = $font($asset->file);
        } catch (AssetUnusable|FontRefused) {
            return false;
        }

        return array_filter($letters, fn (string $letter): bool => ! $opened->has($letter)) === [];
    }
}
