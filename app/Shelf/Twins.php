<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Models\Asset;
use App\Models\Shop;
use TallCrow\Raster\Likeness;

/** Finds duplicates on a shelf: assets with identical content, and pictures that look alike. */
final readonly class Twins
{
    private const MOST = 12;

    private function __construct(private Shop $shop) {}

    public static function on(Shop $shop): self
    {
        return new self($shop);
    }

    /** @return list<Asset> */
    public function same(Asset $asset): array
    {
        return $asset->sha256 === '' ? [] : array_values($this->shop->assets()->where('sha256', $asset->sha256)->whereKeyNot($asset->id)->orderBy('id')->limit(self::MOST)->get()->all());
    }

    /** @return list<Asset> the nearest first, of those as near the oldest; the very same are not among them */
    public function alike(Asset $asset): array
    {
        if ($asset->look === '') {
            return [];
        }
        $near = [];
        foreach ($this->shop->assets()->toBase()->whereNot('look', '')->where('id', '!=', $asset->id)->whereNot('sha256', $asset->sha256)->get(['id', 'look']) as $row) {
            $far = is_string($row->look) ? Likeness::distance($asset->look, $row->look) : 64;
            if ($far <= Likeness::NEAR) {
                $near[(int) $row->id] = $far;
            }
        }
        // Of equally similar ones take the oldest.
        ksort($near);
        asort($near);
        $nearest = array_slice(array_keys($near), 0, self::MOST);
        $assets = $this->shop->assets()->whereIn('id', $nearest)->get()->keyBy('id')->all();

        return array_values(array_filter(array_map(fn (int $id): ?Asset => $assets[$id] ?? null, $nearest)));
    }
}
