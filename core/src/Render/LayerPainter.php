<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Artwork\ArtSource;
use TallCrow\Artwork\Layer;
use TallCrow\Asset\Shelf;
use TallCrow\Effect\Inking;
use TallCrow\Geometry\Box;
use TallCrow\Geometry\Path;
use TallCrow\Raster\Image;
use TallCrow\Raster\Laid;

/** Draws one layer alone: its ink, rings, masks, wear and opacity, and the shape that it knocks out. */
final class LayerPainter
{
    /** Part of every key: raise it when the same sheet is to be drawn otherwise. */
    private const VERSION = 'painter-2';

    public function __construct(
        private readonly Shelf $shelf,
        private readonly Placer $placer,
        private readonly Pictures $pictures,
        private readonly WearPainter $wear,
        private readonly Compositor $compositor,
    ) {}

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

                return $window === null ? null : new Piece(SvgPainter::widened($path, $layer->role->gap, $layer->role->join, $window)->asInk(), $window);
            });
        });
    }

    /**
     * The outline of all of a layer's ink, on the sheet in inches. Words and figures that nothing has cut into give
     * their own; all else is traced.
     */
    private function shape(Layer $layer): ?Path
    {
        $plain = $layer->liveMasks() === [] && $layer->liveDistress() === [] && $this->placer->inking($layer)->rings === [];
        $path = $this->placer->place($layer)?->path;

        return $plain && $path !== null ? $path : $this->traced($layer->with(opacity: 1));
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
        $reach = $this->placer->reach($layer);
        $window = $reach === null ? null : $frame->within($reach);
        if ($reach === null || $window === null) {
            return null;
        }
        $piece = $this->inked($layer, $window);
        if ($piece === null) {
            return null;
        }
        $piece = $this->masked($layer, $piece);
        foreach ($layer->children() === [] ? $layer->liveDistress() : [] as $wear) {
            $centre = $this->placer->place($layer)?->box();
            $piece = $piece->with($piece->image->masked(
                $this->wear->kept($wear, $piece->frame, $centre?->centreX() ?? 0.0, $centre?->centreY() ?? 0.0),
            ));
        }
        if ($layer->opacity < 1) {
            $piece = $piece->with($piece->image->withAlpha($piece->image->alpha()->scaledBy($layer->opacity)));
        }

        return $piece;
    }

    private function inked(Layer $layer, Frame $window): ?Piece
    {
        $inking = $this->placer->inking($layer);
        $path = $this->placer->place($layer)?->path;
        if ($path !== null) {
            return new Piece(SvgPainter::ink($path, $inking->fill, $inking->rings, $window)->asInk(), $window);
        }
        $piece = $layer->children() === [] ? $this->art($layer, $window) : $this->group($layer, $window);
        if ($piece === null) {
            return null;
        }
        if ($inking->fill !== null) {
            $piece = $piece->with(Image::flat($inking->fill, $piece->image->alpha()));
        }

        return $inking->rings === [] ? $piece : $this->ringed($layer, $inking, $piece, $window);
    }

    private function ringed(Layer $layer, Inking $inking, Piece $piece, Frame $window): Piece
    {
        $bare = $layer->with(
            opacity: 1.0,
            effects: array_values(array_filter($layer->effects, fn ($line): bool => ! $line->effect() instanceof \TallCrow\Effect\Inks)),
            masks: [],
            distress: [],
        );
        $path = $this->traced($bare);
        if ($path === null || $path->isEmpty()) {
            return $piece;
        }
        $rings = SvgPainter::ink($path, null, $inking->rings, $window)->asInk();

        return new Piece(Image::stacked($window->width, $window->height, [
            Laid::over($rings, 0, 0),
            Laid::over($piece->image, $piece->frame->left - $window->left, $piece->frame->top - $window->top),
        ]), $window);
    }

    private function group(Layer $layer, Frame $window): Piece
    {
        $box = $this->placer->reach($layer) ?? new Box(0, 0, 0, 0);

        return new Piece($this->compositor->compose($layer->children(), $layer->liveDistress(), $window, $box->left, $box->top), $window);
    }

    private function art(Layer $layer, Frame $window): ?Piece
    {
        $placing = $this->placer->place($layer);
        if ($placing === null || ! $layer->source instanceof ArtSource) {
            return null;
        }
        $picture = $this->shelf->picture($layer->source->file);
        $own = $window->within($placing->box()->grown(2 / $window->ppi));
        if ($own === null) {
            return null;
        }

        return new Piece(
            $picture->isVector()
                ? SvgPainter::drawing($picture->markup(), $placing, $own)
                : RasterPlacer::place($picture->pixels(), $placing, $own),
            $own,
        );
    }

    private function masked(Layer $layer, Piece $piece): Piece
    {
        $masks = $layer->liveMasks();
        if ($masks === []) {
            return $piece;
        }
        $placing = $this->placer->place($layer);
        foreach ($masks as $mask) {
            $toSheet = $placing?->toSheet;
            $size = $placing === null ? $this->placer->reach($layer) : Box::centred(0, 0, $placing->width, $placing->height);
            if ($size !== null) {
                $piece = $piece->with($piece->image->masked(MaskPainter::paint($mask, $size, $toSheet, $piece->frame)));
            }
        }

        return $piece;
    }

    private function key(Layer $layer): string
    {
        $assets = [];
        foreach ([$layer, ...$this->below($layer)] as $one) {
            $source = $one->source;
            if ($source instanceof ArtSource) {
                $assets[] = $this->shelf->fingerprint($source->file);
            } elseif ($source instanceof \TallCrow\Artwork\TextSource) {
                $assets[] = $this->shelf->fingerprint($source->font);
            }
        }
        $drawn = ['id' => '', 'name' => '', 'blend' => ''] + $layer->toArray();

        return self::VERSION.json_encode([$drawn, $assets], JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE);
    }

    /** @return list<Layer> */
    private function below(Layer $layer): array
    {
        $all = [];
        foreach ($layer->children() as $child) {
            array_push($all, $child, ...$this->below($child));
        }

        return $all;
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
