<?php

declare(strict_types=1);

namespace TallCrow\Effect\Inking;

use TallCrow\Colour\Srgb;

/** A paper or picture fill. */
final readonly class PatternPaint implements Paint
{
    /** @param  list<Srgb>  $colours  the paper's colours */
    private function __construct(
        /** The paper's kind, or the picture's file name. */
        public string $of,
        public bool $isPaper,
        public array $colours,
        /** Scale: for a paper, 1 is its own size; for a picture, 1 just covers the piece. */
        public float $scale,
        public int $seed,
        /** Offset in inches. */
        public float $x,
        public float $y,
        /** Whether each letter shows a part (of a paper) or the whole picture of its own. */
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
