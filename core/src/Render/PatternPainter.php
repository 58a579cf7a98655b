<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Artwork\Flip;
use TallCrow\Artwork\Placement;
use TallCrow\Asset\Shelf;
use TallCrow\Colour\Srgb;
use TallCrow\Effect\Inking\PatternPaint;
use TallCrow\Geometry\Box;
use TallCrow\Noise\Patchwork;
use TallCrow\Paper\Catalogue;
use TallCrow\Paper\Colours;
use TallCrow\Paper\Paper;
use TallCrow\Raster\Image;

/** Paints paper or picture fills: what is seen through a piece. */
final readonly class PatternPainter
{
    /** A paper's scale is rounded to 1 / this, so that its tile has whole pixels at the usual ppis. */
    private const SCALES = 80;

    /** Grid, in inches, on which papers start: whole pixels at the usual ppis. */
    private const GRID = 0.1;

    /** Pixels by which a size may be off a whole number through rounding. */
    private const ROUNDING = 1e-6;

    /** Inches beyond its box that a piece may be inked, as by emboldening. */
    private const BEYOND = 2.0;

    public function __construct(
        private Shelf $shelf,
        private Pictures $pictures,
    ) {}

    /** The pattern over a whole window; it moves along with the box. */
    public function paint(PatternPaint $paint, Box $box, Frame $window, int $number = 0): Image
    {
        return $paint->isPaper ? $this->paper($paint, $box, $window, $number) : $this->picture($paint, $box, $window);
    }

    private function paper(PatternPaint $paint, Box $box, Frame $window, int $number): Image
    {
        $kind = $paint->of;
        $colours = $paint->colours;
        $scale = max(1, round($paint->scale * self::SCALES)) / self::SCALES;
        $across = Patchwork::across($scale);
        $key = sprintf('%s %d %d %s', $kind, $paint->seed, $across, implode(' ', array_map(fn (Srgb $colour): string => $colour->toHex(), $colours)));
        $whole = $this->pictures->material("paper $key", fn (): Image => Catalogue::classes()[$kind]::tile($paint->seed, new Colours($colours), $across));
        $inches = $whole->width() * $scale / Paper::PPI;
        $side = self::pixels($inches, $window);
        $tile = $side === $whole->width() ? $whole : $this->pictures->image("tile $key $side", fn (): Image => self::sized($whole, $side));
        // If each letter has its own, shift the pattern from letter to letter.
        $place = fn (float $at, float $shift, int $step): float => round(($at + $shift + $number * $step * 0.7) / self::GRID) * self::GRID;

        return self::repeated($tile->asInk(), $place($box->left, $paint->x, 3), $place($box->top, $paint->y, 2), $inches, $inches, $box, $window);
    }

    private static function sized(Image $tile, int $side): Image
    {
        $tile = $tile->settled();
        if ($side > $tile->width()) {
            return $tile->resized($side / $tile->width());
        }

        return $tile->shrunkBy($tile->width() / $side);
    }

    /** At scale 1 the picture just covers the box; if smaller, it is tiled. */
    private function picture(PatternPaint $paint, Box $box, Frame $window): Image
    {
        $picture = $this->shelf->picture($paint->of);
        $key = $this->shelf->fingerprint($paint->of);
        $width = max($box->width(), $box->height() / $picture->aspect()) * $paint->scale;
        $placement = fn (float $x, float $y): Placement => new Placement($x, $y, $width, null, 0, Flip::None);
        $height = $width * $picture->aspect();
        [$x, $y] = [$box->centreX() + $paint->x, $box->centreY() + $paint->y];
        $spare = [$x - $width / 2 <= $box->left + 1e-6, $x + $width / 2 >= $box->right - 1e-6, $y - $height / 2 <= $box->top + 1e-6, $y + $height / 2 >= $box->bottom - 1e-6];
        if (! in_array(false, $spare, true)) {
            return ArtPainter::paint($picture, Placing::picture($placement($x, $y), $picture->aspect()), $window, null, $key, $this->pictures);
        }
        // A raster that is enlarged is repeated in its own pixels: each copy enlarged by itself would fade at its edges, and cloth show through the seams.
        $own = $picture->isVector() ? [INF, INF] : [$picture->width, $picture->height];
        $tile = new Frame($window->ppi, 0, 0, (int) min($own[0], self::pixels($width, $window)), (int) min($own[1], self::pixels($height, $window)));
        $whole = new Placement($tile->width / $tile->ppi / 2, $tile->height / $tile->ppi / 2, $tile->width / $tile->ppi, $tile->height / $tile->ppi, 0, Flip::None);
        $one = ArtPainter::paint($picture, Placing::picture($whole, $picture->aspect()), $tile, null, $key, $this->pictures)->settled();

        return self::repeated($one, $x - $width / 2, $y - $height / 2, $width, $height, $box, $window);
    }

    /** Whole pixels of a window in a length in inches, one at least. */
    private static function pixels(float $inches, Frame $window): int
    {
        return max(1, (int) floor($inches * $window->ppi + self::ROUNDING));
    }

    /**
     * Tiles a window. A tile whose exact size is no whole number of pixels is repeated as it is, and all of it scaled: rounded tiles would drift apart, and
     * lie elsewhere in a proof than in print.
     *
     * @param  Image  $tile  ink of pixels() of the size, or fewer
     * @param  float  $left  where one of the copies begins, in inches on the sheet
     * @param  float  $width  exact size of a tile, in inches
     */
    private static function repeated(Image $tile, float $left, float $top, float $width, float $height, Box $box, Frame $window): Image
    {
        if (max(abs($width * $window->ppi - $tile->width()), abs($height * $window->ppi - $tile->height())) < self::ROUNDING) {
            return $tile->tiled((int) round($left * $window->ppi) - $window->left, (int) round($top * $window->ppi) - $window->top, $window->width, $window->height);
        }
        [$left, $across] = self::copies($left, $width, $box->left, $box->right);
        [$top, $down] = self::copies($top, $height, $box->top, $box->bottom);
        $all = new Placement($left + $across * $width / 2, $top + $down * $height / 2, $across * $width, $down * $height, 0, Flip::None);

        return RasterPlacer::place($tile->tiled(0, 0, $across * $tile->width(), $down * $tile->height()), Placing::picture($all, $tile->height() / $tile->width()), $window);
    }

    /**
     * The copies of a tile that cover a stretch and what may be inked beyond it.
     *
     * @param  float  $start  where one of the copies begins, in inches
     * @return array{float, int} where the first one begins, and their number
     */
    private static function copies(float $start, float $length, float $from, float $until): array
    {
        $first = (int) floor(($from - self::BEYOND - $start) / $length);

        return [$start + $first * $length, max(1, (int) ceil(($until + self::BEYOND - $start) / $length) - $first)];
    }
}
