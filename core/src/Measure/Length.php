<?php

declare(strict_types=1);

namespace TallCrow\Measure;

/** A length on the printed cloth, kept in inches. */
final readonly class Length
{
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
     * Reads what a seller types: "9.4in", `9.4"`, "240 mm", "24cm", "1200px", "9,4 in". A bare number is in $bare.
     *
     * @throws UnreadableLength
     */
    public static function parse(string $text, Ppi $ppi, Unit $bare = Unit::Inch): self
    {
        $known = 'in|inch|inches|"|″|mm|cm|px|pixel|pixels|pt';
        if (preg_match('/^\s*([+-]?(?:\d{1,6}(?:[.,]\d{0,6})?|[.,]\d{1,6}))\s*('.$known.')?\s*$/iu', $text, $found) !== 1) {
            throw UnreadableLength::of($text);
        }
        $number = (float) str_replace(',', '.', $found[1]);

        return match (strtolower($found[2] ?? '')) {
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

    /** Not rounded: a whole number of pixels is the business of whoever cuts the sheet. */
    public function toPixels(Ppi $ppi): float
    {
        return $this->inches * $ppi->value;
    }
}
