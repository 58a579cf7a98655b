<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Raster\Image;
use TallCrow\Raster\Morphology;

/** Where a picture has ink, and where bare cloth begins beside it: the same for every cloth that it is looked at on. */
final readonly class InkAndCloth
{
    /** Pixels across a hole that is none. */
    private const HOLES = 5;

    /**
     * @param  Image  $ink  one band, 255 where there is ink
     * @param  Image  $beside  255 where cloth is seen, and one pixel around it
     */
    private function __construct(public Image $ink, public Image $beside) {}

    /** @param  ?Image  $also  where there is ink besides, however weak: 255 there */
    public static function of(Image $picture, ?Image $also = null): self
    {
        $full = $picture->alpha()->isMore(Topmost::HALF);
        $ink = ($also === null ? $full : $full->either($also))->settled();
        // The little holes of wear and of screens bare no cloth to the eye: closed by a square (Serra, 1982).
        $filled = Morphology::worn(Morphology::grown($ink, self::HOLES), self::HOLES)->either($ink)->settled();

        return new self($ink, Morphology::grown($filled->inverted()->settled())->settled());
    }
}
