<?php

declare(strict_types=1);

namespace TallCrow\Cutout;

use TallCrow\Raster\Blur;
use TallCrow\Raster\ColourBands;
use TallCrow\Raster\Image;
use TallCrow\Raster\Morphology;

/**
 * The subject of a photo with a busy ground, from rough scribbles of what is kept and what goes: Lazy Snapping (Y. Li, J. Sun, C.-K. Tang, H.-Y. Shum,
 * 2004), a least cut over small patches whose colours are weighed against those that were scribbled on. The cut is then laid along the picture's own edges,
 * pixel by pixel, by the colours that lie on either side of it, and what mixes the two is taken apart: see Unmixing.
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

    /** Pixels of the small picture across, either side of the cut, that may be of either. */
    private const UNSURE = 7;

    /** Pixels of the small picture from about which colours are carried. */
    private const CARRIED = 3.0;

    /** Levels between the colours on either side at which they say half of where the edge is, and how much they say at most. */
    private const EDGE = 16.0;

    private const TRUST = 0.8;

    /** Pixels by which what is decided is smoothed, so that grain makes no edge. */
    private const SMOOTH = 0.8;

    private const RIM = 3;

    /** @param  list<Scribble>  $scribbles  what is not told to go is the picture's rim */
    public static function of(Image $ink, array $scribbles): Image
    {
        if (! Scribble::any($scribbles, true)) {
            return $ink;
        }

        return Unmixing::edges($ink, self::kept($ink, $scribbles)->inverted()->settled());
    }

    /** @param  list<Scribble>  $scribbles */
    private static function kept(Image $ink, array $scribbles): Image
    {
        $small = self::sized($ink->band(0, 3), self::PIXELS);
        $patches = Superpixels::of($small, self::PATCHES);
        $kept = self::marked($patches, Scribble::mask($scribbles, true, $small->width(), $small->height()));
        $gone = Scribble::any($scribbles, false)
            ? self::marked($patches, Scribble::mask($scribbles, false, $small->width(), $small->height()))
            : array_diff_key(self::rim($patches), $kept);
        $isKept = self::cut($patches, $kept, array_diff_key($gone, $kept));
        $bytes = implode('', array_map(fn (int $patch): string => $isKept[$patch] ? "\xff" : "\0", $patches->of));

        return self::alongEdges($ink, $small, Image::raw($bytes, $patches->width, $patches->height, 1));
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

    /**
     * Where the picture's own edge runs by the cut: each pixel near it goes to that of the two colours about it, of what is well within and of what is
     * well without, to which it is nearer.
     */
    private static function alongEdges(Image $ink, Image $small, Image $mask): Image
    {
        [$width, $height] = [$ink->width(), $ink->height()];
        $soft = Blur::gaussian($mask, self::UNSURE / 4, 0.02)->settled();
        $near = $soft->isMore(2.0)->both($soft->isLess(253.0))->settled();
        $kept = Tiles::flat($mask, $width, $height);
        // With the pixels about it from which it is enlarged.
        $tiles = Tiles::under(Morphology::grown($near, 7)->settled(), $width, $height, self::RIM);
        if ($tiles === null) {
            return $kept->settled();
        }
        $within = self::carried($small, Morphology::worn($mask, self::UNSURE)->settled());
        $without = self::carried($small, Morphology::worn($mask->inverted()->settled(), self::UNSURE)->settled());
        // All that is enlarged is so at once.
        $about = $tiles->packed($within->withBand($without)->withBand($soft)->stretched($width, $height)->withBand($ink->band(0, 3)));
        $edge = $about->band(6)->settled();
        $score = self::score($about->band(7, 3), $about->band(0, 3), $about->band(3, 3), $edge);

        return $tiles->laid($edge->isMore(2.0)->both($edge->isLess(253.0))->chosen($score, $edge->isMore(127.0))->settled(), $kept)->settled();
    }

    /** 255 where a pixel's colour is nearer to that of what lies within; where both are alike, where the cut runs. */
    private static function score(Image $colours, Image $within, Image $without, Image $soft): Image
    {
        [$way, $off] = [$within->minus($without)->settled(), $colours->minus($without)];
        $length = ColourBands::product($way, $way)->settled();
        $share = ColourBands::product($off, $way)->divided($length->linear(1.0, 1.0))->unitToByte();
        $known = $length->divided($length->linear(1.0, self::EDGE ** 2))->linear(self::TRUST);
        $score = $share->minus($soft)->multiplied($known)->plus($soft)->linearByte(1.0)->settled();

        return Blur::gaussian($score, self::SMOOTH, 0.05)->isMore(127.0);
    }

    /** Colours carried from where a mask is to where it is not, some pixels on. */
    private static function carried(Image $colours, Image $mask): Image
    {
        $weight = Blur::gaussian($mask->linear(1 / 255, 1e-6), self::CARRIED, 0.02)->settled();

        return Blur::gaussian($colours->multiplied($mask->linear(1 / 255, 1e-6)), self::CARRIED, 0.02)->divided($weight)->linearByte(1.0)->settled();
    }

    /** A small picture; blocks are averaged first, which is quick. */
    private static function sized(Image $image, int $pixels): Image
    {
        $by = min(1.0, sqrt($pixels / ($image->width() * $image->height())));
        $blocks = max(1, (int) floor(0.5 / $by));

        return ($by < 1 ? $image->shrunk($blocks)->settled()->resized($by * $blocks) : $image)->settled();
    }
}
