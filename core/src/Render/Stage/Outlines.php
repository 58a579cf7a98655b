<?php

declare(strict_types=1);

namespace TallCrow\Render\Stage;

use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\Layer;
use TallCrow\Effect\Effect;
use TallCrow\Effect\LeavesCloth;
use TallCrow\Effect\Looks;
use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Path;
use TallCrow\Mask\Mask;
use TallCrow\Render\Frame;
use TallCrow\Render\InkOutlines;
use TallCrow\Render\Pictures;
use TallCrow\Render\Placer;
use TallCrow\Render\Scene;
use TallCrow\Render\Silhouettes;

/** The outline of a layer's ink on the sheet, in inches: its vector outline if it has one, otherwise traced from its pixels. */
final readonly class Outlines
{
    public function __construct(
        private Placer $placer,
        private Pictures $pictures,
        private LayerKeys $keys,
    ) {}

    /**
     * The silhouette of all of a layer's ink, hollow or not, on the sheet in inches. Words and shapes that nothing has cut into have vector outlines; all else
     * is traced.
     */
    public function shape(Layer $layer, Scene $scene): ?PlacedPath
    {
        $filled = $layer->withEffects(array_values(array_filter($layer->effects, fn (EffectLine $line): bool => ! is_a($line->is(), LeavesCloth::class, true))));
        $whole = $layer === $layer->drawn() && $layer->liveMasks() === [] && $layer->liveDistress() === []
            && array_filter($layer->liveEffects(), fn (Effect $effect): bool => $effect instanceof Looks) === [];
        $placing = $this->placer->place($layer);

        return $whole && $placing !== null && $placing->upright !== []
            ? new PlacedPath((new InkOutlines($placing->upright, $this->placer->inking($layer), $this->pictures, Silhouettes::PPI))->shape(), $placing->lie)
            : $this->traced($filled->withOpacity(1), $scene);
    }

    /**
     * Traced from the alpha of its ink at print resolution. If the result does not depend on the piece's place, it is traced upright at the sheet's corner and
     * then moved, so that copies and moved or turned pieces are traced once.
     */
    public function traced(Layer $layer, Scene $scene): ?PlacedPath
    {
        $placement = $layer->placement;
        $isClipped = array_filter($layer->liveMasks(), fn (Mask $mask): bool => $mask->clipsTo() !== null) !== [];
        if ($placement === null || $layer !== $layer->drawn() || $isClipped || $layer->liveDistress() !== []) {
            $path = $this->trace($layer, $scene);

            return $path === null ? null : new PlacedPath($path, Affine::identity());
        }
        $upright = $this->trace($layer->withPlacement($placement->atHome()), $scene);
        $home = $upright?->transformed(Affine::scale($placement->flip->x(), $placement->flip->y()));

        return $home === null ? null : new PlacedPath($home, Affine::turn($placement->turn)->then(Affine::shift($placement->x, $placement->y)));
    }

    private function trace(Layer $layer, Scene $scene): ?Path
    {
        $box = $this->placer->reach($layer);
        $frame = $box === null ? null : Frame::about($box->grown(0.02), Silhouettes::PPI);
        if ($frame === null) {
            return null;
        }
        $json = $this->pictures->text('trace '.$this->keys->of($layer, $scene), function () use ($layer, $frame, $scene): string {
            $piece = $scene->draw($layer, $frame);

            return json_encode($piece === null ? [] : Silhouettes::trace($piece)->segments, JSON_THROW_ON_ERROR);
        });

        /** @var list<array{'M', float, float}|array{'L', float, float}|array{'C', float, float, float, float, float, float}|array{'Z'}> $segments */
        $segments = json_decode($json, true);

        return new Path($segments);
    }
}
