<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Layer;
use TallCrow\Edit\LineList;
use TallCrow\Edit\RemoveLine;
use TallCrow\Effect\LooksFor;
use TallCrow\Raster\Composition;
use TallCrow\Raster\Image;
use TallCrow\Render\Frame;

/** Effects that look for something in their piece (a colour, a background) and find nothing: the seller believes it removed, and it prints. */
final class ChangesNothing implements ChecksSheet
{
    private const PPI = 100.0;

    private const ROOM = 0.2;

    /** Differences of fewer levels are rounding errors. */
    private const DIFFERS = 2.0;

    public function sheet(SheetSubject $subject): array
    {
        $findings = [];
        foreach ($subject->artwork->everyLayer() as $layer) {
            foreach ($layer->on ? $layer->effects : [] as $i => $line) {
                $effect = $line->effect();
                if ($line->on && $effect instanceof LooksFor && ! $this->changes($layer, $i, $subject)) {
                    $findings[] = self::finding($layer, $i, $effect)->at(array_filter([$subject->reach($layer->id)]));
                }
            }
        }

        return $findings;
    }

    /** Whether the effect changes anything in the result of the effects before it. */
    private function changes(Layer $layer, int $at, SheetSubject $subject): bool
    {
        $reach = $subject->reach($layer->id);
        $frame = $reach === null ? null : Frame::about($reach->grown(self::ROOM), self::PPI);
        if ($frame === null) {
            return true;
        }
        $bare = $layer->withMasks([])->withDistress([]);
        $drawn = fn (int $lines): Image => Composition::premultiplied($subject->inked($bare->withEffects(array_slice($bare->effects, 0, $lines)), $frame));
        [$least, $most] = $drawn($at)->linear(1.0)->minus($drawn($at + 1)->linear(1.0))->range();

        return max(-$least, $most) >= self::DIFFERS;
    }

    private static function finding(Layer $layer, int $at, LooksFor $line): Finding
    {
        $says = sprintf('A line of %s %s: it changes nothing. Set it otherwise, or take it out.', $layer->called(), $line->findsNothing());

        return Finding::of(Group::Composition, 'idle:'.$layer->id.':'.$at, $layer->called().', a line', Verdict::Warn, 'changes nothing', 'something found', $says)
            ->about($layer->id)
            ->mendedBy(Mend::by('Take out that line', new RemoveLine($layer->id, LineList::Effects, $at)));
    }
}
