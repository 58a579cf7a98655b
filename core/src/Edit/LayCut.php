<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Follows;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Reading;
use TallCrow\Artwork\TextSource;
use TallCrow\Render\Placer;

/** Lays another style of a typeface (its shadow, its outline) behind or over the words of a layer. */
final readonly class LayCut extends Operation
{
    /** @param  string  $font  file name */
    public function __construct(public string $id, public string $font, public bool $behind) {}

    public static function name(): string
    {
        return 'lay-cut';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'id', 'font', 'behind');

        return new self($node->id('id'), $node->asset('font'), $node->flag('behind', false));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        $layer = Pieces::one($artwork, $this->id);
        $words = $layer->words() ?? throw EditRefused::noWords($layer->called());
        $cut = Pieces::copy($artwork, $layer)->withSource(new TextSource($words->text, $this->font, $words->align, $words->leading))
            ->following(Follows::worded($layer->follows->layer ?? $layer->id));

        return Edited::choosing($artwork->replacing($this->id, fn (Layer $own): array => $this->behind ? [$cut, $own] : [$own, $cut]), [$cut->id]);
    }
}
