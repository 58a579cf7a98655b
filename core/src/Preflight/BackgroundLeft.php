<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\ArtSource;
use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\Layer;
use TallCrow\Asset\AssetUnusable;
use TallCrow\Edit\AddEffect;
use TallCrow\Effect\Values;
use TallCrow\Raster\Image;

/** A placed raster whose background was never taken away. */
final class BackgroundLeft implements ChecksSheet
{
    /** CIEDE2000 of the mend: enough for the noise of a photo (our choice). */
    private const TOLERANCE = 14.0;

    public function sheet(SheetSubject $subject): array
    {
        $findings = [];
        foreach ($subject->artwork->everyLayer() as $layer) {
            $art = $layer->picture();
            // A masked picture shows its mask's edge and not its own.
            $pixels = $layer->on && $art !== null && $layer->liveMasks() === [] ? self::raster($layer, $art, $subject) : null;
            if ($pixels !== null) {
                $findings[] = self::finding($layer, Rim::of($pixels), $subject);
            }
        }

        return $findings;
    }

    private static function finding(Layer $layer, Rim $rim, SheetSubject $subject): Finding
    {
        $finding = $rim->finding('background:'.$layer->id, $layer->called().', background', $layer->called())->about($layer->id);
        if ($rim->isBackground() || $rim->isCut()) {
            $finding = $finding->at(array_filter([$subject->reach($layer->id)]));
        }

        return $rim->isBackground()
            ? $finding->mendedBy(Mend::by('Clear it from the edge', new AddEffect($layer->id, new EffectLine('clear-edge', new Values(['tolerance' => self::TOLERANCE, 'islands' => 'kept']), true), first: true)))
            : $finding;
    }

    private static function raster(Layer $layer, ArtSource $source, SheetSubject $subject): ?Image
    {
        try {
            $picture = $subject->shelf->picture($source->file);

            return $picture->isVector() ? null : ($subject->renderer->placer->retoucher->retouched($layer, $source, $layer->placement->width ?? 1.0) ?? $picture->pixels());
        } catch (AssetUnusable) {
            return null;
        }
    }
}
