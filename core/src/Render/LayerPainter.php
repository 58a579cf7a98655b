<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Artwork\ArtSource;
use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Taking;
use TallCrow\Asset\Shelf;
use TallCrow\Colour\Srgb;
use TallCrow\Effect\Effect;
use TallCrow\Effect\Inking\Inking;
use TallCrow\Effect\Inks;
use TallCrow\Effect\Looks;
use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Box;
use TallCrow\Geometry\Outline;
use TallCrow\Geometry\Path;
use TallCrow\Mask\BrushMask;
use TallCrow\Mask\ClipMask;
use TallCrow\Mask\Mask;
use TallCrow\Mask\Stroke;
use TallCrow\Raster\Image;
use TallCrow\Raster\Laid;
use TallCrow\Type\Letter;

/** Draws one layer alone: its ink, rings, masks, wear and opacity, and the shape that it knocks out. */
final class LayerPainter
{
    /** Part of every key: raise it when the same sheet is to be drawn otherwise. */
    private const VERSION = 'painter-8';

    /** From this ppi on, a bent group is not drawn finer than it is shown. */
    private const PRINT = 120.0;

    private readonly PatternPainter $patterns;

    private readonly MaskPainter $masks;

    private readonly Retoucher $retoucher;

    public function __construct(
        private readonly Shelf $shelf,
        private readonly Placer $placer,
        private readonly Pictures $pictures,
        private readonly WearPainter $wear,
        private readonly Compositor $compositor,
        ?Progress $progress = null,
    ) {
        $this->patterns = new PatternPainter($shelf, $pictures);
        $this->masks = new MaskPainter($shelf, $compositor);
        $this->retoucher = new Retoucher($shelf, $pictures, $progress);
    }

    /**
     * The layer's ink in a window; null when none of it shows there.
     *
     * @throws LayerTrouble
     */
    public function paint(Layer $layer, Frame $frame): ?Piece
    {
        return $this->guarded($layer, fn (): ?Piece => $this->pictures->piece(
            'ink '.$this->key($layer),
            $frame,
            fn (): ?Piece => $this->painted($layer, $frame),
        ));
    }

    /**
     * Where a knockout layer takes ink away, in its alpha.
     *
     * @throws LayerTrouble
     */
    public function knockout(Layer $layer, Frame $frame): ?Piece
    {
        return $this->guarded($layer, function () use ($layer, $frame): ?Piece {
            return $this->pictures->piece('knockout '.$this->key($layer), $frame, function () use ($layer, $frame): ?Piece {
                $path = $this->shape($layer);
                if ($path === null || $path->isEmpty()) {
                    return null;
                }
                $window = $frame->within($path->bounds()->grown($layer->role->gap * 4 + 0.02));

                return $window === null ? null : new Piece(Image::flat(Srgb::of(255, 255, 255), Shapes::mask($path, $layer->role->gap, $layer->role->join, $window)), $window);
            });
        });
    }

    /**
     * The outline of all of a layer's ink, on the sheet in inches. Words and figures that nothing has cut into give
     * their own; all else is traced.
     */
    private function shape(Layer $layer): ?Path
    {
        $plain = $layer === $layer->drawn() && $layer->liveMasks() === [] && $layer->liveDistress() === [] && $this->placer->inking($layer)->isBare()
            && array_filter($layer->liveEffects(), fn (Effect $effect): bool => $effect instanceof Looks) === [];
        $path = $this->placer->place($layer)?->path;

        return $plain && $path !== null ? $path : $this->traced($layer->withOpacity(1));
    }

    private function traced(Layer $layer): ?Path
    {
        $box = $this->placer->reach($layer);
        $frame = $box === null ? null : Frame::about($box->grown(0.02), Silhouettes::PPI);
        if ($frame === null) {
            return null;
        }
        $json = $this->pictures->text('trace '.$this->key($layer), function () use ($layer, $frame): string {
            $piece = $this->painted($layer, $frame);

            return json_encode($piece === null ? [] : Silhouettes::trace($piece)->segments, JSON_THROW_ON_ERROR);
        });

        /** @var list<array{'M', float, float}|array{'L', float, float}|array{'C', float, float, float, float, float, float}|array{'Z'}> $segments */
        $segments = json_decode($json, true);

        return new Path($segments);
    }

    private function painted(Layer $layer, Frame $frame): ?Piece
    {
        $layer = $layer->drawn();
        $reach = $this->placer->reach($layer);
        $window = $reach === null ? null : $frame->within($reach);
        if ($reach === null || $window === null) {
            return null;
        }
        $looks = array_values(array_filter($layer->liveEffects(), fn (Effect $effect): bool => $effect instanceof Looks));
        $piece = $looks === [] ? $this->seen($layer, $window) : $this->looked($layer, $window, $looks);
        if ($piece === null) {
            return null;
        }
        if ($layer->children() === []) {
            $piece = $this->worn($layer, $piece);
        }
        if ($layer->opacity < 1) {
            $piece = $piece->with($piece->image->withAlpha($piece->image->alpha()->scaledBy($layer->opacity)));
        }

        return $piece;
    }

