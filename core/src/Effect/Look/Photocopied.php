<?php

declare(strict_types=1);

namespace TallCrow\Effect\Look;

use TallCrow\Colour\Srgb;
use TallCrow\Effect\DrawsDots;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\StandsOut;
use TallCrow\Effect\SuitsTones;
use TallCrow\Effect\Values;
use TallCrow\Look\Dotted;
use TallCrow\Look\Grain;
use TallCrow\Look\PrintGrid;
use TallCrow\Raster\ColourBands;
use TallCrow\Raster\Composition;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;

/**
 * A copy of a copy: lightness and contrast, then a threshold with the grain of toner. Ink remains in the picture's dark parts (for light cloth) or in its
 * light parts (pale ink on dark cloth); both look like the picture, not like its negative.
 */
final readonly class Photocopied implements DrawsDots, StandsOut, SuitsTones
{
    use LaysDots;

    /** Sigma, in inches, of the grain of toner. */
    private const TONER = 0.006;

    private function __construct(private float $brightness, private float $contrast, private float $threshold, private float $grain, private Srgb $colour, private int $seed, private bool $light) {}

    public static function kind(): string
    {
        return 'photocopied';
    }

    public static function parameters(): array
    {
        return [
            Parameter::share('brightness', -1, 1, 0), Parameter::share('contrast', -1, 4, 0.6), Parameter::share('threshold', 0.02, 0.98, 0.5), Parameter::share('grain', 0, 1, 0.25),
            Parameter::colour('colour', '#1f1d1a'), Parameter::number('seed', 0, 999_999, 1), Parameter::oneOf('parts', ['dark', 'light'], 'dark'),
        ];
    }

    public static function liesBeside(): bool
    {
        return false;
    }

    public static function beginsWith(bool $isPale): array
    {
        return ['parts' => $isPale ? 'light' : 'dark'];
    }

    public static function from(Values $values): static
    {
        return new self(
            $values->number('brightness'), $values->number('contrast'), $values->number('threshold'), $values->number('grain'), $values->colour('colour'), (int) $values->number('seed'),
            $values->word('parts') === 'light',
        );
    }

    public function reach(): float
    {
        return 0.02;
    }

    public function dots(Image $ink, PrintGrid $grid): array
    {
        $light = ColourBands::luminance(Composition::onCloth($ink, $this->light ? Srgb::of(0, 0, 0) : Srgb::of(255, 255, 255)));
        $toned = $grid->fine(Lookup::bytes($light, array_map(
            fn (int $v): int => (int) round(255 * min(1.0, max(0.0, ($v / 255 - 0.5) * (1 + $this->contrast) + 0.5 + $this->brightness))),
            range(0, 255),
        )));
        // Half way between two levels, so that no tone equals the threshold. Grain shifts it; tones below it are dark.
        $least = floor(255 * $this->threshold) + 0.5;
        $dark = $this->grain <= 0 ? $toned->isLess($least) : Lookup::bytesToShorts(
            Grain::over($toned, self::TONER, $this->seed, $grid),
            array_map(fn (int $level): int => (int) min(256, max(0, ceil($least - $this->grain * 0.7 * ($level - 127.5)))), range(0, 255)),
        )->isMore($toned);

        return [Dotted::flat(($this->light ? $dark->inverted() : $dark)->both($grid->fine($ink->alpha()->isMore(127.0))), $this->colour)];
    }
}
