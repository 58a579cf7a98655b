<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Role;
use TallCrow\Edit\ScaleWear;
use TallCrow\Raster\Image;
use TallCrow\Render\Frame;
use TallCrow\Render\LayerTrouble;
use TallCrow\Render\Piece;
use TallCrow\Texture\Wear;

/** The share of ink that distress took: in all, and of each layer. */
final class WearShare implements ChecksSheet
{
    /** Shares beyond which a face loses its eyes and small words cannot be read (our choice). */
    private const WARN = 0.25;

    private const FAIL = 0.5;

    /** A little below the limit, which a mend aims at, and how often it is measured whether it got there: edges chip much before a solid does. */
    private const AIM = 0.22;

    private const TRIES = 5;

    private const PPI = 75.0;

    private const MOST_PPI = 100.0;

    private const NONE = 0.0005;

    /** Every so many pixels of all the ink together are looked at. */
    private const EVERY = 2;

    public function sheet(SheetSubject $subject): array
    {
        [$artwork, $renderer] = [$subject->artwork, $subject->renderer];
        if (! $artwork->isWorn()) {
            return [];
        }
        // A coarse picture that is there already serves, and so do its pieces.
        $isCoarse = $subject->picture->ppi <= self::MOST_PPI;
        $frame = Frame::sheet($artwork->sheet, $isCoarse ? $subject->picture->ppi : self::PPI);
        $skip = fn (LayerTrouble $trouble): null => null;
        $compositor = $subject->compositor();
        // Wear that follows edges needs all of the ink; else some of its points tell the share as well.
        $byEdges = array_filter($artwork->liveDistress(), $compositor->followsEdges(...)) !== [];
        // Where ink is knocked out, nothing of a piece can be worn.
        $knocksOut = array_filter($artwork->layers, fn (Layer $layer): bool => $layer->on && $layer->role->takesAway()) !== [];
        $every = $isCoarse && ! $byEdges && ! $knocksOut ? self::EVERY : 1;
        $unworn = $subject->beforeWear($frame, $every);
        $before = $unworn->image->area();
        $after = ($isCoarse ? $subject->sampled($frame->ppi / $every) : $renderer->picture($artwork, $frame, $skip))->alpha()->area();
        $share = $before > 0 ? 1 - $after / $before : 0.0;
        $findings = [$this->finding('wear', 'Wear', 'the ink', $share, [], $artwork, fn (float $by): float => $share * $by)];
        [$edges, $left] = [$byEdges ? $unworn->image : null, $knocksOut ? $unworn->image : null];
        foreach ($this->layers($subject, $artwork->layers, $frame, $edges, $left) as [$layer, $share]) {
            $findings[] = $this->finding('wear:'.$layer->id, $layer->called(), $layer->called(), $share, [$layer->id], $artwork, function (float $by) use ($layer, $subject, $frame, $edges, $left): float {
                $less = new SheetSubject((new ScaleWear([$layer->id], $by))->apply($subject->artwork, $subject->renderer->placer)->artwork, $subject->renderer, $subject->shelf, $subject->area, $subject->picture);

                return $this->layers($less, array_filter([$less->artwork->layer($layer->id)]), $frame, $edges, $left)[0][1] ?? 0.0;
            });
        }

        return $findings;
    }

