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

/**
 * Makes edges uneven: blurs them, shifts the threshold by a noise field, and sharpens again. The noise is never finer than its displacement of the edge, so
 * that the edge becomes ragged and not a comb.
 */
final readonly class Roughened implements Looks
{
    /** Noise octaves: relative size and weight, from coarse to fine. */
    private const RIPPLES = [[1.0, 0.7], [0.4, 0.3]];

    /** Amplitude of all octaves together, as a share of the range between full ink and the threshold. */
    private const PUSH = 0.68;

    /** Sigma in pixels that is sufficient to represent the blur. */
    private const BELL = 1.2;

    private function __construct(private float $by, private float $size, private int $seed) {}

    public static function kind(): string
    {
        return 'roughened';
    }

    public static function parameters(): array
    {
        return [Parameter::length('by', 0.002, 0.2, 0.02), Parameter::length('size', 0.01, 1, 0.06), Parameter::number('seed', 0, 999_999, 1)];
    }

    public static function from(Values $values): static
    {
        return new self($values->number('by'), $values->number('size'), (int) $values->number('seed'));
    }

    public function reach(): float
    {
        return $this->by * 4 + 0.05;
    }

    public function ppi(): float
    {
        // The resolution of the ink; the threshold is applied on a finer grid.
        return min(self::PRINT, self::BELL / $this->by);
    }

    public function look(Image $ink, PrintGrid $grid, WholeInk $whole): Image
    {
        // Large displacements need fewer pixels.
        $finer = max(1, (int) ceil(($this->by >= 0.012 ? self::PROOF : self::PRINT) / $grid->ppi - 0.01));
        $fine = $grid->finer($finer);
        $sigma = max(0.5, $this->by * $grid->ppi);
        $blurred = Blur::wide($ink->alpha(), $sigma, $grid->at)->settled()->enlarged($finer)->settled();
        $soft = $blurred->linear(1);
        foreach (self::RIPPLES as $i => [$size, $strength]) {
            // A straight edge blurred by σ falls from 0.84 to 0.16 between −σ and σ: the threshold moves between these.
            $ripple = Grain::over($blurred, max($this->size, 1.5 * $this->by) * $size / 3, $this->seed * 2 + $i, $fine);
            $soft = $soft->plus($ripple->linear(self::PUSH * $strength, -self::PUSH * $strength * 127.5));
        }
        $slope = $sigma * $finer * sqrt(2 * M_PI);
        // Leave full and empty areas alone: with a very narrow blur the slope is low, and the noise would thin full ink.
        $cut = $blurred->isMore(254.5)->either($blurred->isLess(0.5))->chosen($blurred, $soft->linearByte($slope, -127.5 * $slope + 127.5));

        return Blur::coloursExtended($ink, $sigma * 3, $grid->at)->withAlpha($cut->settled()->shrunk($finer)->settled());
    }
}