    private function inked(Layer $layer, Frame $window): ?Piece
    {
        $inking = $this->placer->inking($layer);
        $placing = $this->placer->place($layer);
        if ($placing !== null && $placing->letters !== []) {
            return new Piece((new InkPainter($this->patterns, $placing->letters, $window))->paint($inking), $window);
        }
        $piece = $layer->children() === [] ? $this->art($layer, $window) : $this->group($layer, $window);
        if ($piece === null || ($inking->fills === [] && $inking->inlines === [] && $inking->isBare())) {
            return $piece;
        }
        $outline = $this->outline($layer, $inking);
        $own = $piece->image->embed($piece->frame->left - $window->left, $piece->frame->top - $window->top, $window->width, $window->height);

        return $outline === null
            ? $piece
            : new Piece((new InkPainter($this->patterns, [Letter::figure($outline)], $window, $own))->paint($inking), $window);
    }

    /** What a picture or a group is inked by: its own outline where its edge matters, and else the box about it. */
    private function outline(Layer $layer, Inking $inking): ?Path
    {
        if ($inking->isBare() && $inking->inlines === []) {
            $box = $this->placer->reach($layer->withEffects(self::uninked($layer)));

            return $box === null ? null : Outline::rectangle($box->width(), $box->height())->transformed(Affine::shift($box->centreX(), $box->centreY()));
        }
        $path = $this->traced($layer->withOpacity(1.0)->withEffects(self::uninked($layer))->withMasks([])->withDistress([]));

        return $path === null || $path->isEmpty() ? null : $path;
    }

    /** @return list<EffectLine> */
    private static function uninked(Layer $layer): array
    {
        return array_values(array_filter($layer->effects, fn (EffectLine $line): bool => ! is_a($line->is(), Inks::class, true)));
    }

    private function group(Layer $layer, Frame $window): ?Piece
    {
        $box = $this->placer->around($layer);
        if ($box === null) {
            return null;
        }
        $compose = fn (Frame $frame): Image => $this->compositor->compose($layer->children(), $layer->liveDistress(), $frame, $box->left, $box->top);
        $bend = $this->placer->bend($layer, $box);
        if ($bend === null) {
            return new Piece($compose($window), $window);
        }
        $finer = $window->ppi < self::PRINT ? 2 : 1;
        $flat = Frame::about($box->grown(0.02), $window->ppi * $finer);
        if ($flat === null) {
            return null;
        }
        $wide = new Frame($window->ppi * $finer, $window->left * $finer, $window->top * $finer, $window->width * $finer, $window->height * $finer);
        $back = function (float $x, float $y) use ($bend, $flat): array {
            [$fromX, $fromY] = ($bend->back)($x, $y);

            return [$fromX * $flat->ppi - $flat->left, $fromY * $flat->ppi - $flat->top];
        };

        return new Piece(Resampler::bent($compose($flat)->settled(), $back, $wide)->shrunkInk($finer), $window);
    }

    private function art(Layer $layer, Frame $window): ?Piece
    {
        $placing = $this->placer->place($layer);
        if ($placing === null || ! $layer->source instanceof ArtSource) {
            return null;
        }
        $own = $window->within($placing->box()->grown(2 / $window->ppi));

        if ($own === null) {
            return null;
        }
        $picture = $this->shelf->picture($layer->source->file);
        $pixels = $this->retoucher->retouched($layer, $layer->source, $placing->width);
        $piece = new Piece(ArtPainter::paint($picture, $placing, $own, $pixels), $own);

        return $pixels === null ? $piece : $this->restored($layer, $piece, $placing);
    }

    /** The ink within its masks. */
    private function seen(Layer $layer, Frame $window): ?Piece
    {
        $piece = $this->inked($layer, $window);

        return $piece === null ? null : $this->masked($layer, $piece);
    }

    /**
     * Looks are worked at print resolution, or finer, and averaged down: dots and grain of a proof are those of the print.
     *
     * @param  non-empty-list<Looks>  $looks
     */
    private function looked(Layer $layer, Frame $window, array $looks): ?Piece
    {
        $finer = max(1, (int) ceil(Silhouettes::PPI / $window->ppi - 0.01));
        $margin = (int) ceil(max(array_map(fn (Looks $look): float => $look->reach(), $looks)) * $window->ppi) + 1;
        $wide = new Frame(
            $window->ppi * $finer, ($window->left - $margin) * $finer, ($window->top - $margin) * $finer,
            ($window->width + 2 * $margin) * $finer, ($window->height + 2 * $margin) * $finer,
        );
        $piece = $this->seen($layer, $wide);
        if ($piece === null) {
            return null;
        }
        $ink = $piece->image->embed($piece->frame->left - $wide->left, $piece->frame->top - $wide->top, $wide->width, $wide->height)->settled();
        foreach ($looks as $look) {
            $ink = $look->look($ink, $wide->ppi, [$wide->left, $wide->top])->settled();
        }

        return new Piece($ink->shrunkInk($finer)->crop($margin, $margin, $window->width, $window->height)->settled(), $window);
    }

