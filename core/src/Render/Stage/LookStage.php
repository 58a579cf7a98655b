<?php

declare(strict_types=1);

namespace TallCrow\Render\Stage;

use TallCrow\Artwork\Layer;
use TallCrow\Effect\DrawsDots;
use TallCrow\Effect\Effect;
use TallCrow\Effect\Looks;
use TallCrow\Effect\SeesAround;
use TallCrow\Look\Dotted;
use TallCrow\Look\PrintGrid;
use TallCrow\Look\WholeInk;
use TallCrow\Raster\Image;
use TallCrow\Render\Frame;
use TallCrow\Render\Pictures;
use TallCrow\Render\Piece;
use TallCrow\Render\Placer;
use TallCrow\Render\Scene;

/**
 * Applies looks to a layer's ink. They are computed at the resolution that each look asks for and averaged down, so that dots and grain of a proof match the
 * print.
 */
final readonly class LookStage implements Stage
{
    /** Longer side, in pixels, of the small picture in which colours are counted. */
    private const SMALL = 220.0;

    /** Below this ppi a picture is a proof. */
    private const PROOF = 200.0;

    /** Proofs from this ppi on show single pixels of the print's edges and dots. */
    private const CLOSE = 45.0;

    /** Least ppi of the ink that dots are drawn from. */
    private const INK = 90.0;

    /** Pixels of a whole piece in print up to which there is time for such a proof to be computed from more pixels. */
    private const FEW = 4_000_000;

    /** How much finer such looks are computed then. */
    private const CLOSER = 1.5;

    public function __construct(
        private Stage $before,
        private Placer $placer,
        private Pictures $pictures,
        private LayerKeys $keys,
    ) {}

    public function paint(Layer $layer, Frame $window, Scene $scene): ?Piece
    {
        $looks = self::looks($layer);
        if ($looks === []) {
            return $this->before->paint($layer, $window, $scene);
        }
        $last = array_pop($looks);

        return $last instanceof DrawsDots ? $this->dotted($layer, $window, $looks, $last, $scene) : $this->looked($layer, $window, [...$looks, $last], $scene);
    }

    /** @return list<Looks> those that are on, in their order */
    public static function looks(Layer $layer): array
    {
        return array_values(array_filter($layer->liveEffects(), fn (Effect $effect): bool => $effect instanceof Looks));
    }

    private function whole(Layer $layer, Scene $scene): WholeInk
    {
        // Count colours with the layer moved to the origin, so that moving a piece on the pixel grid does not change the result.
        $at = $layer->isClipped() ? [0.0, 0.0] : $layer->middle();
        $layer = $layer->withDistress([])->moved(-$at[0], -$at[1]);

        return new WholeInk(fn (): ?Image => $this->small($layer, $scene), fn (string $name, \Closure $make): string => $this->pictures->text("$name {$this->keys->of($layer, $scene)}", $make));
    }

    private function small(Layer $layer, Scene $scene): ?Image
    {
        $reach = $this->placer->reach($layer);
        $frame = $reach === null ? null : Frame::about($reach, self::SMALL / max(0.1, $reach->width(), $reach->height()));

        return $frame === null ? null : $this->before->paint($layer, $frame, $scene)?->image->settled();
    }

    /** The oversampling factor: pixels of the look to a pixel of the window, each way. */
    private static function finer(Frame $window, float $ppi): int
    {
        return max(1, (int) ceil($ppi / $window->ppi - 0.01));
    }

    /** Whether a proof is computed from more pixels. This depends on the whole piece, not on the window, so that a part of a proof is drawn as the whole is. */
    private function isClose(Layer $layer, Frame $window): bool
    {
        return $window->ppi >= self::CLOSE && $this->isSmall($layer);
    }

    private function isSmall(Layer $layer): bool
    {
        $reach = $this->placer->reach($layer);

        return $reach !== null && $reach->width() * $reach->height() * Looks::PRINT ** 2 <= self::FEW;
    }

    /**
     * How many pixels of the dots share one pixel of the ink they are drawn from, each way. The more dot pixels are averaged into a window pixel, the coarser
     * the ink may be.
     *
     * @param  list<Looks>  $looks  the looks before the dots
     */
    private static function coarser(int $finer, float $ppi, array $looks): int
    {
        $most = match (true) {
            $finer >= 5 => 3,
            $finer === 4 => 2,
            default => 1,
        };
        $least = max([1.0, ...array_map(fn (Looks $look): float => $look->ppi(), $looks)]);

        return max(1, min($most, (int) floor($ppi / max(self::INK, $least) + 0.01)));
    }

    /** @param  non-empty-list<Looks>  $looks */
    private static function wide(Frame $window, array $looks): Frame
    {
        return $window->grown((int) ceil(array_sum(array_map(fn (Looks $look): float => $look->reach() + ($look instanceof SeesAround ? $look->around() : 0.0), $looks)) * $window->ppi) + 1);
    }

    /**
     * The layer's ink in a frame after some looks. If a look turns every fade into dots, the layer's opacity is applied first.
     *
     * @param  list<Looks>  $looks
     * @param  ?\Closure(string, \Closure(): Image): Image  $keeper
     */
    private function ink(Layer $layer, Frame $frame, array $looks, Scene $scene, ?\Closure $keeper): ?Image
    {
        $piece = $this->before->paint($layer, $frame, $scene);
        if ($piece === null) {
            return null;
        }
        $ink = $piece->image->embed($piece->frame->left - $frame->left, $piece->frame->top - $frame->top, $frame->width, $frame->height)->settled();
        if ($layer->opacity < 1 && $layer->endsFades()) {
            $ink = $ink->withAlpha($ink->alpha()->linearByte($layer->opacity))->settled();
        }
        $whole = $this->whole($layer, $scene);
        $grid = PrintGrid::ofInk($frame->ppi, [$frame->left, $frame->top], $keeper);
        foreach ($looks as $look) {
            $ink = $look->look($ink, $grid, $whole)->settled();
        }

        return $ink;
    }

    /**
     * The cache for fields that depend on the sheet alone. Only for proofs: a print is seldom drawn twice.
     *
     * @return ?\Closure(string, \Closure(): Image): Image
     */
    private function keeper(Frame $window): ?\Closure
    {
        return $window->ppi < self::PROOF ? $this->pictures->image(...) : null;
    }

    private static function cut(Image $image, Frame $wide, Frame $window): Piece
    {
        return new Piece($image->crop($window->left - $wide->left, $window->top - $wide->top, $window->width, $window->height)->settled(), $window);
    }

    /**
     * Dots of a large piece's proof are drawn from coarser ink; after averaging down this is off by half a level in the mean.
     *
     * @param  list<Looks>  $looks  the looks before the dots
     */
    private function dotted(Layer $layer, Frame $window, array $looks, DrawsDots $last, Scene $scene): ?Piece
    {
        $finer = self::finer($window, $window->ppi < self::CLOSE && ! $this->isSmall($layer) ? min($last->ppi(), $last->glancedPpi()) : $last->ppi());
        $wide = self::wide($window, [...$looks, $last]);
        $dots = $wide->finer($finer);
        $step = $this->isClose($layer, $window) ? 1 : self::coarser($finer, $dots->ppi, $looks);
        $coarse = $dots->coarserAround($step);
        $keeper = $this->keeper($window);
        $ink = $this->ink($layer, $coarse, $looks, $scene, $keeper);
        if ($ink === null) {
            return null;
        }
        $at = [$dots->left, $dots->top];
        $grid = $finer === 1 ? PrintGrid::ofInk($dots->ppi, $at, $keeper) : PrintGrid::under(
            $dots->ppi, $at, $step, [$dots->left - $coarse->left * $step, $dots->top - $coarse->top * $step, $dots->width, $dots->height], $keeper,
        );
        $inks = $last->dots($ink, $grid);
        if ($finer === 1) {
            return self::cut(Dotted::printed($inks, $ink), $wide, $window);
        }
        $picture = fn (): Image => ($looks === [] ? $this->ink($layer, $wide, [], $scene, $keeper) : null) ?? $grid->fine($ink)->shrunkInk($finer);

        return self::cut(Dotted::averaged($inks, $finer, $wide->width, $wide->height, $picture), $wide, $window);
    }

    /** @param  non-empty-list<Looks>  $looks */
    private function looked(Layer $layer, Frame $window, array $looks, Scene $scene): ?Piece
    {
        $ppi = max(array_map(fn (Looks $look): float => $look->ppi(), $looks));
        $finer = self::finer($window, $this->isClose($layer, $window) ? min(Looks::PRINT, self::CLOSER * $ppi) : $ppi);
        $wide = self::wide($window, $looks);
        $ink = $this->ink($layer, $wide->finer($finer), $looks, $scene, $this->keeper($window));

        return $ink === null ? null : self::cut($ink->shrunkInk($finer), $wide, $window);
    }
}
