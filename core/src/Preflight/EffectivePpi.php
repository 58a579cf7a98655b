<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Layer;
use TallCrow\Edit\Scale;

/** Source pixels ÷ placed inches of every raster: enlarging one raises the file's ppi and adds no detail. */
final class EffectivePpi implements ChecksSheet
{
    /** Ppi by which a picture may miss the rule through rounding. */
    private const ROUNDING = 0.05;

    public function sheet(SheetSubject $subject): array
    {
        return array_values(array_filter(array_map(
            fn (Layer $layer): ?Finding => $layer->on ? self::layer($layer, $subject) : null,
            $subject->artwork->everyLayer(),
        )));
    }

    private static function layer(Layer $layer, SheetSubject $subject): ?Finding
    {
        $placer = $subject->renderer->placer;
        $ppi = $placer->effectivePpi($layer);
        $width = $ppi === null ? null : $placer->place($layer)?->width;
        if ($ppi === null || $width === null) {
            return null;
        }
        $rule = $subject->artwork->brief->rule;
        $least = $rule->least()->value;
        $enough = $ppi >= $least - self::ROUNDING;
        // Rounded down to the thousandth, so that the mended piece holds the rule and does not miss it by a hair.
        $widest = floor($width * $ppi / $least * 1000) / 1000;
        $finding = Finding::of(
            Group::Pictures, 'ppi:'.$layer->id, $layer->called().', resolution', $enough ? Verdict::Pass : Verdict::Fail,
            sprintf('%d ppi', floor($ppi + 1e-6)), sprintf('%d ppi', $least),
            $enough
                ? sprintf('%s holds %d ppi at its printed size.', $layer->called(), floor($ppi))
                : sprintf('%s has %d ppi at its printed size; the rule "%s" asks for %d. Print it %.2f in wide or less, or find a larger picture.', $layer->called(), floor($ppi), $rule->says(), $least, $widest),
        )->about($layer->id);

        return $enough ? $finding : $finding
            ->at(array_filter([$subject->reach($layer->id)]))
            ->mendedBy(Mend::by(sprintf('Print it %.2f in wide', $widest), new Scale([$layer->id], $widest / $width)));
    }
}
