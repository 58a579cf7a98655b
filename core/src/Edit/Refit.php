<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Reading;
use TallCrow\Measure\Ppi;
use TallCrow\Measure\PrintArea;
use TallCrow\Render\Placer;

/** Moves the design to another print area, scaling every length by one factor. */
final readonly class Refit extends Operation
{
    /**
     * @param  int  $width  pixels
     * @param  int  $height  pixels
     */
    public function __construct(public int $width, public int $height, public float $ppi) {}

    public static function name(): string
    {
        return 'refit';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'width', 'height', 'ppi');

        return new self($node->integer('width', 1, PrintArea::MAX_SIDE), $node->integer('height', 1, PrintArea::MAX_SIDE), $node->number('ppi', 10, Ppi::MAX));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        return Edited::of($artwork->refitted(PrintArea::pixels('', $this->width, $this->height, Ppi::of($this->ppi))));
    }
}
