<?php

declare(strict_types=1);

namespace TallCrow\House;

use TallCrow\Artwork\PrintMethod;
use TallCrow\Preflight\Demands;
use TallCrow\Preflight\Finding;
use TallCrow\Preflight\Group;
use TallCrow\Preflight\Method;
use TallCrow\Preflight\Verdict;

/** The requirements of houses, converted to inches of the design's own sheet: if the print is half the size, the least width of a line doubles. */
final class HouseDemands
{
    /** @param  non-empty-list<Fit>  $fits  of each figure the strictest value is taken */
    public static function strictest(array $fits, PrintMethod $printed): Demands
    {
        $usual = Method::of($printed);
        $line = fn (Fit $fit, float $usual): float => ($fit->place->finestLine ?? $usual) / $fit->scale;
        $most = fn (callable $figure): float => max(array_map($figure, $fits));
        $method = $usual->holding(
            $most(fn (Fit $fit): float => $line($fit, $usual->line)),
            $most(fn (Fit $fit): float => $line($fit, $usual->gap)),
            $most(fn (Fit $fit): float => ($fit->place->smallestWords ?? $usual->xHeight) / $fit->scale),
        );
        $says = count($fits) === 1 ? $fits[0]->place->called() : sprintf('the strictest of %d places', count($fits));

        return new Demands($says, $most(fn (Fit $fit): float => $fit->place->least * $fit->scale), $method, array_merge([], ...array_map(self::findings(...), $fits)));
    }

    /**
     * The notes of a refit as findings.
     *
     * @return list<Finding>
     */
    public static function findings(Fit $fit): array
    {
        $named = $fit->place->called();

        return array_map(fn (FitNote $note, int $at): Finding => Finding::of(
            Group::Sheet, sprintf('house:%s:%d', $fit->place->key(), $at), "At $named", $note->grave ? Verdict::Fail : Verdict::Warn, $note->grave ? 'sent back' : 'look', 'nothing', trim("$note->says $note->mend"),
        ), $fit->notes(), array_keys($fit->notes()));
    }
}
