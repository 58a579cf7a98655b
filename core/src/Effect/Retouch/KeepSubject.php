<?php

declare(strict_types=1);

namespace TallCrow\Effect\Retouch;

use TallCrow\Cutout\Scribble;
use TallCrow\Cutout\Subject;
use TallCrow\Effect\ClearsInk;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\Values;
use TallCrow\Raster\Image;

/** Cuts out the subject of a photo with a busy background, by scribbles. */
final readonly class KeepSubject implements ClearsInk
{
    /** @param  list<Scribble>  $scribbles */
    private function __construct(private array $scribbles) {}

    public static function kind(): string
    {
        return 'subject';
    }

    public static function parameters(): array
    {
        return [Parameter::scribbles('scribbles')];
    }

    public static function from(Values $values): static
    {
        return new self($values->scribbles('scribbles'));
    }

    public function isMeasured(): bool
    {
        return false;
    }

    public function retouch(Image $ink, float $perInch): Image
    {
        return Subject::of($ink, $this->scribbles);
    }
}
