<?php

declare(strict_types=1);

namespace TallCrow\Effect\Look;

use TallCrow\Colour\Srgb;
use TallCrow\Colour\Swatch;
use TallCrow\Cutout\Background;
use TallCrow\Cutout\ColourKeys;
use TallCrow\Effect\Looks;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\Values;
use TallCrow\Look\PrintGrid;
use TallCrow\Look\WholeInk;
use TallCrow\Raster\Blur;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;
use TallCrow\Raster\Morphology;

/** Reduces the piece to a few colours, clustered in Lab, in areas with smooth borders. */
final readonly class Posterised implements Looks
{
    /** Side, in inches, of the mode filter that smooths borders. */
    private const SMOOTH = 0.02;

    private function __construct(private int $count) {}

    public static function kind(): string
    {
        return 'posterised';
    }

    public static function parameters(): array
    {
        return [Parameter::number('count', 2, 24, 5)];
    }

    public static function from(Values $values): static
    {
        return new self((int) $values->number('count'));
    }

    public function reach(): float
    {
        return 0.15;
    }

    public function ppi(): float
    {
        return self::PROOF;
    }

    public function look(Image $ink, PrintGrid $grid, WholeInk $whole): Image
    {
        $buckets = fn (Image $counted): string => implode(' ', array_map(fn (Swatch $bucket): string => $bucket->colour->toHex(), Background::buckets($counted, $this->count)));
        $found = $whole->found("buckets {$this->count}", $buckets);
        if ($found === '') {
            return $ink;
        }
        $colours = array_map(Srgb::hex(...), explode(' ', $found));
        // Along an edge between two colours others occur, but they are never the most common.
        $side = min(Morphology::MOST_SIDE, 2 * (int) round(self::SMOOTH * $grid->ppi / 2) + 1);
        $full = Blur::coloursExtended($ink, 0.02 * $grid->ppi, $grid->at);
        $nearest = ColourKeys::of($full)->mostOf($colours)->settled();

        return Lookup::indexed(Morphology::commonest($nearest, $side, count($colours)), $colours)->withBand($ink->alpha());
    }
}
