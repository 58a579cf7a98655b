<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Artwork\Flip;
use TallCrow\Artwork\Placement;
use TallCrow\Asset\Shelf;
use TallCrow\Colour\Srgb;
use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Box;
use TallCrow\Geometry\Path;
use TallCrow\Mask\BrushMask;
use TallCrow\Mask\ClipMask;
use TallCrow\Mask\FreehandMask;
use TallCrow\Mask\Joining;
use TallCrow\Mask\Mask;
use TallCrow\Mask\PictureMask;
use TallCrow\Mask\ShapeMask;
use TallCrow\Raster\Blur;
use TallCrow\Raster\ColourBands;
use TallCrow\Raster\Composition;
use TallCrow\Raster\Image;

/** Draws masks as one band: 255 where the layer shows, 0 where it is hidden. */
final class MaskPainter
{
    /** A feather is the width over which a Gaussian edge rises from 2 % to 98 %: about four standard deviations. */
    private const FEATHER_IN_SIGMAS = 4.0;

    public function __construct(
        private readonly Shelf $shelf,
        private readonly Pictures $pictures = new NoPictures,
    ) {}

    /**
     * All masks of a layer combined, in order.
     *
     * @param  non-empty-list<Mask>  $masks
     * @param  Box  $box  of the layer, in its own inches
     * @param  ?Affine  $toSheet  null when the box is on the sheet already
     */
    public function together(array $masks, Box $box, ?Affine $toSheet, Frame $frame, Scene $scene): Image
    {
        $all = null;
        foreach ($masks as $mask) {
            if ($mask instanceof BrushMask) {
                $all = BrushPainter::over($all ?? self::open($frame), $mask->strokes, $box, $toSheet, $frame);
                $all = $mask->isInverted() ? $all->inverted() : $all;

                continue;
            }
            $own = $this->one($mask, $box, $toSheet ?? Affine::identity(), $frame, $scene);
            $own = $mask->isInverted() ? $own->inverted() : $own;
            $all = match (true) {
                $all === null => $own,
                $mask->joining() === Joining::Also => $all->lighter($own),
                default => $all->times($own),
            };
            $all = $all->settled();
        }

        return $all;
    }

    private function one(Mask $mask, Box $box, Affine $toSheet, Frame $frame, Scene $scene): Image
    {
        return match (true) {
            $mask instanceof ShapeMask => self::figure(
                $mask->shape->outline($mask->width * $box->width(), $mask->height * $box->height(), $mask->count)
                    ->transformed(Affine::shift($box->left + $mask->x * $box->width(), $box->top + $mask->y * $box->height()))
                    ->transformed($toSheet),
                $mask->feather, $frame,
            ),
            $mask instanceof FreehandMask => self::figure(
                $mask->outline()->transformed(Affine::scale($box->width(), $box->height())->then(Affine::shift($box->left, $box->top)))->transformed($toSheet),
                $mask->feather, $frame,
            ),
            $mask instanceof PictureMask => $this->luminance($mask, $box, $toSheet, $frame),
            $mask instanceof ClipMask => $scene->inkOf($mask->layer, $frame),
            default => self::open($frame),
        };
    }

    private static function figure(Path $path, float $feather, Frame $frame): Image
    {
        if ($path->isEmpty()) {
            return self::open($frame);
        }
        $sigma = $feather / self::FEATHER_IN_SIGMAS * $frame->ppi;
        // The blur reads pixels beyond the window.
        $margin = Blur::margin($sigma);
        $wide = $frame->grown($margin);

        return Blur::wide(Shapes::mask($path, $wide), $sigma, [$wide->left, $wide->top])->crop($margin, $margin, $frame->width, $frame->height);
    }

    /** The luminance of the picture laid over the box on black: where the picture does not cover the box, the mask is 0. */
    private function luminance(PictureMask $mask, Box $box, Affine $toSheet, Frame $frame): Image
    {
        $picture = $this->shelf->picture($mask->file);
        $flat = Placing::picture(new Placement(0, 0, $box->width() * $mask->scale, $box->height() * $mask->scale, 0, Flip::None), $picture->aspect());
        $placing = $flat->lyingBy(Affine::turn($mask->turn)->then(Affine::shift($box->centreX() + $mask->x, $box->centreY() + $mask->y))->then($toSheet));

        $painted = ArtPainter::paint($picture, $placing, $frame, null, $this->shelf->fingerprint($mask->file), $this->pictures);

        return ColourBands::luminance(Composition::onCloth($painted, Srgb::of(0, 0, 0)));
    }

    private static function open(Frame $frame): Image
    {
        return Image::empty($frame->width, $frame->height, 1)->inverted();
    }
}
