<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\ArtSource;
use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\Layer;
use TallCrow\Asset\AssetUnusable;
use TallCrow\Colour\Srgb;
use TallCrow\Effect\Values;
use TallCrow\Raster\Image;

/** A picture whose rim is opaque and of one colour all round: its background was never taken away. */
final class BackgroundLeft implements Check
{
    private const OPAQUE = 250;

    /** Shares of the rim (our choice): how much must be opaque, and how much of that of one colour. */
    private const OPAQUE_SHARE = 0.95;

    private const EVEN_SHARE = 0.8;

    /** CIEDE2000 within which two colours of a background count as one; JPEG noise stays below it. */
    private const ALIKE = 6.0;

    private const LOOK = 300;

    public function run(Subject $subject): array
    {
        if ($subject->artwork === null) {
            return [$this->finding('background', 'Background', $subject->picture, 'The picture', [], [])];
        }
        $findings = [];
        foreach ($subject->artwork->everyLayer() as $layer) {
            // A masked picture shows its mask's edge and not its own.
            if ($layer->on && $layer->source instanceof ArtSource && $layer->liveMasks() === [] && ($pixels = $this->raster($layer, $layer->source, $subject)) !== null) {
                $findings[] = $this->finding('background:'.$layer->id, $layer->called(), $pixels, $layer->called(), array_filter([$subject->renderer?->placer->reach($layer)]), [$layer]);
            }
        }

        return $findings;
    }

    private function raster(Layer $layer, ArtSource $source, Subject $subject): ?Image
    {
        try {
            $picture = $subject->shelf?->picture($source->file);

            return $picture === null || $picture->isVector()
                ? null
                : ($subject->renderer?->placer->retoucher->retouched($layer, $source, $layer->placement->width ?? 1.0) ?? $picture->pixels());
        } catch (AssetUnusable) {
            return null;
        }
    }

    /**
     * @param  array<int, \TallCrow\Geometry\Box>  $where
     * @param  list<Layer>  $layers
     */
    private function finding(string $key, string $word, Image $pixels, string $called, array $where, array $layers): Finding
    {
        [$opaque, $even, $colour] = self::rim($pixels);
        $left = $opaque >= self::OPAQUE_SHARE && $even >= self::EVEN_SHARE;
        $cut = ! $left && $opaque >= self::OPAQUE_SHARE;

        return new Finding(
            $key, $word, $left ? Verdict::Fail : ($cut ? Verdict::Warn : Verdict::Pass),
            $left ? 'background '.$colour->toHex() : ($cut ? 'square edges' : 'background off'),
            'a clear rim',
            match (true) {
                $left => sprintf('%s still stands on its background (%s on %d %% of the rim): it would print as a block.', $called, $colour->toHex(), round($even * 100)),
                $cut => sprintf('%s fills its rectangle to the edge, so it ends in straight cuts. A mask with a soft or shaped edge mends that.', $called),
                default => sprintf('%s has a clear rim.', $called),
            },
            $left || $cut ? array_values($where) : [],
            array_map(fn (Layer $l): string => $l->id, $layers),
            $left && $layers !== [] ? [self::clearing($layers[0])] : [],
        );
    }

    private static function clearing(Layer $layer): Mend
    {
        return new Mend('Clear it from the edge', function (Artwork $a) use ($layer): Artwork {
            $now = $a->layer($layer->id);
            $line = new EffectLine('clear-edge', new Values(['tolerance' => 14.0, 'islands' => 'kept']), true);

            return $now === null ? $a : $a->withLayer($layer->id, $now->with(effects: [$line, ...$now->effects]));
        });
    }

    /** @return array{float, float, Srgb} share of the rim that is opaque, share of that alike, and its colour */
    private static function rim(Image $pixels): array
    {
        $small = $pixels->resized(min(1.0, self::LOOK / max($pixels->width(), $pixels->height())))->settled();
        [$w, $h] = [$small->width(), $small->height()];
        $bytes = $small->toBytes();
        $rim = [];
        for ($i = 0, $n = $w * $h; $i < $n; $i++) {
            [$x, $y] = [$i % $w, intdiv($i, $w)];
            if ($x < 1 || $y < 1 || $x >= $w - 1 || $y >= $h - 1) {
                $rim[] = array_values((array) unpack('C4', $bytes, $i * 4));
            }
        }
        $opaque = array_values(array_filter($rim, fn (array $p): bool => $p[3] >= self::OPAQUE));
        if ($opaque === []) {
            return [0.0, 0.0, Srgb::of(0, 0, 0)];
        }
        $median = function (int $band) use ($opaque): int {
            $values = array_column($opaque, $band);
            sort($values);

            return (int) $values[intdiv(count($values), 2)];
        };
        $colour = Srgb::of($median(0), $median(1), $median(2));
        $lab = $colour->toLab();
        $alike = array_filter($opaque, fn (array $p): bool => Srgb::of((int) $p[0], (int) $p[1], (int) $p[2])->toLab()->difference($lab) < self::ALIKE);

        return [count($opaque) / count($rim), count($alike) / count($opaque), $colour];
    }
}