    private function worn(Layer $layer, Piece $piece): Piece
    {
        $box = $layer->liveDistress() === [] ? null : $this->placer->box($layer);
        if ($box === null) {
            return $piece;
        }
        // Weighed as it lies about 0, so that moving the piece leaves its wear as it is.
        $bare = $layer->withOpacity(1.0)->withDistress([]);
        // What is clipped to another piece stays where that is.
        $clipped = array_filter($layer->liveMasks(), fn (Mask $mask): bool => $mask instanceof ClipMask) !== [];
        $bare = $clipped ? $bare : $bare->moved(-$box->centreX(), -$box->centreY());
        foreach ($layer->liveDistress() as $wear) {
            $coarse = function (float $ppi) use ($bare): ?Piece {
                $reach = $this->placer->reach($bare);
                $frame = $reach === null ? null : Frame::about($reach, $ppi);
                $all = $frame === null ? null : $this->painted($bare, $frame);

                return $all?->with($all->image->alpha()->settled());
            };
            $image = $piece->image->settled();
            $ink = new WornInk(md5($this->key($bare)), $coarse, $box, $image->alpha(), $clipped ? null : 0.0, $clipped ? null : 0.0);
            $piece = $piece->with($image->masked($this->wear->taken($wear, $piece->frame, $ink, $box->centreX(), $box->centreY())->inverted()));
        }

        return $piece;
    }

    /** Brings back what a brush restores of a picture that something was cleared from. */
    private function restored(Layer $layer, Piece $piece, Placing $placing): Piece
    {
        $strokes = array_merge([], ...array_map(fn (Mask $mask): array => $mask instanceof BrushMask ? $mask->strokes : [], $layer->liveMasks()));
        $source = $layer->source;
        if (! $source instanceof ArtSource || array_filter($strokes, fn (Stroke $stroke): bool => $stroke->restores) === []) {
            return $piece;
        }
        $box = Box::centred(0, 0, $placing->width, $placing->height);
        $back = BrushPainter::over(Image::empty($piece->frame->width, $piece->frame->height, 1), $strokes, $box, $placing->toSheet, $piece->frame);
        // As it was before anything was cleared, but cropped and straightened as it is.
        $kept = Taking::uncleared($layer);
        $whole = ArtPainter::paint($this->shelf->picture($source->file), $placing, $piece->frame, $this->retoucher->retouched($kept, $source, $placing->width));

        return $piece->with(Image::stacked($piece->frame->width, $piece->frame->height, [Laid::over($piece->image, 0, 0), Laid::over($whole->masked($back), 0, 0)]));
    }

    private function masked(Layer $layer, Piece $piece): Piece
    {
        $masks = $layer->liveMasks();
        if ($masks === []) {
            return $piece;
        }
        $placing = $this->placer->place($layer);
        $box = $placing === null ? $this->placer->reach($layer) : Box::centred(0, 0, $placing->width, $placing->height);

        return $box === null ? $piece : $piece->with($piece->image->masked($this->masks->together($masks, $box, $placing?->toSheet, $piece->frame)));
    }

    /** All masks of a layer alone, over the whole of a window. */
    public function mask(Layer $layer, Frame $frame): ?Image
    {
        $placing = $this->placer->place($layer);
        $box = $placing === null ? $this->placer->reach($layer) : Box::centred(0, 0, $placing->width, $placing->height);
        $masks = $layer->liveMasks();

        return $box === null || $masks === [] ? null : $this->masks->together($masks, $box, $placing?->toSheet, $frame);
    }

    /** All that a layer's picture depends on. */
    public function key(Layer $layer): string
    {
        $assets = [];
        foreach ($layer->everyLayer() as $one) {
            foreach ($one->masks as $mask) {
                $clip = $mask->clipsTo() === null ? null : $this->compositor->named($mask->clipsTo());
                if ($clip !== null) {
                    $assets[] = $this->key(Compositor::unclipped($clip));
                }
            }
            array_push($assets, ...array_map($this->shelf->fingerprint(...), $one->files()));
        }
        // The values, and not the file's form of them: a line that names a swatch depends on the swatch's colour.
        $drawn = [$layer->on, $layer->role, $layer->source, $layer->placement, $layer->opacity, $layer->effects, $layer->masks, $layer->distress, $layer->repeat];

        return self::VERSION.serialize([$drawn, $assets]);
    }

    /**
     * @template T
     *
     * @param  callable(): T  $work
     * @return T
     */
    private function guarded(Layer $layer, callable $work): mixed
    {
        try {
            return $work();
        } catch (\TallCrow\Asset\AssetUnusable|\TallCrow\Type\MissingGlyphs|\TallCrow\Type\FontRefused $reason) {
            throw LayerTrouble::of($layer, $reason);
        }
    }
}
