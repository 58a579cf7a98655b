<?php

declare(strict_types=1);

namespace TallCrow\Effect\Look;

use TallCrow\Effect\Looks;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\Values;
use TallCrow\Look\Grain;
use TallCrow\Look\PrintGrid;
use TallCrow\Look\WholeInk;
use TallCrow\Raster\Blur;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;

/** As from a rubber stamp: ink that is thin in places and gathers along the edges. */
final readonly class Stamped implements Looks
{
    private function __construct(private float $amount, private float $size, private int $seed) {}

    public static function kind(): string
    {
        return 'stamped';
    }

    public static function parameters(): array
    {
        return [Parameter::share('amount', 0, 0.9, 0.3), Parameter::length('size', 0.01, 1, 0.08), Parameter::number('seed', 0, 999_999, 1)];
    }

    public static function from(Values $values): static
    {
        return new self($values->number('amount'), $values->number('size'), (int) $values->number('seed'));
    }

    public function reach(): float
    {
        return 0.15;
    }

    public function ppi(): float
    {
        // The rim inside the edges is some hundredths of an inch wide.
        return self::PROOF / 2;
    }

    public function look(Image $ink, PrintGrid $grid, WholeInk $whole): Image
    {
        // What a blot takes is laid at the print's pixels and averaged, so the ink itself may be coarser.
        $table = array_map(fn (int $level): int => (int) round(min(255.0, max(0.0, 8.0 * $level - 255 * 8.0 * (1 - $this->amount) + 127.5))), range(0, 255));
        $finer = max(1, (int) ceil(self::PRINT / $grid->ppi - 0.01));
        $blots = $grid->field("stamped {$this->amount} {$this->size} {$this->seed}", $ink->width(), $ink->height(), fn (int $width, int $height, array $at): Image => Lookup::bytes(
            Grain::field($width * $finer, $height * $finer, $this->size / 4, $this->seed, $grid->ppi * $finer, [$at[0] * $finer, $at[1] * $finer]), $table,
        )->settled()->shrunk($finer));
        // Inside, far from any edge, ink is missing first.
        $inside = Blur::wide($ink->alpha(), max(0.5, 0.03 * $grid->ppi), $grid->at)->linearByte(2.0, -255);

        return $ink->masked($blots->times($inside)->inverted());
    }
}
