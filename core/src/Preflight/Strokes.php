<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Raster\Histogram;
use TallCrow\Raster\Image;
use TallCrow\Raster\Morphology;

/**
 * Finds ink (or gaps) into which a disc of a given width does not fit, by a morphological opening (Serra, 1982). The shape is scaled so that the disc becomes
 * an octagon of eleven pixels: strokes thinner by an eighth are always found, and strokes of full width never. For large shapes the octagon is smaller.
 */
final readonly class Strokes
{
    private const INK = 127.0;

    /** Margin around a window in which the shape must be known, in disc widths. */
    private const ABOUT = 2.0;

    private const MOST_REGIONS = 65_000;

    /** Radii of the octagon in pixels, best first; its diameter is 2 r + 1. */
    private const RADII = [5, 3, 2, 1];

    /** Most pixels of the scaled shape. */
    private const MOST_PIXELS = 12_000_000;

    /**
     * @param  Image  $ink  mask of ink
     * @param  Image  $lost  mask of ink that the disc does not reach
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
     * Scales the ink so that a disc of the width has an integer radius.
     *
     * @return array{Image, int, float} ink, radius in pixels, and scale; radius 0 if the width is too small for the picture's pixels
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

    /** Margin around a window, in inches, in which the shape must be known: whole pixels, so that adjacent parts share none. */
    public static function rim(float $width, float $ppi): float
    {
        return ceil(self::ABOUT * $width * $ppi) / $ppi;
    }

    /**
     * Stroke width of the thinnest strokes, in inches: the largest disc whose opening removes no more than a small share of the ink. In steps of an eleventh of
     * $least up to $least, in coarser steps up to four times that.
     *
     * @param  Image  $alpha  one band
     * @param  float  $least  the required width in inches; strokes that satisfy it are never reported as thinner
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
     * Total length of thin lines, in inches. The perimeter of each stretch is estimated by counting intersections with lines in four directions
     * (Cauchy-Crofton),
     * with an error of 5 %; the length is half the perimeter.
     *
     * @param  float  $stretch  shortest stretch that counts, in inches: corners and tips are thin, too
     * @param  float  $rim  inches along the sides of the window that are not counted
     */
    public function length(float $stretch, float $rim = 0.0): float
    {
        // Ignore thin corners, which stay close to the remaining ink; a thin line extends beyond it.
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
     * @param  non-empty-list<Image>  $ends  masks of where a stretch ends to the right, downwards and along both diagonals
     * @return list<float> length of each stretch in inches, by number
     */
    private function crossed(array $ends, Image $numbers): array
    {
        [$across, $down, $falling, $rising] = Histogram::ofMasks($ends, $numbers) + [[], [], [], []];

        return array_map(fn (int $a, int $b, int $c, int $d): float => M_PI / 8 * ($a + $b + ($c + $d) / M_SQRT2) / $this->ppi, $across, $down, $falling, $rising);
    }
}
