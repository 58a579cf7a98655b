<?php

declare(strict_types=1);

namespace TallCrow\Render\Stage;

use TallCrow\Artwork\Layer;
use TallCrow\Effect\Effect;
use TallCrow\Effect\Looks;
use TallCrow\Render\Frame;
use TallCrow\Render\Piece;
use TallCrow\Render\Scene;
use TallCrow\Render\Silhouettes;

/** Changes the look of the ink as a whole: worked at print resolution, or finer, and averaged down, so that dots and grain of a proof are those of the print. */
final readonly class LookStage implements Stage
{
    public function __construct(private Stage $before) {}

    public function paint(Layer $layer, Frame $window, Scene $scene): ?Piece
    {
        $looks = array_values(array_filter($layer->liveEffects(), fn (Effect $effect): bool => $effect instanceof Looks));

        return $looks === [] ? $this->before->paint($layer, $window, $scene) : $this->looked($layer, $window, $looks, $scene);
    }

    /** @param  non-empty-list<Looks>  $looks */
    private function looked(Layer $layer, Frame $window, array $looks, Scene $scene): ?Piece
    {
        $finer = max(1, (int) ceil(Silhouettes::PPI / $window->ppi - 0.01));
        $margin = (int) ceil(max(array_map(fn (Looks $look): float => $look->reach(), $looks)) * $window->ppi) + 1;
        $wide = new Frame(
            $window->ppi * $finer, ($window->left - $margin) * $finer, ($window->top - $margin) * $finer,
            ($window->width + 2 * $margin) * $finer, ($window->height + 2 * $margin) * $finer,
        );
        $piece = $this->before->paint($layer, $wide, $scene);
        if ($piece === null) {
            return null;
        }
        $ink = $piece->image->embed($piece->frame->left - $wide->left, $piece->frame->top - $wide->top, $wide->width, $wide->height)->settled();
        foreach ($looks as $look) {
            $ink = $look->look($ink, $wide->ppi, [$wide->left, $wide->top])->settled();
        }

        return new Piece($ink->shrunkInk($finer)->crop($margin, $margin, $window->width, $window->height)->settled(), $window);
    }
}
