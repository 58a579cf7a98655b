<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/**
 * A perceptual hash, to find copies of a picture in another size, format or quality: the difference hash of 8 × 8 steps in lightness from left to right
 * (N. Krawetz, 2013), of the picture flattened on middle grey.
 */
final class Likeness
{
    /** Most bits in which the hashes of two copies differ (common practice: up to 10 of 64; 6 avoids false matches). */
    public const NEAR = 6;

    private const STEPS = 8;

    /** @return string 16 hexadecimal digits */
    public static function of(Image $image): string
    {
        [$across, $down] = [self::STEPS + 1, self::STEPS];
        $flat = $image->operation('flatten', [], ['background' => Boxed::doubles([128.0, 128.0, 128.0])]);
        $small = $flat->resized($across / $flat->width(), $down / $flat->height())->settled();
        if ($small->width() !== $across || $small->height() !== $down) {
            $small = $small->embed(0, 0, $across, $down)->settled();
        }
        $bytes = array_values((array) unpack('C*', $small->toBytes()));
        $bands = $small->bands();
        $light = fn (int $x, int $y): int => 2 * (int) $bytes[($y * $across + $x) * $bands] + 7 * (int) $bytes[($y * $across + $x) * $bands + min(1, $bands - 1)] + (int) $bytes[($y * $across + $x) * $bands + min(2, $bands - 1)];
        $bits = '';
        for ($y = 0; $y < $down; $y++) {
            for ($x = 0; $x < self::STEPS; $x++) {
                $bits .= $light($x, $y) < $light($x + 1, $y) ? '1' : '0';
            }
        }

        return implode('', array_map(fn (string $part): string => dechex((int) bindec($part)), str_split($bits, 4)));
    }

    /** The number of bits, of 64, in which two hashes differ. */
    public static function distance(string $one, string $other): int
    {
        return substr_count(implode('', array_map(fn (string $a, string $b): string => decbin((int) hexdec($a) ^ (int) hexdec($b)), str_split($one), str_split($other))), '1');
    }
}
