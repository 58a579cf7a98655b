<?php

declare(strict_types=1);

namespace TallCrow\Cutout;

use TallCrow\Colour\Palette;
use TallCrow\Colour\Srgb;
use TallCrow\Colour\Swatch;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;
use TallCrow\Raster\Morphology;

/** Removes the background of a picture: each method returns the picture with less alpha and unchanged colours. */
final class Background
{
    /** A colour counts as background if it makes up at least this share of the rim. */
    private const SHARE = 0.12;

    /**
     * Least opaque share of the rim for a picture to have a background at all (our choice): the rim of a picture that was freed before is clear, except where
     * the art is cut off.
     */
    private const GROUND = 0.5;

    /** Factor on the tolerance for isolated pixels, which are grain. */
    private const GRAIN = 2.0;

    private const SAMPLE = 220;

    /** Oversampling factor, each way, for finding mixtures along edges. */
    private const EVERY = 4;

    private const PURE = 0.1;

    /** Largest CIEDE2000 difference at which a bucket counts as the one that was hidden. */
    private const SAME = 12.0;

    /**
     * Removes what is connected to the picture's edge and similar to the colours there.
     *
     * @param  float  $tolerance  CIEDE2000
     * @param  bool  $islands  whether to remove enclosed parts of these colours as well
     * @param  list<Scribble>  $scribbles  strokes over what is kept, whatever its colour, and in pockets that go
     */
    public static function fromEdge(Image $ink, float $tolerance, bool $islands, array $scribbles = []): Image
    {
        $colours = self::rim($ink);
        if ($colours === []) {
            return $ink;
        }
        $like = self::like($ink, $colours, $tolerance)->either($ink->alpha()->isLess(1.0));
        if (Scribble::any($scribbles, true)) {
            $like = $like->both(Scribble::mask($scribbles, true, $ink->width(), $ink->height())->isMore(127.0)->inverted());
        }
        $like = $like->settled();
        if (! $islands) {
            $outside = self::joinedToEdge($like);
            $like = Scribble::any($scribbles, false) ? $outside->either(Pockets::touched($like, Scribble::mask($scribbles, false, $ink->width(), $ink->height()))) : $outside;
        } else {
            $like = Mixtures::without($like, $ink);
        }

        return Unmixing::edges($ink, $like->settled());
    }

    /** Enclosed parts of the background, which stay unless they are chosen. */
    public static function enclosed(Image $ink, float $tolerance): Image
    {
        $colours = self::rim($ink);
        if ($colours === []) {
            return Image::empty($ink->width(), $ink->height(), 1);
        }
        $like = self::like($ink, $colours, $tolerance)->both($ink->alpha()->isMore(127.0))->settled();

        return $like->both(self::joinedToEdge($like)->inverted())->settled();
    }

    /**
     * A mask of what is within the tolerance of one of the colours. One or two isolated pixels slightly beyond it count as grain and are included.
     *
     * @param  non-empty-list<Srgb>  $colours
     * @param  float  $tolerance  CIEDE2000
     * @return Image settled
     */
    private static function like(Image $ink, array $colours, float $tolerance): Image
    {
        $difference = ColourKeys::of($ink)->difference($colours)->settled();
        $near = $tolerance * ColourKeys::PER_UNIT + 0.5;
        $unlike = $difference->isMore($near)->settled();

        return $unlike->both(Morphology::lone($unlike, 1)->both($difference->isLess(self::GRAIN * $near))->inverted())->inverted()->settled();
    }

    private static function joinedToEdge(Image $like): Image
    {
        [$width, $height] = [$like->width(), $like->height()];
        // A border of background around the picture connects all parts that touch the edge.
        $wide = $like->inverted()->embed(1, 1, $width + 2, $height + 2)->inverted();

        return Morphology::flooded($wide, 128.0)->crop(1, 1, $width, $height)->isEqual(128.0)->settled();
    }

    /** Removes everything similar to one colour. */
    public static function ofColour(Image $ink, Srgb $colour, float $tolerance): Image
    {
        return Unmixing::edges($ink, Mixtures::without(self::like($ink, [$colour], $tolerance), $ink));
    }

    /**
     * Reduces the picture to a few colours and removes some of them.
     *
     * @param  list<Srgb>  $hidden  as returned by buckets()
     */
    public static function ofBuckets(Image $ink, int $count, array $hidden): Image
    {
        $buckets = self::buckets($ink, $count);
        $gone = array_values(array_unique(array_filter(array_map(fn (Srgb $colour): ?int => self::bucketOf($buckets, $colour), $hidden), is_int(...))));
        if ($gone === [] || $buckets === []) {
            return $ink;
        }
        $table = array_map(fn (int $number): int => in_array($number, $gone, true) ? 255 : 0, range(0, 255));
        $hides = Lookup::bytes(ColourKeys::of($ink)->nearest(array_map(fn (Swatch $bucket): Srgb => $bucket->colour, $buckets)), $table)->settled();
        // Ignore mixtures along soft edges, both between two colours that stay and between two that go.
        $hides = Mixtures::without($hides, $ink);
        $hides = Mixtures::without($hides->inverted()->settled(), $ink)->inverted()->settled();

        return Unmixing::edges($ink, $hides);
    }

    /**
     * The bucket that a hidden colour refers to: its own, or the nearest one if the number of buckets has changed; null if none is near.
     *
     * @param  list<Swatch>  $buckets
     */
    public static function bucketOf(array $buckets, Srgb $colour): ?int
    {
        $far = array_map(fn (Swatch $bucket): float => $bucket->colour->toLab()->difference($colour->toLab()), $buckets);

        return $far === [] || min($far) > self::SAME ? null : array_keys($far, min($far), true)[0];
    }

    /** @return list<Swatch> with their shares, the most common first; mixtures along soft edges are left out */
    public static function buckets(Image $ink, int $count): array
    {
        $small = $ink->resized(min(1.0, self::SAMPLE * self::EVERY / max($ink->width(), $ink->height())))->settled();
        $every = max(1, intdiv(max($small->width(), $small->height()), self::SAMPLE));
        $mixed = Mixtures::of($small)->subsampled($every)->toBytes();
        $pure = $all = '';
        foreach (str_split($small->subsampled($every)->toBytes(), 4) as $i => $pixel) {
            if (ord($pixel[3]) > 127) {
                $all .= substr($pixel, 0, 3);
                $pure .= $mixed[$i] === "\0" ? substr($pixel, 0, 3) : '';
            }
        }

        // A fine pen drawing consists almost only of edges: then count them.
        return Palette::of(strlen($pure) < self::PURE * strlen($all) ? $all : $pure, $count);
    }

    /** @return list<Srgb> the colours that make up a substantial part of the rim; none if the rim is mostly clear */
    private static function rim(Image $ink): array
    {
        [$width, $height] = [$ink->width(), $ink->height()];
        $bytes = '';
        foreach ([[0, 0, $width, 1], [0, $height - 1, $width, 1], [0, 0, 1, $height], [$width - 1, 0, 1, $height]] as $line) {
            foreach (str_split($ink->crop(...$line)->toBytes(), 4) as $pixel) {
                $bytes .= ord($pixel[3]) > 127 ? substr($pixel, 0, 3) : '';
            }
        }
        if (strlen($bytes) / 3 < self::GROUND * 2 * ($width + $height)) {
            return [];
        }
        $found = Palette::of($bytes, 4);
        $named = array_values(array_filter($found, fn (Swatch $swatch): bool => $swatch->share >= self::SHARE));

        return array_map(fn (Swatch $swatch): Srgb => $swatch->colour, $named === [] ? $found : $named);
    }
}
