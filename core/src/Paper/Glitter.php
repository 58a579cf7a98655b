<?php

declare(strict_types=1);

namespace TallCrow\Paper;

use TallCrow\Noise\Patchwork;
use TallCrow\Raster\Blur;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;
use TallCrow\Raster\Noise;
use TallCrow\Raster\Sampling;

/** Flakes of a thirtieth of an inch in all orientations: most are dull, some catch the light, and a few flash. */
final class Glitter implements Paper
{
    /** Side of a flake in pixels, before distortion. */
    private const FLAKE = 10;

    /** Distortion of the flakes' edges in pixels. */
    private const BENT = 7.0;

    /** From this level of light on, a flake glows over its neighbours. */
    private const FLASH = 250;

    public static function kind(): string
    {
        return 'glitter';
    }

    public static function tile(int $seed, Colours $colours, int $across): Image
    {
        [$flake, $light, $dark] = [$colours->at(0), $colours->at(1), $colours->at(2)];
        $flakes = self::flakes($seed);
        $levels = Lookup::bytes($flakes, array_map(fn (int $level): int => (int) round(255 * ($level / 255) ** 1.5), range(0, 255)));
        $flash = $flakes->isMore((float) self::FLASH)->settled();
        $margin = 64;
        $halo = Blur::gaussian($flash->tiled($margin, $margin, self::TILE + 2 * $margin, self::TILE + 2 * $margin)->settled(), 7.0, 0.02)->crop($margin, $margin, self::TILE, self::TILE)->linearByte(2.4);
        $gleam = $levels->plus($halo->linear(0.9))->linearByte(1.0)->lighter($flash)->settled();

        return Lookup::tinted(Patchwork::wide($gleam, $seed, $across), [
            $flake->mixed($dark, 0.6), $flake->mixed($dark, 0.32), $flake->mixed($dark, 0.1), $flake, $flake->mixed($light, 0.3), $flake->mixed($light, 0.65), $light,
        ]);
    }

    /** Flakes of one random level each: random squares under a distortion. */
    private static function flakes(int $seed): Image
    {
        $side = self::TILE;
        $count = intdiv($side, self::FLAKE);
        $random = new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar($seed));
        $squares = Image::raw($random->getBytes(max(1, $count * $count)), $count, $count, 1);
        $bend = fn (int $salt): Image => Noise::gradient($side, $side, 16, $seed * 3 + $salt)->linear(self::BENT / self::FLAKE);
        $places = Sampling::places($side, $side)->linearBands([1 / self::FLAKE, 1 / self::FLAKE])->plus($bend(1)->withBand($bend(2)));
        $margin = 2;

        return Sampling::nearest($squares->tiled($margin, $margin, $count + 2 * $margin, $count + 2 * $margin)->settled(), $places->linear(1.0, (float) $margin))->settled();
    }
}
