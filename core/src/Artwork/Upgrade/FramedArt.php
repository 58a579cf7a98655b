<?php

declare(strict_types=1);

namespace TallCrow\Artwork\Upgrade;

/** Version 2 to 3: pictures are placed by their ink; those of older sheets keep being placed by their files. */
final class FramedArt implements Upgrade
{
    /** The reader refuses groups nested deeper than this. */
    private const MOST_DEPTH = 24;

    public static function from(): string
    {
        return 'tallcrow.artwork/2';
    }

    public static function upgraded(array $file): array
    {
        return ['format' => 'tallcrow.artwork/3'] + self::layers($file, 0);
    }

    /**
     * @param  array<array-key, mixed>  $holder
     * @return array<array-key, mixed>
     */
    private static function layers(array $holder, int $depth): array
    {
        if (! is_array($holder['layers'] ?? null) || $depth > self::MOST_DEPTH) {
            return $holder;
        }
        foreach ($holder['layers'] as $i => $layer) {
            if (! is_array($layer) || ! is_array($layer['source'] ?? null)) {
                continue;
            }
            $source = ($layer['source']['kind'] ?? null) === 'art' ? $layer['source'] + ['frame' => 'file'] : self::layers($layer['source'], $depth + 1);
            $holder['layers'][$i] = ['source' => $source] + $layer;
        }

        return $holder;
    }
}
