<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Raster\Histogram;
use TallCrow\Raster\Image;
use TallCrow\Raster\Morphology;

/**
 * Ink, or the cloth between it, that a disc of a given width does not fit into: an opening of its shape (Serra, 1982). The shape is sized first so that
 * the disc is an octagon of eleven pixels: what is thinner by a tenth is always found, and what is as wide never.
 */
final readonly class Strokes
{
    private const INK = 127.0;

    /** Widths about a window in which the shape has to be known. */
    private const ABOUT = 2.0;

    private const MOST_REGIONS = 65_000;

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
        $scale = Morphology::ROUND / ($width * $ppi);
        $ink = $alpha->resized($scale)->isMore(self::INK)->settled();

        return new self($ink, $ink->both(Morphology::openedRound($ink)->inverted())->settled(), $ppi * $scale);
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
            $ink = $alpha->resized(Morphology::ROUND / ($least * $times * $ppi))->isMore(self::INK)->settled();
            $room = $ink->area() * (1 - $share);
            foreach (Morphology::openedRound($ink)->area() < $room ? range(1, intdiv(Morphology::ROUND, 2)) : [] as $radius) {
                if (Morphology::openedRound($ink, $radius)->area() < $room) {
                    return max($times > 1 ? $least : 0.0, 2 * $radius * $least * $times / Morphology::ROUND);
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
