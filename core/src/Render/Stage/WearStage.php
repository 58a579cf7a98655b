<?php

declare(strict_types=1);

namespace TallCrow\Render\Stage;

use TallCrow\Artwork\Layer;
use TallCrow\Geometry\Box;
use TallCrow\Render\Frame;
use TallCrow\Render\Piece;
use TallCrow\Render\Placer;
use TallCrow\Render\Scene;
use TallCrow\Render\WearPainter;
use TallCrow\Render\WornInk;
use TallCrow\Texture\Wear;

/** Applies a layer's own wear. A group's wear is applied when its children are composed. */
final readonly class WearStage implements Stage
{
    public function __construct(
        private Stage $before,
        private Placer $placer,
        private WearPainter $wear,
        private LayerKeys $keys,
    ) {}

    public function paint(Layer $layer, Frame $window, Scene $scene): ?Piece
    {
        if ($layer->children() !== [] || $layer->liveDistress() === []) {
            return $this->before->paint($layer, $window, $scene);
        }
        $finer = LookStage::looks($layer) === [] ? $this->wear->finer($layer->liveDistress(), $window->ppi) : 1;
        if ($finer > 1) {
            return $this->wornFrom($layer, $window->finer($finer), $scene)?->coarser($finer)->cut($window);
        }

        return $this->wornFrom($layer, $window, $scene);
    }

    private function wornFrom(Layer $layer, Frame $window, Scene $scene): ?Piece
    {
        // Wear that depends on edges reads ink beyond the window.
        $margin = max([0, ...array_map(fn (Wear $wear): int => $this->wear->margin($wear, $window->ppi), $layer->liveDistress())]);
        $wide = $window->grown($margin);
        $piece = $this->before->paint($layer, $wide, $scene);
        if ($piece === null) {
            return null;
        }
        $whole = $margin === 0 ? $piece : new Piece($piece->image->embed($piece->frame->left - $wide->left, $piece->frame->top - $wide->top, $wide->width, $wide->height)->settled(), $wide);

        return $this->worn($layer, $whole, $scene)->cut($window);
    }

    private function worn(Layer $layer, Piece $piece, Scene $scene): Piece
    {
        $box = $layer->liveDistress() === [] ? null : $this->placer->box($layer);
        if ($box === null) {
            return $piece;
        }
        // Weigh the piece at the origin, so that moving it does not change its wear.
        $bare = $layer->withOpacity(1.0)->withDistress([]);
        $clipped = $layer->isClipped();
        $bare = $clipped ? $bare : $bare->moved(-$box->centreX(), -$box->centreY());
        $coarse = function (float $ppi) use ($bare, $scene): ?Piece {
            $reach = $this->placer->reach($bare);
            $frame = $reach === null ? null : Frame::about($reach, $ppi);
            $all = $frame === null ? null : $scene->draw($bare, $frame);

            return $all?->with($all->image->alpha()->settled());
        };
        $key = md5($this->keys->of($bare, $scene));
        $plain = [];
        foreach ($layer->liveDistress() as $wear) {
            $edges = $this->wear->followsEdges($wear);
            if ($edges) {
                $piece = $this->leftBy($plain, $piece, $box);
                $plain = [];
            }
            $image = $edges ? $piece->image->settled() : null;
            $ink = new WornInk($key, $coarse, $box, $image?->alpha(), $clipped ? null : 0.0, $clipped ? null : 0.0);
            if ($image === null) {
                $plain[] = [$wear, $ink];

                continue;
            }
            $piece = $piece->with($image->masked($this->wear->taken($wear, $piece->frame, $ink, $box->centreX(), $box->centreY())->inverted()));
        }

        return $this->leftBy($plain, $piece, $box);
    }

    /** @param  list<array{Wear, WornInk}>  $worn  that do not follow edges */
    private function leftBy(array $worn, Piece $piece, Box $box): Piece
    {
        return $worn === [] ? $piece : $piece->with($piece->image->settled()->masked($this->wear->left($worn, $piece->frame, $box->centreX(), $box->centreY())));
    }
}
