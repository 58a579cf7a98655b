<?php

declare(strict_types=1);

namespace TallCrow\Effect\Look;

use TallCrow\Effect\Looks;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\Values;
use TallCrow\Look\PrintGrid;
use TallCrow\Look\Smoothing;
use TallCrow\Look\WholeInk;
use TallCrow\Raster\Blur;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;

/**
 * Airbrush look. For words the edge fades out, which leaves half-transparent ink that a halftone can turn into dots. For pictures surfaces become smooth
 * and edges stay: smoothed only, glossy with strong highlights as on painted shirts, or bold with deep shadows as well.
 */
final readonly class Airbrushed implements Looks
{
    /** Contrast, in levels, that is kept as an edge. */
    private const EDGE = 14.0;

    /** By character: contrast added to the midtones, and lift of the highlights. */
    private const TONES = ['smooth' => [0.0, 0.0], 'glossy' => [0.07, 0.9], 'bold' => [0.12, 0.5]];

    /** Sigma in pixels that is sufficient to represent a Gaussian. */
    private const BELL = 1.5;

    /** Ppi that is sufficient to smooth surfaces as in print. */
    private const FACE = 100.0;

    /** Sigma, in inches: finer detail in a surface is grain. */
    private const GRAIN = 0.01;

    private function __construct(private float $softness, private string $character) {}

    public static function kind(): string
    {
        return 'airbrushed';
    }

    public static function parameters(): array
    {
        return [Parameter::length('softness', 0.01, 2, 0.15), Parameter::oneOf('character', ['edges', 'smooth', 'glossy', 'bold'], 'edges', pictured: true)];
    }

    public static function from(Values $values): static
    {
        return new self($values->number('softness'), $values->word('character'));
    }

    public function reach(): float
    {
        return $this->softness * ($this->character === 'edges' ? 1.2 : 2.5) + 0.1;
    }

    public function ppi(): float
    {
        // A fade is as smooth as its Gaussian; kept edges are the picture's own, and do not alias.
        return min(self::PRINT, max($this->character === 'edges' ? 0.0 : self::FACE, self::BELL / $this->sigma()));
    }

    /** Inches. */
    private function sigma(): float
    {
        return max($this->character === 'edges' ? 0.0 : self::GRAIN, $this->softness / 4);
    }

    public function look(Image $ink, PrintGrid $grid, WholeInk $whole): Image
    {
        if ($this->character === 'edges') {
            return Blur::coloursExtended($ink, $this->softness * $grid->ppi, $grid->at)->withAlpha(Blur::wide($ink->alpha(), $this->sigma() * $grid->ppi, $grid->at));
        }
        $smooth = Smoothing::guided($ink, max(1.0, $this->sigma() * $grid->ppi), self::EDGE, $grid->at);
        [$steep, $lights] = self::TONES[$this->character];

        return $lights == 0.0 ? $smooth : Lookup::toned($smooth, fn (float $v): float => $v - $steep * sin(2 * M_PI * $v) + $lights * max(0.0, $v - 0.72) ** 1.4);
    }
}
