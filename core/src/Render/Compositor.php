<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Role;
use TallCrow\Asset\AssetUnusable;
use TallCrow\Geometry\Box;
use TallCrow\Geometry\Join;
use TallCrow\Raster\BlendMode;
use TallCrow\Raster\Image;
use TallCrow\Render\Stage\LayerKeys;
use TallCrow\Render\Stage\LookStage;
use TallCrow\Texture\Wear;
use TallCrow\Type\FontRefused;
use TallCrow\Type\MissingGlyphs;

/** Composes layers from the cloth up, applying knockouts and the sheet's wear. */
final class Compositor implements Scene
{
    /** Inches about a shielded knockout in which wear leaves the ink alone (our choice): the knockout reads by the ink around it. */
    private const ABOUT = 0.04;

    /** @param  ?callable(LayerTrouble): void  $onTrouble when given, it receives the trouble of a layer that cannot be drawn, and the layer is left out; otherwise the trouble is thrown */
    public function __construct(
        public readonly Placer $placer,
        private readonly LayerPainter $painter,
        private readonly WearPainter $wear,
        private readonly Pictures $pictures,
        private readonly mixed $onTrouble = null,
        private readonly Progress $progress = new NoProgress,
        private readonly ?Artwork $artwork = null,
        private readonly ?Artwork $pattern = null,
    ) {}

    public function compose(array $layers, array $distress, Frame $frame, float $x = 0.0, float $y = 0.0): Image
    {
        $finer = self::isLooked($layers) ? 1 : $this->wear->finer($distress, $frame->ppi);
        if ($finer > 1) {
            return $this->compose($layers, $distress, $frame->finer($finer), $x, $y)->shrunkInk($finer);
        }
        $margin = max([0, ...array_map(fn (Wear $wear): int => $this->wear->margin($wear, $frame->ppi), $distress)]);

        return $margin === 0
            ? $this->laid($layers, $distress, $frame, $x, $y)
            : $this->laid($layers, $distress, $frame->grown($margin), $x, $y)->crop($margin, $margin, $frame->width, $frame->height);
    }

    /**
     * Whether one of these layers has a look, which takes long in a finer proof.
     *
     * @param  list<Layer>  $layers
     */
    private static function isLooked(array $layers): bool
    {
        return array_filter($layers, fn (Layer $layer): bool => LookStage::looks($layer) !== [] || self::isLooked($layer->children())) !== [];
    }

    /**
     * @param  list<Layer>  $layers
     * @param  list<Wear>  $distress
     */
    private function laid(array $layers, array $distress, Frame $frame, float $x, float $y): Image
    {
        $sheet = new Layering($frame);
        $painted = [];
        foreach ($this->drawn($layers, $frame) as [$layer, $gap, $piece]) {
            if ($gap !== null) {
                $sheet->takeOut($layer, $gap);
            }
            if ($piece !== null) {
                $painted[$layer->id] = $piece;
                $sheet->add($layer, $piece, $layer->blend);
            }
        }

        return $this->worn($sheet->picture(), $sheet->isEmpty() ? [] : $distress, $layers, $painted, $frame, $x, $y);
    }

    /**
     * Each layer from the cloth up, with the piece that it knocks out of those below and the piece that it prints.
     *
     * @param  list<Layer>  $layers
     * @return iterable<array{Layer, ?Piece, ?Piece}>
     */
    private function drawn(array $layers, Frame $frame): iterable
    {
        foreach ($layers as $i => $layer) {
            $this->progress->layer($i, count($layers), $layer->called());
            yield [
                $layer,
                $layer->on && $layer->role->takesAway() ? $this->piece($layer, $frame) : null,
                $layer->on && $layer->role->prints() ? $this->piece($layer->withRole(Role::ink()), $frame) : null,
            ];
        }
    }

    /**
     * @param  list<Wear>  $distress
     * @param  list<Layer>  $layers
     * @param  array<string, Piece>  $painted
     */
    private function worn(Image $sheet, array $distress, array $layers, array $painted, Frame $frame, float $x, float $y): Image
    {
        $kept = null;
        $plain = [];
        foreach ($distress as $wear) {
            $edges = $this->wear->followsEdges($wear);
            $spared = $this->spared($layers, $wear, $frame, $painted);
            $isPlain = ! $edges && $spared->isEmpty();
            [$kept, $plain] = $isPlain ? [$kept, $plain] : [$this->leftBy($plain, $kept, $frame, $x, $y), []];
            if ($edges) {
                $sheet = ($kept === null ? $sheet : $sheet->masked($kept))->settled();
                $kept = null;
            }
            $isSheet = $this->pattern !== null && $layers === $this->artwork?->layers;
            $ink = $this->wornInk($isSheet ? $this->pattern->layers : $layers, $wear, $edges ? new Piece($sheet->alpha(), $frame) : null);
            if ($isPlain) {
                $plain[] = [$wear, $ink];

                continue;
            }
            $sheet = $spared->isEmpty() ? $sheet : $sheet->settled();
            $left = $this->takenBy($wear, $spared, $frame, $ink, fn (): Image => $kept === null ? $sheet->alpha() : $sheet->alpha()->times($kept), $x, $y)->inverted();
            $kept = $kept?->times($left) ?? $left;
            // The next wear reads this result before the sheet does, so compute it once.
            $kept = $spared->isEmpty() ? $kept : $kept->settled();
        }
        $kept = $this->leftBy($plain, $kept, $frame, $x, $y);

        return $kept === null ? $sheet : $sheet->masked($kept);
    }

