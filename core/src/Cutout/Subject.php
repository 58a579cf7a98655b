<?php

declare(strict_types=1);

namespace TallCrow\Cutout;

use TallCrow\Raster\Blur;
use TallCrow\Raster\ColourBands;
use TallCrow\Raster\Image;
use TallCrow\Raster\Morphology;

/**
 * Cuts out the subject of a photo with a busy background, from rough scribbles: a minimum cut over superpixels (see PatchCut), which is then refined along
 * the picture's edges, pixel by pixel, by the colours on either side. Mixed pixels along the edge are unmixed (see Unmixing).
 */
final class Subject
{
    /** Pixels of the small picture, and superpixels in it. */
    private const PIXELS = 90_000;

    private const PATCHES = 1800;

    /** Least share of a patch that a scribble must cover to mark it. */
    private const COVERED = 0.3;

    /**
     * If the subject with its margin takes less than this share of the picture, it is segmented once more by itself; the margin is ROOM times its longer side
     * (our choice).
     */
    private const SMALL = 0.5;

    private const ROOM = 0.2;

    private const MARKED = 127;

    /** Width, in pixels of the small picture, of the band along the cut that is decided anew pixel by pixel. */
    private const UNSURE = 7;

    /** Sigma, in pixels of the small picture, by which colours on either side are extended into the band. */
    private const CARRIED = 3.0;

    /** Difference, in levels, between the colours of both sides at which colour has half of its influence on the edge, and its greatest influence. */
    private const EDGE = 16.0;

    private const TRUST = 0.8;

    /** Sigma, in pixels, of the smoothing of the decision, so that grain makes no edge. */
    private const SMOOTH = 0.8;

    private const RIM = 3;

    /** @param  list<Scribble>  $scribbles  if no stroke marks what goes, the picture's rim does */
    public static function of(Image $ink, array $scribbles): Image
    {
        if (! Scribble::any($scribbles, true)) {
            return $ink;
        }

        return Unmixing::edgesOfShape($ink, self::kept($ink, $scribbles)->inverted()->settled());
    }

    /** @param  list<Scribble>  $scribbles */
    private static function kept(Image $ink, array $scribbles): Image
    {
        $small = self::sized($ink->band(0, 3), self::PIXELS);
        $rough = self::rough($small, $scribbles);
        $window = self::window($rough, $scribbles, $ink->width(), $ink->height());
        if ($window === null) {
            return self::alongEdges($ink, $small, $rough);
        }
        // Segment a small subject once more, with finer patches.
        [$left, $top, $width, $height] = $window;
        $part = $ink->crop($left, $top, $width, $height)->settled();
        $own = self::sized($part->band(0, 3), self::PIXELS);
        $all = ! Scribble::any($scribbles, false);
        $sides = [$all || $left > 0, $all || $top > 0, $all || $left + $width < $ink->width(), $all || $top + $height < $ink->height()];
        $moved = array_map(fn (Scribble $scribble): Scribble => $scribble->within($left, $top, $width, $height, $ink->width(), $ink->height()), $scribbles);

        return self::alongEdges($part, $own, self::rough($own, $moved, $sides))->embed($left, $top, $ink->width(), $ink->height())->settled();
    }

    /**
     * The subject's box with a margin, in pixels; null if that is most of the picture.
     *
     * @param  list<Scribble>  $scribbles
     * @return ?array{int, int, int, int} left, top, width, height
     */
    private static function window(Image $rough, array $scribbles, int $width, int $height): ?array
    {
        $box = $rough->either(Scribble::mask($scribbles, true, $rough->width(), $rough->height())->isMore(self::MARKED))->settled()->inkBox();
        if ($box === null) {
            return null;
        }
        [$left, $top, $wide, $high] = $box;
        $room = self::ROOM * max($wide, $high);
        [$across, $down] = [$width / $rough->width(), $height / $rough->height()];
        [$from, $to] = [max(0, (int) (($left - $room) * $across)), min($width, (int) ceil(($left + $wide + $room) * $across))];
        [$over, $under] = [max(0, (int) (($top - $room) * $down)), min($height, (int) ceil(($top + $high + $room) * $down))];

        return ($to - $from) * ($under - $over) < self::SMALL * $width * $height ? [$from, $over, $to - $from, $under - $over] : null;
    }

    /**
     * A mask of the patches that are kept.
     *
     * @param  list<Scribble>  $scribbles  if no stroke marks what goes, the picture's rim does
     * @param  list<bool>  $sides  for left, top, right and bottom, whether nothing is kept along that side
     */
    private static function rough(Image $small, array $scribbles, array $sides = []): Image
    {
        $patches = Superpixels::of($small, self::PATCHES);
        $kept = self::marked($patches, Scribble::mask($scribbles, true, $small->width(), $small->height()));
        $gone = Scribble::any($scribbles, false) ? self::marked($patches, Scribble::mask($scribbles, false, $small->width(), $small->height())) : [];
        $gone += self::rim($patches, $sides !== [] ? $sides : array_fill(0, 4, $gone === []));
        $isKept = PatchCut::of($patches, $kept, array_diff_key($gone, $kept));

        return Image::raw(implode('', array_map(fn (int $patch): string => $isKept[$patch] ? "\xff" : "\0", $patches->of)), $patches->width, $patches->height, 1);
    }

