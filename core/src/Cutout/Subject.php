<?php

declare(strict_types=1);

namespace TallCrow\Cutout;

use TallCrow\Raster\ColourBands;
use TallCrow\Raster\GuidedFilter;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;

/**
 * The subject of a photo with a busy ground, from rough scribbles of what is kept and what goes: Lazy Snapping (Y. Li, J. Sun, C.-K. Tang, H.-Y. Shum,
 * 2004), a least cut over small patches whose colours are weighed against those that were scribbled on. The cut is then laid along the picture's own edges by
 * a guided filter (K. He, J. Sun, 2015).
 */
final class Subject
{
    /** Pixels of the small picture, and patches in it. */
    private const PIXELS = 90_000;

    private const PATCHES = 1800;

    /** Colours that stand for what was scribbled on. */
    private const COLOURS = 16;

    /** How much it costs to cut between patches that are alike. */
    private const TOGETHER = 1.4;

    /** Squared distance in Lab at which two patches are half as alike. */
    private const ALIKE = 60.0;

    private const NEVER = 1e6;

    private const MARKED = 127;

    /** How broad the filter is, in pixels of the small picture, and the contrast in levels that is an edge. */
    private const BREADTH = 2.0;

    private const EDGE = 12.0;

    /** @param  list<Scribble>  $scribbles  what is not told to go is the picture's rim */
    public static function of(Image $ink, array $scribbles): Image
    {
        if (! Scribble::any($scribbles, true)) {
            return $ink;
        }

        return $ink->masked(self::alpha($ink, $scribbles));
    }

    /** @param  list<Scribble>  $scribbles */
    private static function alpha(Image $ink, array $scribbles): Image
    {
        $small = self::sized($ink->band(0, 3), self::PIXELS);
        $patches = Superpixels::of($small, self::PATCHES);
        $kept = self::marked($patches, Scribble::mask($scribbles, true, $small->width(), $small->height()));
        $gone = Scribble::any($scribbles, false)
            ? self::marked($patches, Scribble::mask($scribbles, false, $small->width(), $small->height()))
            : array_diff_key(self::rim($patches), $kept);
        $isKept = self::cut($patches, $kept, array_diff_key($gone, $kept));
        $bytes = implode('', array_map(fn (int $patch): string => $isKept[$patch] ? "\xff" : "\0", $patches->of));

        return self::alongEdges($ink, Image::raw($bytes, $patches->width, $patches->height, 1));
    }

    /**
     * @param  array<int, true>  $kept
     * @param  array<int, true>  $gone
     * @return list<bool>
     */
    private static function cut(Superpixels $patches, array $kept, array $gone): array
    {
        [$front, $back] = [self::colours($patches, $kept), self::colours($patches, $gone)];
        $cut = new LeastCut(count($patches->colours));
        foreach ($patches->colours as $i => $lab) {
            $toFront = self::nearest($lab, $front);
            $toBack = self::nearest($lab, $back);
            match (true) {
                isset($kept[$i]) => $cut->node($i, self::NEVER, 0.0),
                isset($gone[$i]) => $cut->node($i, 0.0, self::NEVER),
                default => $cut->node($i, $toBack / max(1e-6, $toFront + $toBack), $toFront / max(1e-6, $toFront + $toBack)),
            };
        }
        $usual = sqrt(count($patches->of) / max(1, count($patches->colours)));
        foreach ($patches->borders() as $pair => $long) {
            [$one, $other] = array_map(intval(...), explode(' ', $pair));
            $far = self::squared($patches->colours[$one], $patches->colours[$other]);
            $cut->edge($one, $other, self::TOGETHER * $long / $usual / (1 + $far / self::ALIKE));
        }

        return $cut->cut();
    }

    /** @return array<int, true> patches that a scribble touches */
    private static function marked(Superpixels $patches, Image $mask): array
    {
        $marked = [];
        foreach (str_split($mask->toBytes()) as $at => $level) {
            if (ord($level) > self::MARKED) {
                $marked[$patches->of[$at]] = true;
            }
        }

        return $marked;
    }

    /** @return array<int, true> */
    private static function rim(Superpixels $patches): array
    {
        $rim = [];
        foreach ($patches->of as $at => $patch) {
            [$x, $y] = [$at % $patches->width, intdiv($at, $patches->width)];
            if ($x === 0 || $y === 0 || $x === $patches->width - 1 || $y === $patches->height - 1) {
                $rim[$patch] = true;
            }
        }

        return $rim;
    }

    /**
     * A few colours that are far from one another and stand for all of the marked patches.
     *
     * @param  array<int, true>  $marked
     * @return list<array{float, float, float}>
     */
    private static function colours(Superpixels $patches, array $marked): array
    {
        $all = array_map(fn (int $patch): array => $patches->colours[$patch], array_keys($marked));
        $chosen = array_slice($all, 0, 1);
        while ($all !== [] && count($chosen) < self::COLOURS) {
            $far = array_map(fn (array $lab): float => self::nearest($lab, $chosen), $all);
            $most = array_keys($far, max($far), true)[0];
            if ($far[$most] < 4.0) {
                break;
            }
            $chosen[] = $all[$most];
        }

        return $chosen;
    }

    /**
     * @param  array{float, float, float}  $lab
     * @param  list<array{float, float, float}>  $colours
     */
    private static function nearest(array $lab, array $colours): float
    {
        return $colours === [] ? 1.0 : sqrt(min(array_map(fn (array $colour): float => self::squared($lab, $colour), $colours)));
    }

    /**
     * @param  array{float, float, float}  $one
     * @param  array{float, float, float}  $other
     */
    private static function squared(array $one, array $other): float
    {
        return ($one[0] - $other[0]) ** 2 + ($one[1] - $other[1]) ** 2 + ($one[2] - $other[2]) ** 2;
    }

    /** The mask with the picture's own edges; nearly whole or none, but for a soft rim. */
    private static function alongEdges(Image $ink, Image $mask): Image
    {
        $grey = ColourBands::luminance($ink)->settled();
        $sized = $mask->resized($grey->width() / $mask->width(), $grey->height() / $mask->height())->settled();
        $soft = GuidedFilter::filtered($sized, $grey, max(1.0, self::BREADTH * $grey->width() / $mask->width()), self::EDGE)->settled();

        return Lookup::bytes($soft, array_map(fn (int $level): int => (int) round(255 * min(1.0, max(0.0, ($level - 80) / 95))), range(0, 255)));
    }

    /** A small picture; blocks are averaged first, which is quick. */
    private static function sized(Image $image, int $pixels): Image
    {
        $by = min(1.0, sqrt($pixels / ($image->width() * $image->height())));
        $blocks = max(1, (int) floor(0.5 / $by));

        return ($by < 1 ? $image->shrunk($blocks)->settled()->resized($by * $blocks) : $image)->settled();
    }
}
