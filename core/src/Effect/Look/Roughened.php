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
 * Edges made uneven: softened, pushed to and fro by a field of ripples, and made sharp again. Ripples are never finer than the way that they push
 * the edge, so that it goes ragged and not into a comb.
 */
final readonly class Roughened implements Looks
{
    /** Ripples by size, from coarse to fine, and how much each pushes. */
    private const RIPPLES = [[1.0, 0.7], [0.4, 0.3]];

    /** How far all ripples together push, as a share of what lies between full ink and the cut. */
    private const PUSH = 0.68;

    /** Pixels of a blur's sigma that carry it as well as more. */
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
        // What the ink itself asks for: the cut is laid on finer pixels.
        return min(self::PRINT, self::BELL / $this->by);
    }

    public function look(Image $ink, PrintGrid $grid, WholeInk $whole): Image
    {
        // An edge that wanders by some pixels wanders alike at fewer.
        $finer = max(1, (int) ceil(($this->by >= 0.012 ? self::PROOF : self::PRINT) / $grid->ppi - 0.01));
        $fine = $grid->finer($finer);
        $sigma = max(0.5, $this->by * $grid->ppi);
        $blurred = Blur::wide($ink->alpha(), $sigma, $grid->at)->settled()->enlarged($finer)->settled();
        $soft = $blurred->linear(1);
        foreach (self::RIPPLES as $i => [$size, $strength]) {
            // A straight edge blurred by σ falls from 0.84 to 0.16 within σ either side: the cut wanders between them.
            $ripple = Grain::over($blurred, max($this->size, 1.5 * $this->by) * $size / 3, $this->seed * 2 + $i, $fine);
            $soft = $soft->plus($ripple->linear(self::PUSH * $strength, -self::PUSH * $strength * 127.5));
        }
        $slope = $sigma * $finer * sqrt(2 * M_PI);
        // Only edges are cut: across so narrow a blur that the cut rises slowly, ripples would thin full ink, too.
        $cut = $blurred->isMore(254.5)->either($blurred->isLess(0.5))->chosen($blurred, $soft->linearByte($slope, -127.5 * $slope + 127.5));

        return Blur::coloursExtended($ink, $sigma * 3, $grid->at)->withAlpha($cut->settled()->shrunk($finer)->settled());
    }
}