    /**
     * @param  list<array{Wear, WornInk}>  $worn  that neither follow edges nor spare ink
     * @param  ?Image  $kept  what wear before them has left
     */
    private function leftBy(array $worn, ?Image $kept, Frame $frame, float $x, float $y): ?Image
    {
        $left = $worn === [] ? null : $this->wear->left($worn, $frame, $x, $y);

        return $kept === null || $left === null ? $kept ?? $left : $kept->times($left);
    }

    /**
     * The alpha of several layers before the sheet's wear, subsampled: every so-many-th pixel of a window.
     *
     * @param  list<Layer>  $layers
     */
    public function inkBefore(array $layers, Frame $frame, int $every): Piece
    {
        $points = new Layering($every === 1 ? $frame : $frame->coarser($every));
        $pointsOf = fn (?Piece $piece): ?Piece => $every === 1 ? $piece : $piece?->glimpsed($every);
        foreach ($this->drawn($layers, $frame) as [$layer, $gap, $piece]) {
            if (($gap = $pointsOf($gap)) !== null) {
                $points->takeOut($layer, $gap);
            }
            if (($piece = $pointsOf($piece)) !== null) {
                $points->add($layer, $piece, BlendMode::Normal);
            }
        }

        return new Piece($points->picture()->alpha()->settled(), $every === 1 ? $frame : $frame->coarser($every));
    }

    /** Whether this wear depends on where the ink's edges are. */
    public function followsEdges(Wear $wear): bool
    {
        return $this->wear->followsEdges($wear);
    }

    public function named(string $id): ?Layer
    {
        return $this->artwork?->layer($id);
    }

    public function inkOf(string $id, Frame $frame): Image
    {
        $layer = $this->named($id);
        if ($layer === null) {
            return Image::empty($frame->width, $frame->height, 1)->inverted();
        }
        $piece = $this->piece(LayerKeys::unclipped($layer), $frame);
        if ($piece === null) {
            return Image::empty($frame->width, $frame->height, 1);
        }

        return $piece->image->alpha()->embed($piece->frame->left - $frame->left, $piece->frame->top - $frame->top, $frame->width, $frame->height);
    }

    public function draw(Layer $layer, Frame $frame): ?Piece
    {
        return $this->painter->draw($layer, $frame, $this);
    }

    public function progress(): Progress
    {
        return $this->progress;
    }

    public function mask(Layer $layer, Frame $frame): ?Image
    {
        return $this->painter->mask($layer, $frame, $this);
    }

    /**
     * The layer's own picture or, for a knockout, its shape in the alpha.
     *
     * @throws LayerTrouble unless a listener for troubles was given
     */
    public function piece(Layer $layer, Frame $frame): ?Piece
    {
        try {
            return $this->painter->paint($layer, $frame, $this);
        } catch (LayerTrouble $trouble) {
            if ($this->onTrouble === null) {
                throw $trouble;
            }
            ($this->onTrouble)($trouble);

            return null;
        }
    }

    /**
     * What this wear must leave alone: the ink of shielded layers at any depth, and the ink about shielded knockouts.
     *
     * @param  list<Layer>  $layers
     * @param  array<string, Piece>  $painted  pieces that are already drawn, by layer id
     */
    public function spared(array $layers, Wear $wear, Frame $frame, array $painted): Spared
    {
        $found = new Spared;
        foreach ($layers as $layer) {
            if (! $layer->on) {
                continue;
            }
            $piece = in_array($layer->id, $wear->shielded, true) ? $painted[$layer->id] ?? $this->kept($layer, $frame) : null;
            $own = $piece === null ? [] : [$layer->id => $piece];
            $found = $found->and($layer->role->prints() ? new Spared(ink: $own) : new Spared(about: $own))->and($this->spared($layer->children(), $wear, $frame, []));
        }

        return $found;
    }

    /** A shielded layer's ink or, for a knockout, its shape and a margin about it. */
    private function kept(Layer $layer, Frame $frame): ?Piece
    {
        $role = $layer->role;

        return $this->piece($layer->withRole($role->prints() ? Role::ink() : Role::knockout(min(Role::MOST_GAP, $role->gap + self::ABOUT), Join::Round, whole: $role->whole)), $frame);
    }

