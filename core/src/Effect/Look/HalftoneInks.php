<?php

declare(strict_types=1);

namespace TallCrow\Effect\Look;

use TallCrow\Colour\Srgb;
use TallCrow\Effect\DrawsDots;
use TallCrow\Effect\LeavesNoFade;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\StandsOut;
use TallCrow\Effect\Values;
use TallCrow\Look\Dots;
use TallCrow\Look\PrintGrid;
use TallCrow\Look\Screen;
use TallCrow\Look\Separation;
use TallCrow\Raster\Image;

/** Separates a picture into one to four solid inks, each screened at its own angle, the darkest first. Colours are
 * reproduced by the coverages of the inks. */
final readonly class HalftoneInks implements DrawsDots, LeavesNoFade, StandsOut
{
    use LaysDots;

    /** @param  list<Srgb>  $inks */
    private function __construct(private array $inks, private float $lpi, private float $angle, private Dots $dots) {}

    public static function kind(): string
    {
        return 'halftone-inks';
    }

    public static function parameters(): array
    {
        return [
            Parameter::colours('inks', ['#1f1d1a'], 1, 4),
            Parameter::number('lpi', 5, 120, 30),
            Parameter::angle('angle', 45),
            Parameter::choice('dots', Dots::class, Dots::Round),
        ];
    }

    public static function liesBeside(): bool
    {
        return false;
    }

    public static function from(Values $values): static
    {
        return new self($values->colours('inks'), $values->number('lpi'), $values->number('angle'), Dots::from($values->word('dots')));
    }

    public function reach(): float
    {
        return 0.02;
    }

    public function dots(Image $ink, PrintGrid $grid): array
    {
        return Separation::dots($ink, $this->inks, $this->lpi, $this->angle, $this->dots, $grid);
    }

    public function glancedPpi(): float
    {
        return (new Screen($this->lpi, $this->angle, $this->dots))->glancedPpi();
    }
}
