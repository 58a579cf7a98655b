<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Garment;

/** Ink too near the cloth's colour to be seen, for each garment colour on offer. */
final class VanishingInk implements Check
{
    /** CIEDE2000 below which ink is lost on the cloth at arm's length (our choice; 1 is just visible side by side). */
    public const LIMIT = 10.0;

    private const WARN = 0.02;

    private const FAIL = 0.2;

    public function run(Subject $subject): array
    {
        $by = max(1, (int) round($subject->ppi / 75));
        $picture = $subject->picture->resized(1 / $by)->settled();
        $small = new Subject($picture, $subject->ppi / $by, $subject->garments, $subject->rule, $subject->file);
        $ink = $small->ink();
        $area = $ink->area();

        return array_map(function (Garment $garment) use ($small, $picture, $ink, $area, $subject): Finding {
            $lost = $picture->onCloth($garment->colour)->differenceFrom($garment->colour)->isLess(self::LIMIT)->both($ink)->settled();
            $share = $area > 0 ? $lost->area() / $area : 0.0;
            $verdict = Verdict::atMost($share, self::WARN, self::FAIL);
            $seen = $verdict === Verdict::Pass;

            return new Finding(
                'vanish:'.$garment->name, 'On '.$garment->name, $verdict, sprintf('%.1f %% lost', $share * 100), sprintf('%d %%', self::WARN * 100),
                $seen ? sprintf('The ink reads on %s.', $garment->name)
                    : sprintf('%.1f %% of the ink is nearer than %d (CIEDE2000) to %s and vanishes on it.', $share * 100, self::LIMIT, $garment->name),
                $seen ? [] : $small->where($lost),
                mends: $seen || count($subject->garments) < 2 || $subject->artwork === null ? [] : [new Mend(
                    sprintf('Leave %s out', $garment->name),
                    fn (Artwork $a): Artwork => $a->with(garments: array_values(array_filter($a->garments, fn (Garment $g): bool => $g->name !== $garment->name))),
                )],
            );
        }, $subject->garments);
    }
}
