<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Artwork;
use TallCrow\Edit\AsHalftone;
use TallCrow\Edit\HardenMasks;
use TallCrow\Edit\SetOpacity;
use TallCrow\Mask\Mask;
use TallCrow\Raster\Morphology;

/**
 * Half-transparent ink beyond the smooth rim that every edge has. On dark cloth white is laid under it, and it prints
 * as pale haze (common practice). A pixel counts when it is neither clear nor full and none of its eight neighbours is
 * either.
 */
final class Haze implements MendsOnSheet
{
    private const CLEAR = 8.0;

    private const FULL = 247.0;

    /** Shares of the ink, our choice. */
    private const WARN = 0.005;

    private const FAIL = 0.03;

    private const MOST_MENDS = 4;

    public function picture(PictureSubject $subject): array
    {
        $alpha = $subject->picture->alpha();
        $haze = Morphology::eroded($alpha)->isMore(self::CLEAR)->both(Morphology::dilated($alpha)->isLess(self::FULL))->settled();
        $ink = $alpha->isMore(self::CLEAR)->area();
        $share = $ink > 0 ? $haze->area() / $ink : 0.0;
        $verdict = Verdict::atMost($share, self::WARN, self::FAIL);
        $clean = $verdict === Verdict::Pass;

        return [Finding::of(
            Group::Sheet, 'haze', 'Haze', $verdict, sprintf('%.1f %%', $share * 100), sprintf('%.1f %%', self::WARN * 100),
            $clean ? 'The ink is full or none.' : sprintf('%.1f %% of the ink is half-transparent and would print as pale haze on dark cloth.', $share * 100),
        )->at($clean ? [] : $subject->where($haze))];
    }

    public function onSheet(Finding $finding, SheetSubject $subject): Finding
    {
        return $finding->verdict === Verdict::Pass ? $finding : $finding->mendedBy(...self::mends($subject->artwork));
    }

    /** @return list<Mend> */
    private static function mends(Artwork $artwork): array
    {
        $mends = [];
        foreach ($artwork->everyLayer() as $layer) {
            if ($layer->on && $layer->role->prints() && $layer->fades()) {
                $mends[] = Mend::by(sprintf('Print the fade of %s as halftone', $layer->called()), new AsHalftone([$layer->id]));
            }
            if ($layer->on && $layer->role->prints() && $layer->opacity < 1) {
                $mends[] = Mend::by(sprintf('Print %s at full strength', $layer->called()), new SetOpacity($layer->id, 1.0));
            }
            if ($layer->on && array_filter($layer->liveMasks(), fn (Mask $mask): bool => $mask->isSoft()) !== []) {
                $mends[] = Mend::by(sprintf('Give %s a hard mask', $layer->called()), new HardenMasks($layer->id));
            }
        }

        return array_slice($mends, 0, self::MOST_MENDS);
    }
}
