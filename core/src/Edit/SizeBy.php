<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\LetterSize;
use TallCrow\Artwork\Reading;
use TallCrow\Render\Placer;

/** Sizes words by their letters: each at its present size, or all at one size. Layers without words are not changed. */
final readonly class SizeBy extends Operation
{
    /**
     * @param  list<string>  $ids  of layers
     * @param  ?float  $size  inches; null to keep the present sizes
     */
    public function __construct(public array $ids, public LetterSize $by, public ?float $size) {}

    public static function name(): string
    {
        return 'size-by';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'ids', 'by', 'size');

        return new self($node->texts('ids', Pieces::MOST, 40), $node->choice('by', LetterSize::class), $node->isNull('size') ? null : $node->number('size', 0.01, 100));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        $sized = 0;
        foreach ($this->ids as $id) {
            $layer = Pieces::one($artwork, $id);
            $em = $placer->em($layer);
            if ($layer->placement !== null && $em !== null) {
                $size = $this->size ?? $em * ($this->by === LetterSize::Em ? 1.0 : $placer->capital($layer));
                $artwork = $artwork->withLayer($id, $layer->withPlacement($layer->placement->lettered($this->by, round($size, 4))));
                $sized++;
            }
        }
        if ($sized === 0) {
            throw EditRefused::noWords($this->ids === [] ? '' : Pieces::one($artwork, $this->ids[0])->called());
        }

        return Edited::of($artwork);
    }
}
