<?php

declare(strict_types=1);

namespace TallCrow\Cutout;

use TallCrow\Raster\ColourBands;
use TallCrow\Raster\Image;
use TallCrow\Raster\Morphology;

/**
 * Pixels of soft edges: mixtures of what lies on either side, and no colours of the picture's own. A mixture lies, in sRGB, between two pixels that
 * are neighbours of it in opposite directions: the sum of its distances from them is hardly more than theirs from one another.
 */
final class Mixtures
{
    /** Levels between two neighbours from which on there is an edge: less is grain. */
    private const EDGE = 21.0;

    /** By how much the way over a mixture may be longer than the straight one. */
    private const DETOUR = 1.15;

    /** A mixture has this part at least of either side: less is grain. */
    private const PART = 0.04;

    private const OPAQUE = 250.0;

    /** Pixels of thin parts from which on they are grain. */
    private const GRAIN = 200_000;

    /** Pixels about one that stands for itself within which mixtures are its own. */
    public const ABOUT = 2;

    /**
     * @param  Image  $ink  settled
     * @return Image 255 where a pixel is a mixture: one band
     */
    public static function of(Image $ink): Image
    {
        return self::lazily($ink)->settled();
    }

    /** As of(), and computed only where it is asked for. */
    private static function lazily(Image $ink): Image
    {
        $colours = $ink->band(0, 3);
        [$width, $height] = [$colours->width(), $colours->height()];
        $wide = $colours->spread(1, 1, $width + 2, $height + 2);
        $at = fn (int $x, int $y): Image => $wide->crop(1 + $x, 1 + $y, $width, $height);
        $mixed = null;
        foreach ([[1, 0], [0, 1]] as [$x, $y]) {
            [$one, $other] = [$at($x, $y), $at(-$x, -$y)];
            $apart = self::apart($one, $other);
            [$near, $far] = [self::apart($colours, $one), self::apart($colours, $other)];
            $over = $near->plus($far)->minus($apart->linear(self::DETOUR))->isLess(0.0);
            $parted = $near->lesser($far)->minus($apart->linear(self::PART))->isMore(0.0);
            $here = $over->both($parted)->both($apart->isMore(self::EDGE));
            $mixed = $mixed?->either($here) ?? $here;
        }

        // What lies next to clear pixels has no colour on that side.
        return $mixed->both(Morphology::grown($ink->alpha()->isLess(self::OPAQUE))->inverted());
    }

    /**
     * A mask without what of it are mixtures of other colours alone: parts a pixel or two wide, no pixel of which stands for itself.
     *
     * @param  Image  $mask  255 or 0, settled
     */
    public static function without(Image $mask, Image $ink): Image
    {
        // What a square of three pixels fits into is no edge, nor what lies about it.
        $body = Morphology::grown(Morphology::worn($mask), 2 * self::ABOUT + 3)->settled();
        $thin = $mask->both($body->inverted())->settled();
        // Grain is no edge: in a photograph there is thin everywhere.
        if ($thin->mean() === 0.0 || $thin->area() > self::GRAIN) {
            return $mask;
        }
        // Asked for where the mask is thin alone: elsewhere nothing is computed.
        $own = $thin->chosen(self::lazily($ink->settled())->inverted(), $thin)->settled();

        return $mask->both($body->either(Morphology::grown($own, 2 * self::ABOUT + 1)))->settled();
    }

    private static function apart(Image $one, Image $other): Image
    {
        $off = $one->minus($other);

        return ColourBands::product($off, $off)->raised(0.5);
    }
}
