<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Mask\FreehandMask;
use TallCrow\Mask\Mask;
use TallCrow\Mask\ShapeMask;

/**
 * Half-transparent ink beyond the smooth rim that every edge has. On dark cloth white is laid under it, and it prints
 * as pale haze (common practice). A pixel counts when it is neither clear nor full and none of its eight neighbours is
 * either.
 */
final class Haze implements Check
{
    private const CLEAR = 8.0;

    private const FULL = 247.0;

    /** Shares of the ink, our choice. */
    private const WARN = 0.005;

    private const FAIL = 0.03;

    public function run(Subject $subject): array
    {
        $alpha = $subject->picture->alpha();
        $haze = $alpha->leastNear()->isMore(self::CLEAR)->both($alpha->largestNear()->isLess(self::FULL))->settled();
        $ink = $alpha->isMore(self::CLEAR)->area();
        $share = $ink > 0 ? $haze->area() / $ink : 0.0;
        $verdict = Verdict::atMost($share, self::WARN, self::FAIL);
        $clean = $verdict === Verdict::Pass;

        return [new Finding(
            'haze', 'Haze', $verdict, sprintf('%.1f %%', $share * 100), sprintf('%.1f %%', self::WARN * 100),
            $clean ? 'The ink is full or none.' : sprintf('%.1f %% of the ink is half-transparent and would print as pale haze on dark cloth.', $share * 100),
            $clean ? [] : $subject->where($haze),
            mends: $clean ? [] : self::mends($subject->artwork),
        )];
    }

    /** @return list<Mend> */
    private static function mends(?Artwork $artwork): array
    {
        $mends = [];
        foreach ($artwork?->everyLayer() ?? [] as $layer) {
            if ($layer->on && ! $layer->role->knockout && $layer->opacity < 1) {
                $mends[] = new Mend(sprintf('Print %s at full strength', $layer->called()), self::on($layer->id, fn (Layer $l): Layer => $l->with(opacity: 1)));
            }
            if ($layer->on && array_filter($layer->liveMasks(), fn (Mask $m): bool => ($m instanceof ShapeMask || $m instanceof FreehandMask) && $m->feather > 0) !== []) {
                $mends[] = new Mend(sprintf('Give %s a hard mask', $layer->called()), self::on($layer->id, fn (Layer $l): Layer => $l->with(
                    masks: array_map(fn (Mask $m): Mask => $m instanceof ShapeMask || $m instanceof FreehandMask ? $m->hard() : $m, $l->masks),
                )));
            }
        }

        return array_slice($mends, 0, 4);
    }

    /**
     * @param  \Closure(Layer): Layer  $change
     * @return \Closure(Artwork): Artwork
     */
    private static function on(string $id, \Closure $change): \Closure
    {
        return function (Artwork $artwork) use ($id, $change): Artwork {
            $layer = $artwork->layer($id);

            return $layer === null ? $artwork : $artwork->withLayer($id, $change($layer));
        };
    }
}
