<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\Layer;
use TallCrow\Asset\AssetUnusable;
use TallCrow\Edit\Scale;
use TallCrow\Geometry\Box;
use TallCrow\Type\Letter;

/** Effective ppi of every raster: source pixels ÷ placed inches. Enlarging the file raises its ppi, but adds no detail. */
final class EffectivePpi implements ChecksSheet
{
    /** Tolerance for rounding, in ppi. */
    private const ROUNDING = 0.05;

    /** Looks whose hard edges and dots are drawn at print resolution. */
    private const REDRAWN = ['traced', 'stamped', 'halftone', 'halftone-inks', 'photocopied', 'posterised'];

    public function sheet(SheetSubject $subject): array
    {
        $findings = [];
        foreach ($subject->artwork->everyLayer() as $layer) {
            // Knockouts count as well: their edges are as coarse as the picture.
            if ($layer->on) {
                array_push($findings, ...array_filter([self::layer($layer, $subject)]), ...self::within($layer, $subject));
            }
        }

        return $findings;
    }

    /** Whether a look redraws the piece at print resolution, so that the file's pixels do not show. */
    private static function isRedrawn(Layer $layer): bool
    {
        return array_filter($layer->effects, fn (EffectLine $line): bool => $line->on && in_array($line->kind, self::REDRAWN, true)) !== [];
    }

    /**
     * Pictures that fill letters and frames.
     *
     * @return list<Finding>
     */
    private static function within(Layer $layer, SheetSubject $subject): array
    {
        $findings = [];
        foreach ($layer->effects as $i => $line) {
            $file = $line->on && $line->kind === 'picture' ? $line->values->word('file') : '';
            if ($file === '' || self::isRedrawn($layer)) {
                continue;
            }
            try {
                $picture = $subject->shelf->picture($file);
                $boxes = self::shown($layer, $line, $subject);
            } catch (AssetUnusable) {
                continue;
            }
            if ($boxes === [] || $picture->isVector()) {
                continue;
            }
            // At scale 1 the picture just covers the box.
            $width = max(array_map(fn (Box $box): float => max($box->width(), $box->height() / $picture->aspect()), $boxes)) * $line->values->number('scale');
            $findings[] = self::told($layer, $i, (int) $picture->width / max(0.01, $width), $line->values->number('scale'), $subject);
        }

        return $findings;
    }

    /**
     * The boxes that a picture covers: the whole piece, or each letter.
     *
     * @return list<Box>
     */
    private static function shown(Layer $layer, EffectLine $line, SheetSubject $subject): array
    {
        $placing = $subject->renderer->placer->place($layer);
        $letters = $line->values->word('each') === 'whole' ? [] : ($placing->letters ?? []);

        return $letters !== []
            ? array_map(fn (Letter $letter): Box => $letter->path->bounds(), $letters)
            : array_filter([$placing?->box() ?? $subject->renderer->placer->box($layer)]);
    }

    private static function told(Layer $layer, int $line, float $ppi, float $scale, SheetSubject $subject): Finding
    {
        $least = $subject->demands->leastPpi;
        $enough = $ppi >= $least - self::ROUNDING;
        $finding = Finding::of(
            Group::Pictures, "ppi:$layer->id:$line", $layer->called().', picture in it', $enough ? Verdict::Pass : Verdict::Fail, sprintf('%d ppi', floor($ppi + 1e-6)), sprintf('%d ppi', $least),
            $enough ? sprintf('The picture in %s holds %d ppi.', $layer->called(), floor($ppi))
                : sprintf('The picture in %s has %d ppi; %s asks for %d. Show it at %d %% of its size, or find a larger one.', $layer->called(), floor($ppi), $subject->demands->says, $least, floor($scale * $ppi / $least * 100)),
        )->about($layer->id);

        return $enough ? $finding : $finding->at(array_filter([$subject->reach($layer->id)]));
    }

    private static function layer(Layer $layer, SheetSubject $subject): ?Finding
    {
        $placer = $subject->renderer->placer;
        $ppi = self::isRedrawn($layer) ? null : $placer->effectivePpi($layer);
        $width = $ppi === null ? null : $placer->place($layer)?->width;
        if ($ppi === null || $width === null) {
            return null;
        }
        $least = $subject->demands->leastPpi;
        $enough = $ppi >= $least - self::ROUNDING;
        // Rounded down to a thousandth, so that the mended piece satisfies the rule despite rounding.
        $widest = floor($width * $ppi / $least * 1000) / 1000;
        $finding = Finding::of(
            Group::Pictures, 'ppi:'.$layer->id, $layer->called().', resolution', $enough ? Verdict::Pass : Verdict::Fail,
            sprintf('%d ppi', floor($ppi + 1e-6)), sprintf('%d ppi', $least),
            $enough
                ? sprintf('%s holds %d ppi at its printed size.', $layer->called(), floor($ppi))
                : sprintf('%s has %d ppi at its printed size; %s asks for %d. Print it %.2f in wide or less, or find a larger picture.', $layer->called(), floor($ppi), $subject->demands->says, $least, $widest),
        )->about($layer->id);

        return $enough ? $finding : $finding
            ->at(array_filter([$subject->reach($layer->id)]))
            ->mendedBy(Mend::by(sprintf('Print it %.2f in wide', $widest), new Scale([$layer->id], $widest / $width)));
    }
}
