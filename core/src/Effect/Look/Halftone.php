<?php

declare(strict_types=1);

namespace TallCrow\Effect\Look;

use TallCrow\Effect\DrawsDots;
use TallCrow\Effect\LeavesNoFade;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\Values;
use TallCrow\Look\Dots;
use TallCrow\Look\Dotted;
use TallCrow\Look\PrintGrid;
use TallCrow\Look\Screen;
use TallCrow\Raster\Image;

/** Turns fades and soft edges into dots or lines of solid ink, so that no half-transparent ink is left. The inked share of
 * each cell equals the alpha there. */
final readonly class Halftone implements DrawsDots, LeavesNoFade
{
    use LaysDots;

    private function __construct(private Screen $screen) {}

    public static function kind(): string
    {
        return 'halftone';
    }

    public static function parameters(): array
    {
        return [Parameter::number('lpi', 5, 120, 35), Parameter::angle('angle', 45), Parameter::choice('dots', Dots::class, Dots::Round)];
    }

    public static function from(Values $values): static
    {
        return new self(new Screen($values->number('lpi'), $values->number('angle'), Dots::from($values->word('dots'))));
    }

    public function reach(): float
    {
        return 0.02;
    }

    public function dots(Image $ink, PrintGrid $grid): array
    {
        return [Dotted::inOwnColours($this->screen->cut($grid->fine($ink->alpha()), $grid))];
    }

    public function glancedPpi(): float
    {
        return $this->screen->glancedPpi();
    }
}
