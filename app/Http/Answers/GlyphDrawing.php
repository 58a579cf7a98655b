<?php

declare(strict_types=1);

namespace App\Http\Answers;

use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Path;

/** What a font draws for a letter: an SVG path in thousandths of an em from the baseline, y pointing down, and the box of its ink. */
final readonly class GlyphDrawing extends Answer
{
    private const PER_EM = 1000;

    public function __construct(
        public string $path,
        public float $left,
        public float $top,
        public float $width,
        public float $height,
    ) {}

    public static function of(Path $outline): self
    {
        if ($outline->isEmpty()) {
            return new self('', 0, 0, 0, 0);
        }
        $outline = $outline->transformed(Affine::scale(self::PER_EM, self::PER_EM));
        $box = $outline->bounds();

        return new self($outline->toSvg(0), round($box->left), round($box->top), round($box->width()), round($box->height()));
    }
}
