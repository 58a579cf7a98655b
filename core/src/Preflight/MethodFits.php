<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Garment;
use TallCrow\Artwork\PrintMethod;
use TallCrow\Edit\LeaveGarmentOut;
use TallCrow\Raster\Histogram;
use TallCrow\Raster\Morphology;

/** Whether the print method can do what the sheet needs (common practice): sublimation on dark cloth, solid areas that do not breathe, mirroring. */
final class MethodFits implements ChecksSheet
{
    /** Cloth of less relative luminance is too dark for dye without white. */
    private const LIGHT = 0.45;

    /** Ppi at which solid areas are measured, and width, in inches, below which ink bends with the cloth (our choice). */
    private const PPI = 15.0;

    private const NARROW = 0.2;

    public function sheet(SheetSubject $subject): array
    {
        $brief = $subject->artwork->brief;
        $method = Method::of($brief->method);
        $findings = [];
        if ($method->needsLightCloth) {
            $dark = array_values(array_filter($brief->garments, fn (Garment $garment): bool => $garment->colour->luminance() < self::LIGHT));
            $named = implode(', ', array_map(fn (Garment $garment): string => $garment->name, $dark));
            $finding = Finding::of(
                Group::Detail, 'method', 'Method', $dark === [] ? Verdict::Pass : Verdict::Fail, $dark === [] ? 'fits' : sprintf('%d dark %s', count($dark), count($dark) === 1 ? 'cloth' : 'cloths'), 'light cloth alone',
                $dark === [] ? 'Sublimation dyes light cloth; every cloth on offer is light.' : sprintf('Sublimation has no white and dyes the cloth through: on %s it would not show. Offer light polyester alone, or print by another method.', $named),
            );
            $left = count($dark) < count($brief->garments) ? array_map(fn (Garment $garment): Mend => Mend::by(sprintf('Leave %s out', $garment->name), new LeaveGarmentOut($garment->name)), array_slice($dark, 0, 3)) : [];
            $findings[] = $finding->mendedBy(...$left);
        }
        if ($method->solid !== null && ($largest = self::largestSolid($subject)) > $method->solid) {
            $findings[] = Finding::of(
                Group::Detail, 'solid', 'Solid area', Verdict::Warn, sprintf('%.0f sq in', $largest), sprintf('%.0f sq in', $method->solid),
                sprintf('One unbroken area of %.0f square inches makes a plate that does not breathe or bend. Wear, halftone or open lines through it help.', $largest),
            );
        }
        if ($brief->method === PrintMethod::Transfer) {
            $findings[] = Finding::of(Group::Detail, 'mirror', 'Mirroring', Verdict::Pass, 'at the end', 'the whole sheet, once', 'The transfer is mirrored as a whole when it is sent; no line of the sheet should be mirrored for it.');
        }

        return $findings;
    }

    /** Size of the largest area without gaps, in square inches. */
    private static function largestSolid(SheetSubject $subject): float
    {
        $by = max(1, (int) round($subject->picture->ppi / self::PPI));
        $ppi = $subject->picture->ppi / $by;
        $ink = $subject->picture->picture->alpha()->shrunk($by)->isMore(235.0)->settled();
        $side = 2 * (int) ceil(self::NARROW * $ppi / 2) + 1;
        $open = Morphology::opened($ink, $side)->settled();
        [$regions] = Morphology::regions($open);
        $numbers = $regions->asNumbers()->settled();
        $sizes = Histogram::ofShorts($open->chosen($numbers, $numbers->linearShort(0.0, 0.0))->settled());
        unset($sizes[0]);

        return ($sizes === [] ? 0 : max($sizes)) / $ppi ** 2;
    }
}
