<?php

declare(strict_types=1);

namespace TallCrow\Effect\Look;

use TallCrow\Colour\Srgb;
use TallCrow\Cutout\ColourKeys;
use TallCrow\Cutout\Mixtures;
use TallCrow\Effect\LooksFor;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\SeesAround;
use TallCrow\Effect\Values;
use TallCrow\Look\PrintGrid;
use TallCrow\Look\WholeInk;
use TallCrow\Raster\ColourBands;
use TallCrow\Raster\Image;

/**
 * Replaces one colour by another. Colours within the tolerance (CIEDE2000) are shifted by the full difference of both, so that shades are kept; beyond it the
 * shift fades out, so that soft edges stay soft.
 */
final readonly class SwapColour implements LooksFor, SeesAround
{
    /** Range, in multiples of the tolerance, over which the shift fades out. */
    private const FADE = 1.5;

    /** Neighbourhood, in inches, by which edge pixels are recognised: some pixels of a proof. */
    private const ABOUT = 0.1;

    private function __construct(private Srgb $from, private Srgb $to, private float $tolerance) {}

    public static function kind(): string
    {
        return 'swap-colour';
    }

    public static function parameters(): array
    {
        return [Parameter::colour('from', '#1f1d1a'), Parameter::colour('to', '#f3ead7'), Parameter::number('tolerance', 0.5, 60, 12)];
    }

    public function findsNothing(): string
    {
        return $this->to->toHex() === $this->from->toHex() ? 'swaps a colour for itself' : 'swaps a colour for another, and finds none like it';
    }

    public static function from(Values $values): static
    {
        return new self($values->colour('from'), $values->colour('to'), $values->number('tolerance'));
    }

    public function reach(): float
    {
        return 0.0;
    }

    public function around(): float
    {
        return self::ABOUT;
    }

    public function ppi(): float
    {
        // At a lower one most pixels of fine lines are mixtures, which are told from the colour itself less well.
        return self::PROOF / 2;
    }

    public function look(Image $ink, PrintGrid $grid, WholeInk $whole): Image
    {
        $old = $this->from->toLab();
        [$share] = ColourKeys::of($ink)->numbers(1, function (Srgb $colour) use ($old): array {
            $beyond = ($colour->toLab()->difference($old) - $this->tolerance) / ($this->tolerance * self::FADE);

            return [(int) round(255 * min(1.0, max(0.0, 1 - $beyond)))];
        });

        // Do not change a soft edge between two other colours that passes through this one.
        $share = $share->settled();
        $share = $share->both(Mixtures::without($share->isMore(0.0)->settled(), $ink->settled()));

        return ColourBands::shifted($ink, $share, [$this->to->red - $this->from->red, $this->to->green - $this->from->green, $this->to->blue - $this->from->blue]);
    }
}
