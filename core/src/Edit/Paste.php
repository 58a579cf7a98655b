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
use TallCrow\Render\Placer;

/**
 * Lays layers that were copied, from this sheet or from another, on top of all others. Named colours that the sheet does not have come along; what
 * they name that was not copied with them and is not here is left out.
 */
final readonly class Paste extends Operation
{
    /** Inches by which copies lie beside their originals. */
    private const BESIDE = 0.15;

    /** Keys of the file's form under which other layers are named. */
    private const NAMING = ['layer', 'from', 'shielded'];

    /**
     * @param  list<Layer>  $layers
     * @param  list<array{name: string, colour: string}>  $swatches
     */
    public function __construct(public array $layers, public array $swatches) {}

    public static function name(): string
    {
        return 'paste';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'layers', 'swatches');

        return new self(LayerReader::ofAnySwatch(Pieces::MOST)->layers($node, 'layers'), array_map(function (Reading $one): array {
            $swatch = ArtworkReader::swatch($one);

            return ['name' => $swatch->name, 'colour' => $swatch->colour->toHex()];
        }, $node->items('swatches', 64)));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        if ($this->layers === []) {
            throw EditRefused::nothingCopied();
        }
        $here = array_map(fn (Layer $layer): string => $layer->id, $artwork->everyLayer());
        $old = array_map(fn (Layer $layer): string => $layer->id, array_merge([], ...array_map(fn (Layer $layer): array => $layer->everyLayer(), $this->layers)));
        $ids = [];
        foreach ($old as $id) {
            $ids[$id] = Pieces::freshId($artwork, ...array_values($ids));
        }
        $faults = new Faults;
        $renamed = LayerReader::ofAnySwatch(Pieces::MOST)->layers(Node::root(['layers' => array_map(fn (Layer $layer): array => self::renamed($layer->toArray(), $ids, $here), $this->layers)], $faults), 'layers');
        $faults->settle();
        $by = array_intersect($old, $here) === [] ? 0.0 : self::BESIDE;
        $pasted = array_map(fn (Layer $layer): Layer => $layer->moved($by, $by), $renamed);

        return Edited::choosing(
            $artwork->withSwatches([...$artwork->swatches, ...$this->missing($artwork)])->withLayers([...$artwork->layers, ...$pasted]),
            array_map(fn (Layer $layer): string => $layer->id, $pasted),
        );
    }

    /** @return list<Swatch> */
    private function missing(Artwork $artwork): array
    {
        $known = array_map(fn (Swatch $swatch): string => $swatch->name, $artwork->swatches);

        return array_values(array_map(
            fn (array $one): Swatch => new Swatch($one['name'], Srgb::hex($one['colour'])),
            array_filter($this->swatches, fn (array $one): bool => ! in_array($one['name'], $known, true)),
        ));
    }

    /**
     * @param  array<mixed>  $data  a layer, or a part of one, in the file's form
     * @param  array<string, string>  $ids  new by old
     * @param  list<string>  $here
     * @return array<mixed>
     */
    private static function renamed(array $data, array $ids, array $here): array
    {
        $name = fn (mixed $id): ?string => is_string($id) ? ($ids[$id] ?? (in_array($id, $here, true) ? $id : null)) : null;
        $made = [];
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
