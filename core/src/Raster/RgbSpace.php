<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/** An RGB colour space: its primaries and white point (CIE 1931 x, y) and its transfer curve. */
final readonly class RgbSpace
{
    /** IEC 61966-2-1. */
    private const SRGB = [0.64, 0.33, 0.30, 0.60, 0.15, 0.06, 0.3127, 0.3290];

    /** Bradford's cone responses (Lam 1985, as in the ICC's specification). */
    private const BRADFORD = [[0.8951, 0.2664, -0.1614], [-0.7502, 1.7135, 0.0367], [0.0389, -0.0685, 1.0296]];

    /**
     * @param  non-empty-list<float>  $places  x, y of red, green, blue and white
     * @param  ?float  $gamma  exponent from encoded value to linear light; null for the curve of sRGB
     */
    public function __construct(public array $places, public ?float $gamma) {}

    public static function srgb(): self
    {
        return new self(self::SRGB, null);
    }

    /** Whether converting to sRGB would change no colour by more than rounding. */
    public function isSrgb(): bool
    {
        $off = max(array_map(fn (float $a, float $b): float => abs($a - $b), $this->places, self::SRGB));

        return $off < 0.0015 && ($this->gamma === null || abs($this->gamma - 2.2) < 0.01);
    }

    /** @return non-empty-list<non-empty-list<float>> from linear RGB of this space to that of sRGB */
    public function toSrgb(): array
    {
        $from = self::toXyz($this->places);
        $white = self::white($this->places);
        $cone = self::times(self::BRADFORD, $white);
        $target = self::times(self::BRADFORD, self::white(self::SRGB));
        $scale = [[$target[0] / $cone[0], 0.0, 0.0], [0.0, $target[1] / $cone[1], 0.0], [0.0, 0.0, $target[2] / $cone[2]]];
        $adapt = self::product(self::inverse(self::BRADFORD), self::product($scale, self::BRADFORD));

        return self::product(self::inverse(self::toXyz(self::SRGB)), self::product($adapt, $from));
    }

    /**
     * The RGB to XYZ matrix by Lindbloom (http://www.brucelindbloom.com, RGB/XYZ matrices): columns are scaled so that they add up to the white point.
     *
     * @param  non-empty-list<float>  $places
     * @return non-empty-list<non-empty-list<float>>
     */
    private static function toXyz(array $places): array
    {
        $columns = [];
        for ($i = 0; $i < 3; $i++) {
            [$x, $y] = [$places[2 * $i], max(1e-6, $places[2 * $i + 1])];
            $columns[] = [$x / $y, 1.0, (1 - $x - $y) / $y];
        }
        $matrix = [[$columns[0][0], $columns[1][0], $columns[2][0]], [1.0, 1.0, 1.0], [$columns[0][2], $columns[1][2], $columns[2][2]]];
        $by = self::times(self::inverse($matrix), self::white($places));

        return array_map(fn (array $row): array => [$row[0] * $by[0], $row[1] * $by[1], $row[2] * $by[2]], $matrix);
    }

    /**
     * @param  list<float>  $places
     * @return list<float>
     */
    private static function white(array $places): array
    {
        [$x, $y] = [$places[6], max(1e-6, $places[7])];

        return [$x / $y, 1.0, (1 - $x - $y) / $y];
    }

    /**
     * @param  non-empty-list<non-empty-list<float>>  $a
     * @param  non-empty-list<non-empty-list<float>>  $b
     * @return non-empty-list<non-empty-list<float>>
     */
    private static function product(array $a, array $b): array
    {
        return array_map(fn (array $row): array => array_map(fn (int $j): float => $row[0] * $b[0][$j] + $row[1] * $b[1][$j] + $row[2] * $b[2][$j], [0, 1, 2]), $a);
    }

    /**
     * @param  list<list<float>>  $a
     * @param  list<float>  $v
     * @return list<float>
     */
    private static function times(array $a, array $v): array
    {
        return array_map(fn (array $row): float => $row[0] * $v[0] + $row[1] * $v[1] + $row[2] * $v[2], $a);
    }

    /**
     * @param  non-empty-list<non-empty-list<float>>  $m
     * @return non-empty-list<non-empty-list<float>>
     */
    private static function inverse(array $m): array
    {
        [[$a, $b, $c], [$d, $e, $f], [$g, $h, $i]] = $m;
        $whole = $a * ($e * $i - $f * $h) - $b * ($d * $i - $f * $g) + $c * ($d * $h - $e * $g);
        if (abs($whole) < 1e-12) {
            throw RasterFailed::during('colour', 'its primaries span no space');
        }

        return [
            [($e * $i - $f * $h) / $whole, ($c * $h - $b * $i) / $whole, ($b * $f - $c * $e) / $whole],
            [($f * $g - $d * $i) / $whole, ($a * $i - $c * $g) / $whole, ($c * $d - $a * $f) / $whole],
            [($d * $h - $e * $g) / $whole, ($b * $g - $a * $h) / $whole, ($a * $e - $b * $d) / $whole],
        ];
    }
}
