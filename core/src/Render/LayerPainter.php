<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Artwork\Layer;
use TallCrow\Asset\AssetUnusable;
use TallCrow\Asset\Shelf;
use TallCrow\Raster\Image;
use TallCrow\Render\Stage\InkStage;
use TallCrow\Render\Stage\Knockout;
use TallCrow\Render\Stage\LayerKeys;
use TallCrow\Render\Stage\LayerMasks;
use TallCrow\Render\Stage\LookStage;
use TallCrow\Render\Stage\MaskStage;
use TallCrow\Render\Stage\OpacityStage;
use TallCrow\Render\Stage\Outlines;
use TallCrow\Render\Stage\Stage;
use TallCrow\Render\Stage\WearStage;
use TallCrow\Type\FontRefused;
use TallCrow\Type\MissingGlyphs;

/** Draws one layer alone, stage by stage: ink, masks, looks, wear, opacity. A knockout is drawn as its shape. Results are cached. */
final readonly class LayerPainter
{
    public LayerKeys $keys;

    private Stage $stages;

    private Stage $knockout;

    private LayerMasks $masks;

    public function __construct(
        Shelf $shelf,
        private Placer $placer,
        private Pictures $pictures,
        WearPainter $wear,
    ) {
        $this->keys = new LayerKeys($shelf);
        $outlines = new Outlines($placer, $pictures, $this->keys);
        $this->masks = new LayerMasks($placer, new MaskPainter($shelf, $pictures));
        $ink = new InkStage($shelf, $placer, $placer->retoucher, new PatternPainter($shelf, $pictures), $outlines, $this->masks, $pictures);
        $this->stages = new OpacityStage(new WearStage(new LookStage(new MaskStage($ink, $this->masks), $placer, $pictures, $this->keys), $placer, $wear, $this->keys));
        $this->knockout = new Knockout($outlines, $pictures);
    }

    /**
     * The layer's ink in a window or, for a knockout, its shape; null when none of it shows there.
     *
     * @throws LayerTrouble
     */
    public function paint(Layer $layer, Frame $frame, Scene $scene): ?Piece
    {
        try {
            $takes = $layer->role->takesAway();

            return $this->pictures->piece(
                ($takes ? 'knockout ' : 'ink ').$this->keys->of($layer, $scene),
                $frame,
                fn (): ?Piece => $takes ? $this->knockout->paint($layer, $frame, $scene) : $this->draw($layer, $frame, $scene),
            );
        } catch (AssetUnusable|MissingGlyphs|FontRefused|DrawingSetAside $reason) {
            throw LayerTrouble::of($layer, $reason);
        }
    }

    /** The layer's ink, not cached. */
    public function draw(Layer $layer, Frame $frame, Scene $scene): ?Piece
    {
        $layer = $layer->drawn();
        $reach = $this->placer->reach($layer);
        $window = $reach === null ? null : $frame->within($reach);

        return $window === null ? null : $this->stages->paint($layer, $window, $scene);
    }

    /** All masks of a layer alone, over the whole of a window. */
    public function mask(Layer $layer, Frame $frame, Scene $scene): ?Image
    {
        return $this->masks->all($layer, $frame, $scene);
    }
}
