<?php

declare(strict_types=1);

namespace TallCrow\Render\Stage;

use TallCrow\Artwork\ArtSource;
use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Taking;
use TallCrow\Asset\Shelf;
use TallCrow\Effect\Inking\Inking;
use TallCrow\Effect\Inks;
use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Box;
use TallCrow\Geometry\Outline;
use TallCrow\Mask\BrushMask;
use TallCrow\Mask\Mask;
use TallCrow\Mask\Stroke;
use TallCrow\Raster\Composition;
use TallCrow\Raster\Image;
use TallCrow\Raster\Laid;
use TallCrow\Render\ArtPainter;
use TallCrow\Render\BrushPainter;
use TallCrow\Render\Frame;
use TallCrow\Render\InkOutlines;
use TallCrow\Render\InkPainter;
use TallCrow\Render\PatternPainter;
use TallCrow\Render\Pictures;
use TallCrow\Render\Piece;
use TallCrow\Render\Placer;
use TallCrow\Render\Placing;
use TallCrow\Render\Resampler;
use TallCrow\Render\Retoucher;
use TallCrow\Render\Scene;
use TallCrow\Type\Letter;

/** The ink of a layer: words and shapes filled and ringed, pictures placed, groups composed and bent. */
final readonly class InkStage implements Stage
{
    /** From this ppi on a bent group is drawn without oversampling. */
    private const PRINT = 120.0;

    public function __construct(
        private Shelf $shelf,
        private Placer $placer,
        private Retoucher $retoucher,
        private PatternPainter $patterns,
        private Outlines $outlines,
        private LayerMasks $masks,
        private Pictures $pictures,
    ) {}

    public function paint(Layer $layer, Frame $window, Scene $scene): ?Piece
    {
        $inking = $this->placer->inking($layer);
        $placing = $this->placer->place($layer);
        if ($placing !== null && $placing->letters !== [] && $placing->upright !== []) {
            return $this->masks->hasRingsAround($layer)
                ? $this->inked($layer, $this->cut($layer, $this->figures($placing, $inking->withoutEdges(), $window), $scene), $inking->edgesAlone(), $window, $scene)
                : $this->figures($placing, $inking, $window);
        }
        $piece = $this->cut($layer, $layer->children() === [] ? $this->art($layer, $window, $scene) : $this->group($layer, $window, $scene), $scene);

        return $this->inked($layer, $piece, $inking, $window, $scene);
    }

    /** Letters or shapes by their own outlines. */
    private function figures(Placing $placing, Inking $inking, Frame $window): ?Piece
    {
        if ($placing->letters === [] || $placing->upright === []) {
            return null;
        }
        $outlines = new InkOutlines($placing->upright, $inking, $this->pictures, $window->ppi, $placing->lie);

        return new Piece((new InkPainter($this->patterns, $placing->letters, $inking, $window, $outlines))->paint(), $window);
    }

    /** What the masks leave that its rings go around. */
    private function cut(Layer $layer, ?Piece $piece, Scene $scene): ?Piece
    {
        $mask = $piece === null ? null : $this->masks->first($layer, $piece->frame, $scene);

        return $piece === null || $mask === null ? $piece : $piece->with($piece->image->masked($mask));
    }

    /** Pixels, inked along and within the outline that is traced from them. */
    private function inked(Layer $layer, ?Piece $piece, Inking $inking, Frame $window, Scene $scene): ?Piece
    {
        if ($inking->fills === [] && $inking->inlines === [] && $inking->isBare()) {
            return $piece;
        }
        $outline = $this->outline($layer, $inking, $scene);
        // A ring may reach into the window even if the picture does not.
        $own = $piece === null
            ? Image::empty($window->width, $window->height)
            : $piece->image->embed($piece->frame->left - $window->left, $piece->frame->top - $window->top, $window->width, $window->height);

        if ($outline === null) {
            return $piece;
        }
        $outlines = new InkOutlines([Letter::figure($outline->home)], $inking, $this->pictures, $window->ppi, $outline->lie);

        return new Piece((new InkPainter($this->patterns, [Letter::figure($outline->onSheet())], $inking, $window, $outlines, $own))->paint(), $window);
    }

    /** The outline by which a picture or a group is inked: its silhouette if its edge matters, otherwise its bounding box. */
    private function outline(Layer $layer, Inking $inking, Scene $scene): ?PlacedPath
    {
        if ($inking->isBare() && $inking->inlines === []) {
            $box = $this->placer->reach($layer->withEffects(self::uninked($layer)));

            return $box === null ? null : new PlacedPath(Outline::rectangle($box->width(), $box->height()), Affine::shift($box->centreX(), $box->centreY()));
        }
        $path = $this->outlines->traced($this->masks->cut($layer)->withOpacity(1.0)->withDistress([]), $scene);

        return $path === null || $path->isEmpty() ? null : $path;
    }

    /** @return list<EffectLine> */
    private static function uninked(Layer $layer): array
    {
        return array_values(array_filter($layer->effects, fn (EffectLine $line): bool => ! is_a($line->is(), Inks::class, true)));
    }

    private function group(Layer $layer, Frame $window, Scene $scene): ?Piece
    {
        $box = $this->placer->around($layer);
        if ($box === null) {
            return null;
        }
        $compose = fn (Frame $frame): Image => $scene->compose($layer->children(), $layer->liveDistress(), $frame, $box->left, $box->top);
        $bend = $this->placer->bend($layer, $box);
        if ($bend === null) {
            return new Piece($compose($window), $window);
        }
        $finer = $window->ppi < self::PRINT ? 2 : 1;
        $flat = Frame::about($box->grown(0.02), $window->ppi * $finer);
        if ($flat === null) {
            return null;
        }
        $back = function (float $x, float $y) use ($bend, $flat): array {
            [$fromX, $fromY] = ($bend->back)($x, $y);

            return [$fromX * $flat->ppi - $flat->left, $fromY * $flat->ppi - $flat->top];
        };

        return new Piece(Resampler::bent($compose($flat)->settled(), $back, $window, $bend->bounds($box), $finer), $window);
    }

    private function art(Layer $layer, Frame $window, Scene $scene): ?Piece
    {
        $placing = $this->placer->place($layer);
        $art = $layer->picture();
        if ($placing === null || $art === null) {
            return null;
        }
        $own = $window->within($placing->box()->grown(2 / $window->ppi));

        if ($own === null) {
            return null;
        }
        $picture = $this->retoucher->picture($art);
        $pixels = $this->retoucher->retouched($layer, $art, $placing->width, $scene->progress());
        // Retouching comes first, on the picture's own pixels.
        $key = $picture->isVector() ? '' : md5(serialize([$art->frame, $this->shelf->fingerprint($art->file), $pixels === null ? [] : [$layer->effects, $placing->width]]));
        $piece = new Piece(ArtPainter::paint($picture, $placing, $own, $pixels, $key, $this->pictures), $own);

        return $pixels === null ? $piece : $this->restored($layer, $art, $piece, $placing);
    }

    /** Restores, where a brush says so, what was cleared from a picture. */
    private function restored(Layer $layer, ArtSource $art, Piece $piece, Placing $placing): Piece
    {
        $strokes = array_merge([], ...array_map(fn (Mask $mask): array => $mask instanceof BrushMask ? $mask->strokes : [], $layer->liveMasks()));
        if (array_filter($strokes, fn (Stroke $stroke): bool => $stroke->restores) === []) {
            return $piece;
        }
        $box = Box::centred(0, 0, $placing->width, $placing->height);
        $back = BrushPainter::over(Image::empty($piece->frame->width, $piece->frame->height, 1), $strokes, $box, $placing->toSheet, $piece->frame);
        // The picture without clearing, but with the same cropping and straightening.
        $kept = Taking::uncleared($layer);
        $whole = ArtPainter::paint($this->retoucher->picture($art), $placing, $piece->frame, $this->retoucher->retouched($kept, $art, $placing->width));

        return $piece->with(Composition::stacked($piece->frame->width, $piece->frame->height, [Laid::over($piece->image, 0, 0), Laid::over($whole->masked($back), 0, 0)]));
    }
}
