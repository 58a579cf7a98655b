<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\ArtworkReader;
use TallCrow\Artwork\Faults;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\LayerReader;
use TallCrow\Artwork\Node;
use TallCrow\Artwork\Reading;
use TallCrow\Colour\Srgb;
use TallCrow\Colour\Swatch;

/** Prepares layers from elsewhere for a sheet: gives them unused ids, adds the named colours that they need, and removes references to missing layers. */
final class Renaming
{
    /** Keys of the file format that refer to other layers. */
    private const NAMING = ['layer', 'from', 'shielded'];

    /** Keys with free text, which is never taken for a colour or a file name. */
    private const SAID = ['id', 'name', 'text'];

    /**
     * @param  list<Layer>  $layers
     * @return list<Layer>
     */
    public static function fresh(array $layers, Artwork $artwork): array
    {
        $here = array_map(fn (Layer $layer): string => $layer->id, $artwork->everyLayer());
        $ids = [];
        foreach ($layers as $layer) {
            foreach ($layer->everyLayer() as $one) {
                $ids[$one->id] = Pieces::freshId($artwork, ...array_values($ids));
            }
        }
        $faults = new Faults;
        $renamed = LayerReader::ofAnySwatch(Pieces::MOST)->layers(Node::root(['layers' => array_map(fn (Layer $layer): array => self::renamed($layer->toArray(), $ids, $here), $layers)], $faults), 'layers');
        $faults->settle();

        return $renamed;
    }

    /**
     * The layers with some colours, fonts and pictures replaced.
     *
     * @param  list<Layer>  $layers
     * @param  array<string, string>  $instead  new by old: "#rrggbb", "@Name" or the name of a file
     * @return list<Layer>
     */
    public static function replaced(array $layers, array $instead): array
    {
        if ($instead === []) {
            return $layers;
        }
        $faults = new Faults;
        $made = LayerReader::ofAnySwatch(Pieces::MOST)->layers(Node::root(['layers' => array_map(fn (Layer $layer): array => self::exchanged($layer->toArray(), $instead), $layers)], $faults), 'layers');
        $faults->settle();

        return $made;
    }

    /** @return list<array{name: string, colour: string}> */
    public static function swatches(Reading $node): array
    {
        return array_map(function (Reading $one): array {
            $swatch = ArtworkReader::swatch($one);

            return ['name' => $swatch->name, 'colour' => $swatch->colour->toHex()];
        }, $node->items('swatches', 64));
    }

    /**
     * The sheet with the named colours that it lacks added.
     *
     * @param  list<array{name: string, colour: string}>  $swatches
     */
    public static function naming(Artwork $artwork, array $swatches): Artwork
    {
        $known = array_map(fn (Swatch $swatch): string => $swatch->name, $artwork->swatches);
        $missing = array_filter($swatches, fn (array $one): bool => ! in_array($one['name'], $known, true));

        return $artwork->withSwatches([...$artwork->swatches, ...array_values(array_map(fn (array $one): Swatch => new Swatch($one['name'], Srgb::hex($one['colour'])), $missing))]);
    }

    /**
     * @param  array<mixed>  $data  a layer, or a part of one, as in the file
     * @param  array<string, string>  $instead
     * @return array<mixed>
     */
    private static function exchanged(array $data, array $instead): array
    {
        $made = [];
        foreach ($data as $key => $value) {
            $made[$key] = match (true) {
                is_array($value) => self::exchanged($value, $instead),
                is_string($value) && ! in_array($key, self::SAID, true) => $instead[$value] ?? $value,
                default => $value,
            };
        }

        return $made;
    }

    /**
     * @param  array<mixed>  $data  a layer, or a part of one, as in the file
     * @param  array<string, string>  $ids  new by old
     * @param  list<string>  $here
     * @return array<mixed>
     */
    private static function renamed(array $data, array $ids, array $here): array
    {
        $name = fn (mixed $id): ?string => is_string($id) ? ($ids[$id] ?? (in_array($id, $here, true) ? $id : null)) : null;
        $made = [];
        if (! is_array($data['follows'] ?? null) || $name($data['follows']['layer'] ?? null) === null) {
            unset($data['follows']);
        }
        foreach ($data as $key => $value) {
            if (is_array($value) && $key === 'masks') {
                $value = array_filter($value, fn (mixed $mask): bool => ! is_array($mask) || ($mask['kind'] ?? '') !== 'clip' || $name($mask['layer'] ?? null) !== null);
                $value = array_values($value);
            }
            $made[$key] = match (true) {
                $key === 'id' && is_string($value) => $ids[$value] ?? $value,
                in_array($key, self::NAMING, true) && is_array($value) => array_values(array_filter(array_map($name, $value))),
                in_array($key, self::NAMING, true) && is_string($value) => $name($value) ?? $value,
                is_array($value) => self::renamed($value, $ids, $here),
                default => $value,
            };
        }

        return $made;
    }
}