    /** @return array<int, true> patches well covered by a scribble, or covered best if the scribble is thinner than a patch */
    private static function marked(Superpixels $patches, Image $mask): array
    {
        $covered = $all = array_fill(0, count($patches->colours), 0);
        foreach (str_split($mask->toBytes()) as $at => $level) {
            $all[$patches->of[$at]]++;
            $covered[$patches->of[$at]] += ord($level) > self::MARKED ? 1 : 0;
        }
        $shares = array_map(fn (int $one, int $of): float => $of > 0 ? $one / $of : 0.0, $covered, $all);
        $least = min(self::COVERED, max([0.0, ...$shares]) / 2);

        return array_fill_keys(array_keys(array_filter($shares, fn (float $share): bool => $share > 0 && $share >= $least)), true);
    }

    /**
     * @param  list<bool>  $sides  left, top, right and bottom
     * @return array<int, true> patches along them
     */
    private static function rim(Superpixels $patches, array $sides): array
    {
        [$right, $bottom] = [$patches->width - 1, $patches->height - 1];
        $rim = [];
        foreach ($patches->of as $at => $patch) {
            [$x, $y] = [$at % $patches->width, intdiv($at, $patches->width)];
            if (($sides[0] && $x === 0) || ($sides[1] && $y === 0) || ($sides[2] && $x === $right) || ($sides[3] && $y === $bottom)) {
                $rim[$patch] = true;
            }
        }

        return $rim;
    }

    /**
     * Refines the cut along the picture's edges: each pixel near it is assigned to the nearer of two local colours, that of the sure inside and that of the
     * sure
     * outside.
     */
    private static function alongEdges(Image $ink, Image $small, Image $mask): Image
    {
        [$width, $height] = [$ink->width(), $ink->height()];
        $soft = Blur::gaussian($mask, self::UNSURE / 4, 0.02)->settled();
        $near = $soft->isMore(2.0)->both($soft->isLess(253.0))->settled();
        $kept = Tiles::flat($mask, $width, $height);
        // With a rim of pixels needed for enlarging.
        $tiles = Tiles::under(Morphology::grown($near, 7)->settled(), $width, $height, self::RIM);
        if ($tiles === null) {
            return $kept->settled();
        }
        $within = self::carried($small, Morphology::worn($mask, self::UNSURE)->settled());
        $without = self::carried($small, Morphology::worn($mask->inverted()->settled(), self::UNSURE)->settled());
        // Enlarge all bands in one operation.
        $about = $tiles->packed($within->withBand($without)->withBand($soft)->stretched($width, $height)->withBand($ink->band(0, 3)));
        $edge = $about->band(6)->settled();
        $score = self::score($about->band(7, 3), $about->band(0, 3), $about->band(3, 3), $edge);

        return $tiles->laid($edge->isMore(2.0)->both($edge->isLess(253.0))->chosen($score, $edge->isMore(127.0))->settled(), $kept)->settled();
    }

    /** Up to 255 where a pixel's colour is nearer to the inside; if both sides are alike, by the rough cut. */
    private static function score(Image $colours, Image $within, Image $without, Image $soft): Image
    {
        [$way, $off] = [$within->minus($without)->settled(), $colours->minus($without)];
        $length = ColourBands::product($way, $way)->settled();
        $share = ColourBands::product($off, $way)->divided($length->linear(1.0, 1.0))->unitToByte();
        $known = $length->divided($length->linear(1.0, self::EDGE ** 2))->linear(self::TRUST);
        $score = $share->minus($soft)->multiplied($known)->plus($soft)->linearByte(1.0)->settled();

        return Blur::gaussian($score, self::SMOOTH, 0.05)->isMore(127.0);
    }

    /** Extends colours from within a mask to the pixels around it. */
    private static function carried(Image $colours, Image $mask): Image
    {
        $weight = Blur::gaussian($mask->linear(1 / 255, 1e-6), self::CARRIED, 0.02)->settled();

        return Blur::gaussian($colours->multiplied($mask->linear(1 / 255, 1e-6)), self::CARRIED, 0.02)->divided($weight)->linearByte(1.0)->settled();
    }

    /** A small version of a picture; whole blocks are averaged first, which is quick. */
    private static function sized(Image $image, int $pixels): Image
    {
        $by = min(1.0, sqrt($pixels / ($image->width() * $image->height())));
        $blocks = max(1, (int) floor(0.5 / $by));

        return ($by < 1 ? $image->shrunk($blocks)->settled()->resized($by * $blocks) : $image)->settled();
    }
}
