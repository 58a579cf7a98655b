<?php

declare(strict_types=1);

namespace TallCrow\Effect\Retouch;

use TallCrow\Cutout\Background;
use TallCrow\Cutout\Scribble;
use TallCrow\Effect\ClearsInk;
use TallCrow\Effect\LooksFor;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\Values;
use TallCrow\Raster\Image;

/** Removes the background connected to the picture's edge, by colour difference (CIEDE2000). */
final readonly class ClearEdge implements ClearsInk, LooksFor
{
    /** @param  list<Scribble>  $scribbles  strokes over what is kept whatever its colour, and in pockets that go */
    private function __construct(private float $tolerance, private bool $islands, private array $scribbles) {}

    public static function kind(): string
    {
        return 'clear-edge';
    }

    public static function parameters(): array
    {
        return [Parameter::number('tolerance', 0.5, 60, 12), Parameter::oneOf('islands', ['kept', 'cleared'], 'kept'), Parameter::scribbles('scribbles'), Parameter::area()];
    }

    public function findsNothing(): string
    {
        return 'clears the background, and finds none along the rim';
    }

    public static function from(Values $values): static
    {
        return new self($values->number('tolerance'), $values->word('islands') === 'cleared', $values->scribbles('scribbles'));
    }

    public function isMeasured(): bool
    {
        return false;
    }

    public function retouch(Image $ink, float $perInch): Image
    {
        return Background::fromEdge($ink, $this->tolerance, $this->islands, $this->scribbles);
    }
}