    /**
     * @param  array<Layer>  $asked
     * @param  ?Image  $edges  all of the ink before wear, where a line of wear follows its edges
     * @param  ?Image  $left  the same, where some of it is knocked out
     * @return list<array{Layer, float}>
     */
    private function layers(SheetSubject $subject, array $asked, Frame $frame, ?Image $edges, ?Image $left): array
    {
        [$artwork, $compositor] = [$subject->artwork, $subject->compositor()];
        $painted = [];
        foreach ($asked as $layer) {
            $piece = $layer->on && $layer->role->prints() ? $compositor->piece($layer->withRole(Role::ink()), $frame) : null;
            if ($piece !== null) {
                $painted[$layer->id] = $piece;
            }
        }
        $kept = [];
        foreach ($artwork->liveDistress() as $wear) {
            $worn = $compositor->wornInk($artwork->layers, $wear, $edges === null ? null : new Piece($edges, $frame));
            $still = fn (): Image => array_reduce($kept, fn (Image $ink, Image $left): Image => $ink->times($left), $compositor->inkBefore($artwork->layers, $frame, 1)->image);
            $kept[] = $compositor->takenBy($wear, $compositor->spared($artwork->layers, $wear, $frame, $painted), $frame, $worn, $still)->inverted()->settled();
        }
        $shares = [];
        foreach ($asked as $layer) {
            $piece = $painted[$layer->id] ?? null;
            $whole = $piece === null ? null : $compositor->piece($layer->withRole(Role::ink())->unworn(), $frame);
            if ($piece === null || $whole === null) {
                continue;
            }
            $inPrint = fn (Piece $one): Image => $left === null ? $one->image->alpha() : $one->image->alpha()->times($left->crop($one->frame->left, $one->frame->top, $one->frame->width, $one->frame->height));
            $full = $inPrint($whole)->area();
            if ($full <= 0) {
                continue;
            }
            $still = $inPrint($piece);
            foreach ($kept as $mask) {
                $still = $still->times($mask->crop($piece->frame->left, $piece->frame->top, $piece->frame->width, $piece->frame->height));
            }
            $share = 1 - $still->area() / $full;
            if ($share > self::NONE) {
                $shares[] = [$layer, $share];
            }
        }

        return $shares;
    }

    /**
     * @param  list<string>  $layers
     * @param  \Closure(float): float  $measured  the share when all amounts are so many times theirs
     */
    private function finding(string $key, string $word, string $what, float $share, array $layers, Artwork $artwork, \Closure $measured): Finding
    {
        $verdict = Verdict::atMost($share, self::WARN, self::FAIL);
        $finding = Finding::of(
            Group::Wear, $key, $word, $verdict, sprintf('%.1f %% worn', $share * 100), sprintf('%d %%', self::WARN * 100),
            sprintf('Distress took %.1f %% of %s%s.', $share * 100, $what, self::asked($artwork, $layers)),
        )->about(...$layers);

        return $verdict === Verdict::Pass ? $finding : $finding->mendedBy(...self::less($share, $layers, $measured));
    }

    /**
     * @param  list<string>  $layers
     * @param  \Closure(float): float  $measured
     * @return list<Mend>
     */
    private static function less(float $share, array $layers, \Closure $measured): array
    {
        [$much, $little] = [1.0, 0.0];
        $best = null;
        $by = self::AIM / $share;
        for ($i = 0; $i < self::TRIES && ($best === null || $best[1] < self::AIM / 2); $i++) {
            $share = $measured($by);
            [$much, $little] = $share > self::WARN ? [$by, $little] : [$much, $by];
            $best = $share > self::WARN ? $best : [$by, $share];
            // Towards the share that is wanted, between what is known to be too much and too little.
            $by = $little > 0 ? sqrt($much * $little) : $by * self::AIM / $share;
        }

        return $best === null ? [] : [Mend::by(sprintf('Wear to %d %%', round($best[1] * 100)), new ScaleWear($layers, $best[0]))];
    }

    /**
     * What the lines ask for together, where each takes its share of what those before it left.
     *
     * @param  list<string>  $layers
     */
    private static function asked(Artwork $artwork, array $layers): string
    {
        $own = $layers === [] ? [] : ($artwork->layer($layers[0])?->liveDistress() ?? []);
        $left = 1.0;
        foreach ([...$own, ...array_filter($artwork->liveDistress(), fn (Wear $wear): bool => ! in_array($layers[0] ?? '', $wear->shielded, true))] as $wear) {
            $left *= 1 - $wear->amount;
        }

        return $left === 1.0 ? '' : sprintf('; its lines ask for %.1f %%', (1 - $left) * 100);
    }
}
