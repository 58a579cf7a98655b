<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Role;
use TallCrow\Edit\ScaleWear;
use TallCrow\Raster\Image;
use TallCrow\Render\Compositor;
use TallCrow\Render\Frame;
use TallCrow\Render\LayerTrouble;
use TallCrow\Render\Piece;
use TallCrow\Texture\Wear;

/** The share of ink that wear removed: overall, and for each layer. */
final class WearShare implements ChecksSheet
{
    /** Shares above which a face loses its eyes and small words cannot be read (our choice). */
    private const WARN = 0.25;

    private const FAIL = 0.5;

    /** Target of a mend: a little below the limit, since wear does not remove exactly its amount from every layer. */
    private const AIM = 0.22;

    /** Factors to try on the amounts of edge wear, by bisection: thin strokes chip long before solid areas, so the effect cannot be computed. */
    private const STEPS = [0.85, 0.7, 0.55, 0.4, 0.3, 0.2, 0.13, 0.08, 0.05];

    private const PPI = 75.0;

    private const MOST_PPI = 100.0;

    private const NONE = 0.0005;

    /** Subsampling factor for all ink together. */
    private const EVERY = 2;

    public function sheet(SheetSubject $subject): array
    {
        [$artwork, $renderer] = [$subject->artwork, $subject->renderer];
        if (! $artwork->isWorn()) {
            return [];
        }
        // Reuse an existing coarse picture and its pieces.
        $isCoarse = $subject->picture->ppi <= self::MOST_PPI;
        $frame = Frame::sheet($artwork->sheet, $isCoarse ? $subject->picture->ppi : self::PPI);
        $skip = fn (LayerTrouble $trouble): null => null;
        $compositor = $subject->compositor();
        // Wear that depends on edges needs all pixels; otherwise a subsample gives the share as well.
        $byEdges = array_filter($artwork->liveDistress(), $compositor->followsEdges(...)) !== [];
        // Knocked-out ink cannot be worn.
        $knocksOut = array_filter($artwork->layers, fn (Layer $layer): bool => $layer->on && $layer->role->takesAway()) !== [];
        $every = $isCoarse && ! $byEdges && ! $knocksOut ? self::EVERY : 1;
        $unworn = $subject->beforeWear($frame, $every);
        $before = $unworn->image->area();
        $after = ($isCoarse ? $subject->sampled($frame->ppi / $every) : $renderer->picture($artwork, $frame, $skip))->alpha()->area();
        $share = $before > 0 ? 1 - $after / $before : 0.0;
        $findings = [$this->finding('wear', 'Wear', 'the ink', $share, [], $artwork)];
        [$edges, $left] = [$byEdges ? $unworn->image : null, $knocksOut ? $unworn->image : null];
        $drawn = [];
        // Pieces without wear of their own are drawn once.
        $piece = function (Layer $layer) use ($compositor, $frame, &$drawn): ?Piece {
            $key = md5(serialize($layer->toArray()));

            return array_key_exists($key, $drawn) ? $drawn[$key] : $drawn[$key] = $compositor->piece($layer->withRole(Role::ink()), $frame);
        };
        $measured = fn (Artwork $artwork): array => $this->layers($artwork, $compositor, $piece, $frame, $edges, $left);
        $shares = $measured($artwork);
        $known = [];
        foreach ($shares as $id => $share) {
            // Measures all layers at once, with all amounts of wear scaled.
            $scaled = function (float $by) use ($id, $artwork, $renderer, $measured, &$known): float {
                $known[(string) $by] ??= $measured((new ScaleWear([], $by))->apply($artwork, $renderer->placer)->artwork);

                return $known[(string) $by][$id] ?? 0.0;
            };
            $layer = $artwork->layer((string) $id)?->called() ?? '';
            $findings[] = $this->finding("wear:$id", $layer, $layer, $share, [(string) $id], $artwork, $byEdges ? $scaled : null);
        }

        return $findings;
    }

    /**
     * @param  \Closure(Layer): ?Piece  $piece
     * @param  ?Image  $edges  all ink before wear, if some wear depends on edges
     * @param  ?Image  $left  the same without knocked-out ink, if there are knockouts
     * @return array<array-key, float> worn share of each worn layer, by id
     */
    private function layers(Artwork $artwork, Compositor $compositor, \Closure $piece, Frame $frame, ?Image $edges, ?Image $left): array
    {
        $asked = array_values(array_filter($artwork->layers, fn (Layer $layer): bool => $layer->on && $layer->role->prints()));
        $painted = [];
        foreach ($asked as $layer) {
            $own = $piece($layer);
            if ($own !== null) {
                $painted[$layer->id] = $own;
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
            $own = $painted[$layer->id] ?? null;
            $whole = $own === null ? null : $piece($layer->unworn());
            if ($own === null || $whole === null) {
                continue;
            }
            $inPrint = fn (Piece $one): Image => $left === null ? $one->image->alpha() : $one->image->alpha()->times($left->crop($one->frame->left, $one->frame->top, $one->frame->width, $one->frame->height));
            $full = $inPrint($whole)->area();
            if ($full <= 0) {
                continue;
            }
            $still = $inPrint($own);
            foreach ($kept as $mask) {
                $still = $still->times($mask->crop($own->frame->left, $own->frame->top, $own->frame->width, $own->frame->height));
            }
            $share = 1 - $still->area() / $full;
            if ($share > self::NONE) {
                $shares[$layer->id] = $share;
            }
        }

        return $shares;
    }

    /**
     * @param  list<string>  $layers
     * @param  ?\Closure(float): float  $measured  the share after scaling all amounts by a factor; null if it is simply proportional
     */
    private function finding(string $key, string $word, string $what, float $share, array $layers, Artwork $artwork, ?\Closure $measured = null): Finding
    {
        $verdict = Verdict::atMost($share, self::WARN, self::FAIL);
        $finding = Finding::of(
            Group::Wear, $key, $word, $verdict, sprintf('%.1f %% worn', $share * 100), sprintf('%d %%', self::WARN * 100),
            sprintf('Distress took %.1f %% of %s%s.', $share * 100, $what, self::asked($artwork, $layers)),
        )->about(...$layers);

        return $verdict === Verdict::Pass ? $finding : $finding->mendedBy(...($measured === null ? [self::wornTo(self::AIM, self::AIM / $share, $layers)] : self::less($layers, $measured)));
    }

    /**
     * Reduces wear to what the limit allows.
     *
     * @param  list<string>  $layers
     * @param  \Closure(float): float  $measured  the share after scaling all amounts by a factor
     * @return list<Mend> one at most
     */
    private static function less(array $layers, \Closure $measured): array
    {
        [$from, $to] = [0, count(self::STEPS)];
        while ($from < $to) {
            $middle = intdiv($from + $to, 2);
            [$from, $to] = $measured(self::STEPS[$middle]) < self::WARN ? [$from, $middle] : [$middle + 1, $to];
        }
        $by = self::STEPS[$from] ?? null;

        return $by === null ? [] : [self::wornTo($measured($by), $by, $layers)];
    }

    /** @param  list<string>  $layers */
    private static function wornTo(float $share, float $by, array $layers): Mend
    {
        return Mend::by(sprintf('Wear to %d %%', round($share * 100)), new ScaleWear($layers, $by));
    }

    /**
     * The total amount asked for, where each wear acts on what the ones before it left.
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
