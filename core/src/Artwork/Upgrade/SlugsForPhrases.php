<?php

declare(strict_types=1);

namespace TallCrow\Artwork\Upgrade;

/** Version 1 to 2: choices that were stored as phrases of the interface become short, stable slugs. */
final class SlugsForPhrases implements Upgrade
{
    private const TEXTURES = [
        'dry roller' => 'dry-roller', 'fold lines' => 'fold-lines', 'chipped edges' => 'chipped-edges', 'halftone wear' => 'halftone-wear',
        'fabric weave' => 'fabric-weave', 'water stain' => 'water-stain',
    ];

    private const EACH = ['through all of it' => 'whole', 'anew for each letter' => 'each-letter'];

    /** By kind of effect and parameter. */
    private const EFFECTS = [
        'only' => ['part' => [
            'the right half of each letter' => 'half-right', 'the left half of each letter' => 'half-left',
            'the top half of each letter' => 'half-top', 'the bottom half of each letter' => 'half-bottom',
            'every second letter' => 'every-second-letter', 'every second word' => 'every-second-word',
            'one letter' => 'one-letter', 'one word' => 'one-word', 'one line' => 'one-line',
        ]],
        'letter-colours' => ['way' => ['in turn' => 'in-turn', 'from letter to letter' => 'ramp']],
        'paper' => ['paper' => ['halftone ramp' => 'halftone-ramp', 'animal spots' => 'animal-spots'], 'each' => self::EACH],
        'picture' => ['each' => self::EACH],
        'line' => ['fit' => ['as sized' => 'as-sized', 'to the widest' => 'widest']],
        'case' => ['as' => ['as typed' => 'as-typed', 'small letters' => 'small-letters', 'first letters' => 'first-letters']],
    ];

    private const REPEAT = [
        'kind' => ['mirror across' => 'mirror-across', 'mirror down' => 'mirror-down'],
        'facing' => ['every second mirrored' => 'every-second-mirrored'],
        'as' => ['the same' => 'same', 'in another colour' => 'another-colour', 'knocked out' => 'knocked-out'],
    ];

    /** The reader refuses groups nested deeper than this. */
    private const MOST_DEPTH = 24;

    public static function from(): string
    {
        return 'tallcrow.artwork/1';
    }

    public static function upgraded(array $file): array
    {
        return ['format' => 'tallcrow.artwork/2'] + self::each(self::each($file, 'distress', self::wear(...)), 'layers', self::layer(...));
    }

    /**
     * @param  array<array-key, mixed>  $layer
     * @return array<array-key, mixed>
     */
    private static function layer(array $layer, int $depth = 0): array
    {
        $layer = self::each($layer, 'effects', fn (array $line): array => self::words($line, self::EFFECTS[self::kind($line)] ?? []));
        $layer = self::each($layer, 'distress', self::wear(...));
        if (is_array($layer['repeat'] ?? null)) {
            $layer['repeat'] = self::words($layer['repeat'], self::REPEAT);
        }
        if ($depth < self::MOST_DEPTH && is_array($layer['source'] ?? null)) {
            $layer['source'] = self::each($layer['source'], 'layers', fn (array $child): array => self::layer($child, $depth + 1));
        }

        return $layer;
    }

    /**
     * @param  array<array-key, mixed>  $wear
     * @return array<array-key, mixed>
     */
    private static function wear(array $wear): array
    {
        return self::words($wear, ['texture' => self::TEXTURES]);
    }

    /** @param  array<array-key, mixed>  $line */
    private static function kind(array $line): string
    {
        return is_string($line['kind'] ?? null) ? $line['kind'] : '';
    }

    /**
     * @param  array<array-key, mixed>  $in
     * @param  array<string, array<string, string>>  $words  by key
     * @return array<array-key, mixed>
     */
    private static function words(array $in, array $words): array
    {
        foreach ($words as $key => $slugs) {
            if (is_string($in[$key] ?? null)) {
                $in[$key] = $slugs[$in[$key]] ?? $in[$key];
            }
        }

        return $in;
    }

    /**
     * @param  array<array-key, mixed>  $in
     * @param  \Closure(array<array-key, mixed>): array<array-key, mixed>  $change
     * @return array<array-key, mixed>
     */
    private static function each(array $in, string $key, \Closure $change): array
    {
        if (is_array($in[$key] ?? null)) {
            $in[$key] = array_map(fn (mixed $item): mixed => is_array($item) ? $change($item) : $item, $in[$key]);
        }

        return $in;
    }
}
