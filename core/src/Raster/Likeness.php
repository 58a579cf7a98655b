<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/**
 * A short mark of how a picture looks, so that copies in another size, format or quality are found: the difference hash
 * of 8 × 8 steps from left to right in light (N. Krawetz, 2013), of the picture laid on middle grey.
 */
final class Likeness
{
    /** Bits in which two marks of the same look may differ (common practice: up to 10 of 64; 6 keeps strangers apart). */
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

    /** In how many of 64 bits two marks differ. */
    public static function distance(string $one, string $other): int
    {
        return substr_count(implode('', array_map(fn (string $a, string $b): string => decbin((int) hexdec($a) ^ (int) hexdec($b)), str_split($one), str_split($other))), '1');
    }
}
