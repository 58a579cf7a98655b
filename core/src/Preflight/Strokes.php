<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Raster\Histogram;
use TallCrow\Raster\Image;
use TallCrow\Raster\Morphology;

/**
 * Ink, or the cloth between it, that a disc of a given width does not fit into: an opening of its shape (Serra, 1982). The shape is sized first so that
 * the disc is an octagon of eleven pixels: what is thinner by an eighth is always found, and what is as wide never. Of a large shape it is one of fewer.
 */
final readonly class Strokes
{
    private const INK = 127.0;

    /** Widths about a window in which the shape has to be known. */
    private const ABOUT = 2.0;

    private const MOST_REGIONS = 65_000;

    /** Radius of the disc in pixels, the best first; its diameter is twice that and one more. */
    private const RADII = [5, 3, 2, 1];

    /** Pixels that a shape is sized to at most. */
    private const MOST_PIXELS = 12_000_000;

    /**
     * @param  Image  $ink  255 where there is ink
     * @param  Image  $lost  255 where the disc does not come
     */
    private function __construct(private Image $ink, private Image $lost, private float $ppi) {}

    /**
     * @param  float  $width  inches
     * @param  Image  $alpha  one band
     */
    public static function thinnerThan(float $width, Image $alpha, float $ppi): self
    {
        [$ink, $radius, $scale] = self::sized($width, $alpha, $ppi);

        return new self($ink, $radius === 0 ? Image::empty($ink->width(), $ink->height(), 1) : $ink->both(Morphology::openedRound($ink, $radius)->inverted())->settled(), $ppi * $scale);
    }

    /**
     * The ink so large that a disc of a width has a whole radius.
     *
     * @return array{Image, int, float} ink, radius in pixels, and how much larger; a radius of 0 where the width is too far below the picture's pixels to be told
     */
    private static function sized(float $width, Image $alpha, float $ppi): array
    {
        foreach (self::RADII as $radius) {
            $scale = (2 * $radius + 1) / ($width * $ppi);
            if ($scale ** 2 * $alpha->width() * $alpha->height() <= self::MOST_PIXELS) {
                return [$alpha->resized($scale)->isMore(self::INK)->settled(), $radius, $scale];
            }
        }

        return [$alpha->isMore(self::INK)->settled(), 0, 1.0];
    }

    /** Inches about a window in which the shape has to be known: whole pixels of a picture, so that parts beside each other share none. */
    public static function rim(float $width, float $ppi): float
    {
        return ceil(self::ABOUT * $width * $ppi) / $ppi;
    }

    /**
     * Inches of the widest disc without which no more than a share of the ink would be: how thin its thinnest strokes are. Told in elevenths of the least
     * width up to that, more roughly up to four of it.
     *
     * @param  Image  $alpha  one band
     * @param  float  $least  inches that are asked for: nothing below it is told of strokes that hold it
     */
    public static function thinnest(Image $alpha, float $ppi, float $least, float $share): float
    {
        foreach ([1, 2, 4] as $times) {
            [$ink, $whole] = self::sized($least * $times, $alpha, $ppi);
            $room = $ink->area() * (1 - $share);
            foreach ($whole > 0 && Morphology::openedRound($ink, $whole)->area() < $room ? range(1, $whole) : [] as $radius) {
                if (Morphology::openedRound($ink, $radius)->area() < $room) {
                    return max($times > 1 ? $least : 0.0, 2 * $radius * $least * $times / (2 * $whole + 1));
                }
            }
        }

        return 4 * $least;
    }

    /**
     * Inches of thin lines in all, along them. The outline of each stretch is measured by how often straight lines in four directions cross it (Cauchy and
     * Crofton), which errs by 5 %; a line is half as long as its outline.
     *
     * @param  float  $stretch  inches of the shortest stretch that counts: corners and the ends of wedges are thin, too
     * @param  float  $rim  inches along the sides of the window that are not counted
     */
    public function length(float $stretch, float $rim = 0.0): float
    {
        // Corners keep to the ink that is left; a line goes on from it.
        $lost = $this->lost->both(Morphology::grown($this->ink->both($this->lost->inverted())->settled(), 3)->inverted())->settled();
        if ($lost->mean() <= 0.0) {
            return 0.0;
        }
        [$width, $height] = [$lost->width(), $lost->height()];
        [$regions, $count] = Morphology::regions($lost);
        $numbers = ($count > self::MOST_REGIONS ? $lost->linearByte(1 / 255) : $regions)->asNumbers()->settled();
        $ends = array_map(fn (array $step): Image => $lost->both($lost->embed(-$step[0], -$step[1], $width, $height)->inverted())->settled(), [[1, 0], [0, 1], [1, 1], [1, -1]]);
        $cut = min((int) round($rim * $this->ppi), intdiv(min($width, $height) - 1, 2));
        $within = fn (Image $image): Image => $image->crop($cut, $cut, $width - 2 * $cut, $height - 2 * $cut)->settled();
        [$whole, $counted] = [$this->crossed($ends, $numbers), $this->crossed(array_map($within, $ends), $within($numbers))];
        $all = 0.0;
        foreach ($counted as $number => $long) {
            $all += $whole[$number] >= $stretch ? $long : 0.0;
        }

        return $all;
    }

    /**
     * @param  non-empty-list<Image>  $ends  where a stretch ends to the right, downwards and along both diagonals
     * @return list<float> inches of each stretch, by number
     */
    private function crossed(array $ends, Image $numbers): array
    {
        [$across, $down, $falling, $rising] = Histogram::ofMasks($ends, $numbers) + [[], [], [], []];

        return array_map(fn (int $a, int $b, int $c, int $d): float => M_PI / 8 * ($a + $b + ($c + $d) / M_SQRT2) / $this->ppi, $across, $down, $falling, $rising);
    }
}
