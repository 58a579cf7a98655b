<?php

declare(strict_types=1);

namespace App\Http\Answers;

use TallCrow\Gang\Laid;
use TallCrow\Gang\Layout;

/** A layout of copies on film before it is drawn. */
final readonly class GangLayout extends Answer
{
    /**
     * @param  list<LaidCopy>  $laid
     * @param  list<float>  $lengths  inches of film of each sheet
     */
    public function __construct(
        public array $laid,
        public array $lengths,
        public float $area,
        public float $bound,
        public float $waste,
    ) {}

    public static function of(Layout $layout): self
    {
        return new self(array_map(fn (Laid $one): LaidCopy => new LaidCopy($one->piece, $one->sheet, $one->left, $one->top, $one->width, $one->height, $one->turned), $layout->laid), $layout->lengths, $layout->area(), $layout->bound(), $layout->waste());
    }
}
