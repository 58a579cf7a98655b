<?php

declare(strict_types=1);

namespace TallCrow\Texture;

use TallCrow\Noise\Field;
use TallCrow\Noise\Patchwork;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;

/** A sheet that lay folded in the drawer: creases both ways, broken and frayed. */
final class FoldLines implements WideTexture
{
    /** Mean distance of creases in pixels, and their jitter. */
    private const APART = 1200;

    private const ASTRAY = 280;

    /** Least difference, in pixels, between any two distances. */
    private const DIFFER = 40;

    private const TRIES = 500;

    public static function kind(): string
    {
        return 'fold-lines';
    }

    public static function followsEdges(): bool
    {
        return false;
    }

    public static function field(int $seed): Image
    {
        return self::wide($seed, self::TILE);
    }

    public static function wide(int $seed, int $side): Image
    {
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937($seed));
        [$across, $down] = [self::places($random, $side), self::places($random, $side)];
        // The crease itself is broken; beside it the ink is rubbed off unevenly where the cloth stood high.
        $crease = self::lines($across, $down, $side, 3.2, 255.0);
        $rubbed = self::lines($across, $down, $side, 36.0, 214.0);
        $fine = Lookup::equalised(Field::clouds($seed, 120, 4)->linearByte(0.6)->plus(Field::grain($seed, 1.8)->linearByte(0.4))->linearByte(1))->settled();
        $wide = fn (Image $field, int $seed): Image => $side === self::TILE ? $field : Patchwork::wide($field, $seed, intdiv($side, Patchwork::PATCH));
        $high = $wide($fine, $seed);
        $stretches = $wide(Lookup::equalised(Field::clouds($seed + 7, 480, 2))->settled(), $seed + 7)->linearByte(0.92, 20)->settled();
        $grain = Field::grain($seed + 3, 1.2)->linearByte(0.12)->settled()->tiled(0, 0, $side, $side);

        return Lookup::equalised($crease->times($stretches)->linearByte(0.55)->plus($high->linearByte(0.25))->linearByte(1)->lighter($rubbed->times($high)->times($stretches)->linearByte(0.9))->lighter($grain))->settled();
    }

    /**
     * Places of the creases. No two pairs of lines have the same distance, so that at any shift of the sheet over itself at most one line coincides with
     * another
     * (low autocorrelation).
     *
     * @return list<int>
     */
    private static function places(\Random\Randomizer $random, int $side): array
    {
        $count = max(1, (int) round($side / self::APART));
        $places = [];
        for ($try = 0; $try < self::TRIES; $try++) {
            $places = array_map(fn (int $i): int => (int) (($i + 0.5) * $side / $count) + $random->getInt(-self::ASTRAY, self::ASTRAY), range(0, $count - 1));
            $apart = [];
            foreach ($places as $i => $one) {
                foreach (array_slice($places, $i + 1) as $other) {
                    $apart[] = $other - $one;
                }
            }
            sort($apart);
            $steps = array_map(fn (int $less, int $more): int => $more - $less, array_slice($apart, 0, -1), array_slice($apart, 1));
            if ($steps === [] || min($steps) > self::DIFFER) {
                break;
            }
        }

        return $places;
    }

    /**
     * Soft lines in both directions; where they cross, the stronger counts.
     *
     * @param  list<int>  $across
     * @param  list<int>  $down
     */
    private static function lines(array $across, array $down, int $side, float $sigma, float $most): Image
    {
        $row = function (array $places) use ($side, $sigma, $most): string {
            $bytes = '';
            for ($x = 0; $x < $side; $x++) {
                $near = min($side, ...array_map(fn (int $place): int => min(abs($x - $place), $side - abs($x - $place)), $places));
                $bytes .= chr((int) round($most * exp(-$near ** 2 / 2 / $sigma ** 2)));
            }

            return $bytes;
        };

        return Image::raw($row($across), $side, 1, 1)->zoomed(1, $side)->lighter(Image::raw($row($down), 1, $side, 1)->zoomed($side, 1));
    }
}
