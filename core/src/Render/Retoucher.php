<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Artwork\ArtSource;
use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\Layer;
use TallCrow\Asset\AssetUnusable;
use TallCrow\Asset\Picture;
use TallCrow\Asset\Shelf;
use TallCrow\Cutout\CornersCross;
use TallCrow\Effect\ChangesAspect;
use TallCrow\Effect\Retouches;
use TallCrow\Raster\Image;

/** The pixels of placed rasters as their lines of retouching leave them. The file on the shelf is never changed. */
final class Retoucher
{
    public function __construct(
        private readonly Shelf $shelf,
        private readonly Pictures $pictures,
    ) {}

    /** Height over width of a layer's picture, after what crops and straightens it. */
    public function aspect(Layer $layer, string $file): float
    {
        $picture = $this->shelf->picture($file);
        $shaping = array_filter(array_map(self::effect(...), self::lines($layer)), fn (Retouches $effect): bool => $effect instanceof ChangesAspect);
        if ($picture->isVector() || $shaping === []) {
            return $picture->aspect();
        }
        try {
            [$width, $height] = array_reduce($shaping, fn (array $size, ChangesAspect $effect): array => $effect->sizeAfter(...$size), [(int) $picture->width, (int) $picture->height]);
        } catch (CornersCross $crossed) {
            throw AssetUnusable::because($file, $crossed);
        }

        return $height / $width;
    }

    /**
     * The pixels to place; null for a drawing and for a raster that nothing is done to.
     *
     * @param  float  $width  inches at which it is placed
     */
    public function retouched(Layer $layer, ArtSource $source, float $width, Progress $progress = new NoProgress): ?Image
    {
        $picture = $this->shelf->picture($source->file);
        if ($picture->isVector() || self::lines($layer) === []) {
            return null;
        }

        return $this->after(self::lines($layer), $source->file, $picture->width / max(0.01, $width), $progress);
    }

    /** @return list<EffectLine> */
    public static function lines(Layer $layer): array
    {
        return array_values(array_filter($layer->effects, fn (EffectLine $line): bool => $line->on && is_a($line->is(), Retouches::class, true)));
    }

    /**
     * The picture after some lines. Each step is kept, so that only what comes after a changed line is worked again.
     *
     * @param  list<EffectLine>  $lines
     *
     * @throws AssetUnusable
     */
    private function after(array $lines, string $file, float $perInch, Progress $progress, ?int $of = null): Image
    {
        $line = end($lines);
        if ($line === false) {
            return $this->shelf->picture($file)->pixels()->settled();
        }
        $measured = array_filter($lines, fn (EffectLine $line): bool => self::effect($line)->isMeasured()) !== [];
        $key = 'retouched '.$this->shelf->fingerprint($file).serialize($lines).($measured ? sprintf('%.3f', $perInch) : '');

        return $this->pictures->image($key, function () use ($lines, $line, $file, $perInch, $progress, $of): Image {
            $before = $this->after(array_slice($lines, 0, -1), $file, $perInch, $progress, $of ?? count($lines));
            $progress->line(count($lines) - 1, $of ?? count($lines), $line->kind);

            try {
                return self::effect($line)->retouch($before, $perInch)->settled();
            } catch (CornersCross $crossed) {
                throw AssetUnusable::because($file, $crossed);
            }
        });
    }

    private static function effect(EffectLine $line): Retouches
    {
        $effect = $line->effect();
        assert($effect instanceof Retouches);

        return $effect;
    }
}