    /**
     * The ink of several layers as input for wear that goes over all of them.
     *
     * @param  list<Layer>  $layers
     * @param  ?Piece  $ink  its alpha in a window, for wear that depends on edges
     */
    public function wornInk(array $layers, Wear $wear, ?Piece $ink): WornInk
    {
        // Use the whole sheet if it is known: a window that changed with the ink would make every cached field useless.
        $extent = $this->artwork?->sheet->box() ?? $this->around($layers) ?? new Box(0, 0, 1, 1);
        $key = md5(implode(' ', array_map(fn (Layer $layer): string => $layer->on ? md5($this->painter->keys->of($layer, $this)) : '', $layers)));

        // Always weighed at this fixed ppi, even if finer ink is at hand, so that a part, a proof and the print come to the same result.
        $window = fn (float $ppi): ?Frame => $this->artwork === null ? Frame::about($extent, $ppi) : Frame::sheet($this->artwork->sheet, $ppi);
        // Shared by all wear over these layers.
        $weighed = fn (Frame $frame): Image => $this->pictures->image("weighed $key {$frame->ppi}", fn (): Image => $this->compose($layers, [], $frame)->alpha());
        $edges = self::knockedOut($layers, $wear) === [] ? null : function (float $ppi) use ($layers, $wear, $window, $weighed): ?Piece {
            $frame = $window($ppi);

            return $frame === null ? null : $this->healed($layers, $wear, new Piece($weighed($frame), $frame));
        };

        return new WornInk($key.implode(',', $wear->shielded), function (float $ppi) use ($layers, $wear, $window, $weighed): ?Piece {
            $frame = $window($ppi);
            if ($frame === null) {
                return null;
            }
            $spared = $this->spared($layers, $wear, $frame, []);
            $alpha = $weighed($frame);

            return new Piece(($spared->isEmpty() ? $alpha : $alpha->times($spared->open($frame, $alpha->settled())))->settled(), $frame);
        }, $extent, $ink === null ? null : $this->healed($layers, $wear, $ink)->image, edges: $edges);
    }

    /**
     * The ink as if shielded knockouts had not been cut out of it, so that their edges do not count as edges to wear.
     *
     * @param  list<Layer>  $layers
     */
    private function healed(array $layers, Wear $wear, Piece $ink): Piece
    {
        $alpha = $ink->image;
        foreach (self::knockedOut($layers, $wear) as $layer) {
            $hole = $this->piece($layer, $ink->frame);
            if ($hole !== null) {
                // Remaining coverage + knocked-out coverage = full coverage.
                $alpha = $alpha->linear(1.0)->plus($hole->image->alpha()->embed($hole->frame->left - $ink->frame->left, $hole->frame->top - $ink->frame->top, $ink->frame->width, $ink->frame->height))->linearByte(1.0)->settled();
            }
        }

        return $ink->with($alpha);
    }

    /**
     * The shielded knockouts.
     *
     * @param  list<Layer>  $layers
     * @return list<Layer>
     */
    private static function knockedOut(array $layers, Wear $wear): array
    {
        return array_values(array_filter(array_map(fn (string $id): ?Layer => self::find($layers, $id), $wear->shielded), fn (?Layer $layer): bool => $layer !== null && $layer->on && ! $layer->role->prints()));
    }

    /**
     * The box about the ink of several layers. A layer that cannot be drawn has none.
     *
     * @param  list<Layer>  $layers
     */
    private function around(array $layers): ?Box
    {
        $box = null;
        foreach ($layers as $layer) {
            try {
                $reach = $layer->on && $layer->role->prints() ? $this->placer->reach($layer) : null;
                $box = $reach === null ? $box : ($box?->union($reach) ?? $reach);
            } catch (AssetUnusable|MissingGlyphs|FontRefused) {
                continue;
            }
        }

        return $box;
    }

    /** @param  list<Layer>  $layers */
    private static function find(array $layers, string $id): ?Layer
    {
        foreach ($layers as $layer) {
            $found = $layer->id === $id ? $layer : self::find($layer->children(), $id);
            if ($found !== null) {
                return $found;
            }
        }

        return null;
    }

    /**
     * The mask of what one wear takes (one band, 255 takes all); spared ink is left whole.
     *
     * @param  callable(): Image  $alpha  alpha of all the ink before this wear; only called if some ink is spared
     */
    public function takenBy(Wear $wear, Spared $spared, Frame $frame, WornInk $ink, callable $alpha, float $x = 0.0, float $y = 0.0): Image
    {
        $taken = $this->wear->taken($wear, $frame, $ink, $x, $y);

        return $spared->isEmpty() ? $taken : $taken->times($spared->open($frame, $alpha()->settled()));
    }
}
