<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;

/** Source pixels ÷ placed inches of every raster: enlarging one raises the file's ppi and adds no detail. */
final class EffectivePpi implements Check
{
    public function run(Subject $subject): array
    {
        $findings = [];
        foreach ($subject->artwork?->everyLayer() ?? [] as $layer) {
            $finding = $layer->on ? $this->layer($layer, $subject) : null;
            if ($finding !== null) {
                $findings[] = $finding;
            }
        }

        return $findings;
    }

    private function layer(Layer $layer, Subject $subject): ?Finding
    {
        $ppi = $subject->renderer?->placer->effectivePpi($layer);
        if ($ppi === null || $layer->placement === null) {
            return null;
        }
        $least = $subject->rule->least()->value;
        $enough = $ppi >= $least - 0.05;
        // Rounded down to the thousandth, so that the mended piece holds the rule and does not miss it by a hair.
        $widest = floor($layer->placement->width * $ppi / $least * 1000) / 1000;

        return new Finding(
            'ppi:'.$layer->id,
            $layer->called(),
            $enough ? Verdict::Pass : Verdict::Fail,
            sprintf('%d ppi', floor($ppi + 1e-6)),
            sprintf('%d ppi', $least),
            $enough
                ? sprintf('%s holds %d ppi at its printed size.', $layer->called(), floor($ppi))
                : sprintf('%s has %d ppi at its printed size; the rule "%s" asks for %d. Print it %.2f in wide or less, or find a larger picture.', $layer->called(), floor($ppi), $subject->rule->says(), $least, $widest),
            $enough ? [] : array_filter([$subject->renderer->placer->reach($layer)]),
            [$layer->id],
            $enough ? [] : [new Mend(sprintf('Print it %.2f in wide', $widest), fn (Artwork $a): Artwork => self::sized($a, $layer->id, $least / $ppi))],
        );
    }

    private static function sized(Artwork $artwork, string $id, float $least): Artwork
    {
        $layer = $artwork->layer($id);
        if ($layer?->placement === null) {
            return $artwork;
        }
        $by = floor($layer->placement->width / $least * 1000) / 1000 / $layer->placement->width;

        return $artwork->withLayer($id, $layer->with(placement: $layer->placement->scaled($by, $layer->placement->x, $layer->placement->y)));
    }
}
