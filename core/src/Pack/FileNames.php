<?php

declare(strict_types=1);

namespace TallCrow\Pack;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\ArtworkReader;

/** Renames the fonts and pictures in a sheet whose names are already taken on the shelf that it is imported to. */
final class FileNames
{
    /** Keys under which an artwork file names a font or picture. */
    public const KEYS = ['file', 'font'];

    /** @param  array<string, string>  $names  new by old */
    public static function changed(Artwork $artwork, array $names): Artwork
    {
        return $names === [] ? $artwork : ArtworkReader::data(self::walked($artwork->toArray(), $names));
    }

    /**
     * @param  array<array-key, mixed>  $data
     * @param  array<string, string>  $names
     * @return array<array-key, mixed>
     */
    private static function walked(array $data, array $names): array
    {
        foreach ($data as $key => $value) {
            if (is_array($value)) {
                $data[$key] = self::walked($value, $names);
            } elseif (is_string($value) && in_array($key, self::KEYS, true)) {
                $data[$key] = $names[$value] ?? $value;
            }
        }

        return $data;
    }
}
