<?php

declare(strict_types=1);

namespace TallCrow\Render\Stage;

use TallCrow\Artwork\Layer;
use TallCrow\Effect\DrawsDots;
use TallCrow\Effect\Effect;
use TallCrow\Effect\Looks;
use TallCrow\Raster\Image;
use TallCrow\Render\Frame;
use TallCrow\Render\Piece;
use TallCrow\Render\Placer;
use TallCrow\Render\Scene;

/** Changes the look of the ink as a whole: worked as finely as each look asks for and averaged down, so that dots and grain of a proof are those of the print. */
final readonly class LookStage implements Stage
{
    /** Pixels of the longer side of the picture in which colours are counted. */
    private const SMALL = 220.0;

    /** Ppi from which on ink is fine enough for dots to be drawn from it; a little below 150, as frames are no whole parts of 300. */
    private const ENOUGH = 149.0;

    public function __construct(
        private Stage $before,
        private Placer $placer,
    ) {}

    public function paint(Layer $layer, Frame $window, Scene $scene): ?Piece
    {
        $looks = array_values(array_filter($layer->liveEffects(), fn (Effect $effect): bool => $effect instanceof Looks));

        return $looks === [] ? $this->before->paint($layer, $window, $scene) : $this->looked($layer, $window, $looks, $scene);
    }

    private function small(Layer $layer, Scene $scene): ?Image
    {
        $reach = $this->placer->reach($layer);
        $frame = $reach === null ? null : Frame::about($reach, self::SMALL / max(0.1, $reach->width(), $reach->height()));

        return $frame === null ? null : $this->before->paint($layer, $frame, $scene)?->image->settled();
    }

    private static function zoomed(?Piece $piece, int $by): ?Piece
    {
        return $piece === null || $by === 1 ? $piece : new Piece($piece->image->zoomed($by), $piece->frame->finer($by));
    }

    /** @param  non-empty-list<Looks>  $looks */
    private function looked(Layer $layer, Frame $window, array $looks, Scene $scene): ?Piece
    {
        $finer = max(1, (int) ceil(max(array_map(fn (Looks $look): float => $look->ppi(), $looks)) / $window->ppi - 0.01));
        $margin = (int) ceil(max(array_map(fn (Looks $look): float => $look->reach(), $looks)) * $window->ppi) + 1;
        $wide = new Frame(
            $window->ppi * $finer, ($window->left - $margin) * $finer, ($window->top - $margin) * $finer,
            ($window->width + 2 * $margin) * $finer, ($window->height + 2 * $margin) * $finer,
        );
        // Dots of a proof are drawn from ink of half as many pixels each way, each twice: averaged down again that is a third of a level in the mean.
        $fine = array_filter($looks, fn (Looks $look): bool => $look->ppi() > self::ENOUGH && ! $look instanceof DrawsDots);
        $twice = $fine === [] && $finer % 2 === 0 && $wide->ppi / 2 >= self::ENOUGH ? 2 : 1;
        $piece = self::zoomed($this->before->paint($layer, $twice === 1 ? $wide : $wide->coarser($twice), $scene), $twice);
        if ($piece === null) {
            return null;
        }
        $ink = $piece->image->embed($piece->frame->left - $wide->left, $piece->frame->top - $wide->top, $wide->width, $wide->height)->settled();
        if ($layer->opacity < 1 && $layer->endsFades()) {
            $ink = $ink->withAlpha($ink->alpha()->linearByte($layer->opacity))->settled();
        }
        $whole = fn (): ?Image => $this->small($layer, $scene);
        foreach ($looks as $look) {
            $ink = $look->look($ink, $wide->ppi, [$wide->left, $wide->top], $whole)->settled();
        }

        return new Piece($ink->shrunkInk($finer)->crop($margin, $margin, $window->width, $window->height)->settled(), $window);
    }
}
