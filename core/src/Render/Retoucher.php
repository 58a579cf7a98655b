<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Artwork\ArtSource;
use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\Layer;
use TallCrow\Asset\Picture;
use TallCrow\Asset\Shelf;
use TallCrow\Effect\Effect;
use TallCrow\Effect\Retouches;
use TallCrow\Raster\Image;

/** The pixels of placed rasters as their lines of retouching leave them. The file on the shelf is never changed. */
final class Retoucher
{
    /** Part of every key: raise it when retouching is to come out otherwise. */
    private const VERSION = 'retouch-1';

    public function __construct(
        private readonly Shelf $shelf,
        private readonly Pictures $pictures,
        private readonly ?Progress $progress = null,
    ) {}

    /** Height over width of a layer's picture, after what crops and straightens it. */
    public function aspect(Layer $layer, string $file): float
    {
        $picture = $this->shelf->picture($file);
        $shapes = array_filter(self::lines($layer), fn (EffectLine $line): bool => in_array($line->kind, ['crop', 'straighten'], true));
        if ($picture->isVector() || $shapes === []) {
            return $picture->aspect();
        }
        $pixels = $this->pixels($layer, $file, 300.0);

        return $pixels->height() / $pixels->width();
    }

    /**
     * The pixels to place; null for a drawing and for a raster that nothing is done to.
     *
     * @param  float  $width  inches at which it is placed
     */
    public function retouched(Layer $layer, ArtSource $source, float $width): ?Image
    {
        $picture = $this->shelf->picture($source->file);
        if ($picture->isVector() || self::lines($layer) === []) {
            return null;
        }

        return $this->pixels($layer, $source->file, $picture->width / max(0.01, $width));
    }

    /** @return list<EffectLine> */
    public static function lines(Layer $layer): array
    {
        return array_values(array_filter($layer->effects, fn (EffectLine $line): bool => $line->on && is_a($line->is(), Retouches::class, true)));
    }

    private function pixels(Layer $layer, string $file, float $perInch): Image
    {
        $lines = self::lines($layer);
        $effects = array_values(array_filter($layer->liveEffects(), fn (Effect $effect): bool => $effect instanceof Retouches));
        $measured = array_filter($effects, fn (Retouches $effect): bool => $effect->isMeasured()) !== [];
        $key = self::VERSION.$this->shelf->fingerprint($file).serialize($lines).($measured ? sprintf('%.3f', $perInch) : '');

        return $this->pictures->image($key, function () use ($file, $effects, $perInch): Image {
            $ink = $this->shelf->picture($file)->pixels()->settled();
            foreach ($effects as $i => $effect) {
                $this->progress?->line($i, count($effects), $effect::kind());
                $ink = $effect->retouch($ink, $perInch)->settled();
            }

            return $ink;
        });
    }
}
