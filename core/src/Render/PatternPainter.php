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

    public function __construct(
        private Shelf $shelf,
        public Pictures $pictures,
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
        $side = max(1, (int) round($whole->width() * $scale * $window->ppi / Paper::PPI));
        $tile = $side === $whole->width() ? $whole : $this->pictures->image("tile $key $side", fn (): Image => self::sized($whole, $side));
        // If each letter has its own, shift the pattern from letter to letter.
        $place = fn (float $at, float $shift, int $step): int => (int) round((round(($at + $shift + $number * $step * 0.7) / self::GRID) * self::GRID) * $window->ppi);

        return $tile
            ->tiled($place($box->left, $paint->x, 3) - $window->left, $place($box->top, $paint->y, 2) - $window->top, $window->width, $window->height)
            ->asInk();
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
        $tile = new Frame($window->ppi, 0, 0, max(1, (int) round($width * $window->ppi)), max(1, (int) round($height * $window->ppi)));
        $whole = new Placement($tile->width / $tile->ppi / 2, $tile->height / $tile->ppi / 2, $tile->width / $tile->ppi, $tile->height / $tile->ppi, 0, Flip::None);
        $one = ArtPainter::paint($picture, Placing::picture($whole, $picture->aspect()), $tile, null, $key, $this->pictures)->settled();

        return $one->tiled((int) round(($x - $width / 2) * $window->ppi) - $window->left, (int) round(($y - $height / 2) * $window->ppi) - $window->top, $window->width, $window->height);
    }
}
