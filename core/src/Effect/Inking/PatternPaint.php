<?php

declare(strict_types=1);

namespace TallCrow\Effect\Inking;

use TallCrow\Colour\Srgb;

/** A paper or a picture seen through the letters. */
final readonly class PatternPaint implements Paint
{
    /** @param  list<Srgb>  $colours  of a paper */
    private function __construct(
        /** Kind of a paper, or the file name of a picture. */
        public string $of,
        public bool $isPaper,
        public array $colours,
        /** Of a paper 1 is its own size; of a picture 1 covers the piece just so. */
        public float $scale,
        public int $seed,
        /** Inches. */
        public float $x,
        public float $y,
        /** Each letter shows its own part, or the whole picture for itself. */
        public bool $each,
    ) {}

    /** @param  list<Srgb>  $colours */
    public static function paper(string $kind, array $colours, float $scale, int $seed, float $x, float $y, bool $each): self
    {
        return new self($kind, true, $colours, $scale, $seed, $x, $y, $each);
    }

    public static function picture(string $file, float $scale, float $x, float $y, bool $each): self
    {
        return new self($file, false, [], $scale, 0, $x, $y, $each);
    }
}
