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

/** The share of ink that distress took: in all, and of each layer. */
final class WearShare implements ChecksSheet
{
    /** Shares beyond which a face loses its eyes and small words cannot be read (our choice). */
    private const WARN = 0.25;

    private const FAIL = 0.5;

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
        $findings = [$this->finding('wear', 'Wear', 'the ink', $before > 0 ? 1 - $after / $before : 0.0, [], $artwork)];
        foreach ($this->layers($subject, $compositor, $frame, $byEdges ? $unworn->image : null, $knocksOut ? $unworn->image : null) as [$layer, $share]) {
            $findings[] = $this->finding('wear:'.$layer->id, $layer->called(), $layer->called(), $share, [$layer->id], $artwork);
        }

        return $findings;
    }

    /**
     * @param  ?Image  $edges  all of the ink before wear, where a line of wear follows its edges
     * @param  ?Image  $left  the same, where some of it is knocked out
     * @return list<array{Layer, float}>
     */
    private function layers(SheetSubject $subject, Compositor $compositor, Frame $frame, ?Image $edges, ?Image $left): array
    {
        $artwork = $subject->artwork;
        $painted = [];
        foreach ($artwork->layers as $layer) {
            $piece = $layer->on && $layer->role->prints() ? $compositor->piece($layer->withRole(Role::ink()), $frame) : null;
            if ($piece !== null) {
                $painted[$layer->id] = $piece;
            }
        }
        $kept = array_map(
            fn (Wear $wear): Image => $compositor->takenBy($wear, $compositor->spared($artwork->layers, $wear, $frame, $painted), $frame, $compositor->wornInk($artwork->layers, $wear, $edges === null ? null : new Piece($edges, $frame)))->inverted()->settled(),
            $artwork->liveDistress(),
        );
        $shares = [];
        foreach ($artwork->layers as $layer) {
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

    /** @param  list<string>  $layers */
    private function finding(string $key, string $word, string $what, float $share, array $layers, Artwork $artwork): Finding
    {
        $verdict = Verdict::atMost($share, self::WARN, self::FAIL);
        // A little below the limit, since what wear takes of one layer is not quite its amount.
        $by = $share > 0 ? self::WARN * 0.9 / $share : 1.0;

        $finding = Finding::of(
            Group::Wear, $key, $word, $verdict, sprintf('%.1f %% worn', $share * 100), sprintf('%d %%', self::WARN * 100),
            sprintf('Distress took %.1f %% of %s%s.', $share * 100, $what, self::asked($artwork, $layers)),
        )->about(...$layers);

        return $verdict === Verdict::Pass ? $finding : $finding->mendedBy(Mend::by(sprintf('Wear to %d %%', self::WARN * 90), new ScaleWear($layers, $by)));
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
