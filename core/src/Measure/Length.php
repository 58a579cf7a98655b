<?php

declare(strict_types=1);

namespace TallCrow\Measure;

/** A length on the printed cloth, stored in inches. */
final readonly class Length
{
    /** Unicode vulgar fractions, as found in typed and copied text. */
    private const VULGAR = [
        '¼' => ' 1/4', '½' => ' 1/2', '¾' => ' 3/4', '⅛' => ' 1/8', '⅜' => ' 3/8', '⅝' => ' 5/8', '⅞' => ' 7/8', '⅓' => ' 1/3', '⅔' => ' 2/3',
    ];

    private function __construct(public float $inches) {}

    public static function inches(float $inches): self
    {
        return new self($inches);
    }

    public static function millimetres(float $millimetres): self
    {
        return new self($millimetres / Unit::MILLIMETRES_PER_INCH);
    }

    public static function pixels(float $pixels, Ppi $ppi): self
    {
        return new self($pixels / $ppi->value);
    }

    /**
     * Parses a length as typed: "9.4in", `9.4"`, "240 mm", "24cm", "1200px", "9,4 in", and the fractions of a tape
     * measure: "3/4 in", "9 3/8", `1-1/2"`, "9½ in". A bare number is in $bare.
     *
     * @throws UnreadableLength
     */
    public static function parse(string $text, Ppi $ppi, Unit $bare = Unit::Inch): self
    {
        $known = 'in|inch|inches|"|″|mm|cm|px|pixel|pixels|pt';
        $plain = strtr($text, self::VULGAR);
        if (preg_match('/^\s*([+-]?)(?:(\d{1,6}(?:[.,]\d{0,15})?|[.,]\d{1,15})|(?:(\d{1,6})(?:\s+|-))?(\d{1,4})\s*[\/⁄]\s*([1-9]\d{0,3}))\s*('.$known.')?\s*$/iu', $plain, $found, PREG_UNMATCHED_AS_NULL) !== 1) {
            throw UnreadableLength::of($text);
        }
        [, $sign, $decimal, $whole, $over, $under, $unit] = $found;
        $size = $decimal === null ? (float) $whole + (float) $over / max(1.0, (float) $under) : (float) str_replace(',', '.', $decimal);
        $number = $sign === '-' ? -$size : $size;

        return match (strtolower($unit ?? '')) {
            '' => self::inUnit($number, $bare, $ppi),
            'mm' => self::millimetres($number),
            'cm' => self::millimetres($number * 10),
            'px', 'pixel', 'pixels' => self::pixels($number, $ppi),
            'pt' => self::inches($number / 72),
            default => self::inches($number),
        };
    }

    public static function inUnit(float $number, Unit $unit, Ppi $ppi): self
    {
        return match ($unit) {
            Unit::Inch => self::inches($number),
            Unit::Millimetre => self::millimetres($number),
            Unit::Pixel => self::pixels($number, $ppi),
        };
    }

    /** Not rounded; rounding is left to the caller. */
    public function toPixels(Ppi $ppi): float
    {
        return $this->inches * $ppi->value;
    }
}
