<?php

declare(strict_types=1);

namespace TallCrow\Colour;

/** An 8-bit sRGB colour, IEC 61966-2-1. */
final readonly class Srgb
{
    private function __construct(
        public int $red,
        public int $green,
        public int $blue,
    ) {}

    public static function of(int $red, int $green, int $blue): self
    {
        foreach ([$red, $green, $blue] as $part) {
            if ($part < 0 || $part > 255) {
                throw UnreadableColour::part($part);
            }
        }

        return new self($red, $green, $blue);
    }

    /** @throws UnreadableColour unless "#rrggbb" or "#rgb", the # optional */
    public static function hex(string $text): self
    {
        if (preg_match('/^#?([0-9a-f]{6}|[0-9a-f]{3})$/i', trim($text), $found) !== 1) {
            throw UnreadableColour::text($text);
        }
        $digits = strlen($found[1]) === 3 ? preg_replace('/(.)/', '$1$1', $found[1]) : $found[1];

        return new self(...array_map(fn (string $pair): int => (int) hexdec($pair), str_split((string) $digits, 2)));
    }

    public function toHex(): string
    {
        return sprintf('#%02x%02x%02x', $this->red, $this->green, $this->blue);
    }

    /** The way to another colour, in sRGB as it stands: 0 this one, 1 the other. */
    public function mixed(self $other, float $share): self
    {
        $mix = fn (int $a, int $b): int => (int) round($a + ($b - $a) * min(1.0, max(0.0, $share)));

        return new self($mix($this->red, $other->red), $mix($this->green, $other->green), $mix($this->blue, $other->blue));
    }

    /** Relative luminance of WCAG 2.2, 0 to 1. */
    public function luminance(): float
    {
        return 0.2126 * self::linear($this->red) + 0.7152 * self::linear($this->green) + 0.0722 * self::linear($this->blue);
    }

    /** CIE 1976 L*a*b* under D65, by the matrix of IEC 61966-2-1. */
    public function toLab(): Lab
    {
        return Lab::ofLinear(...$this->toLinear());
    }

    /** @return array{float, float, float} light of red, green and blue, 0 to 1 */
    public function toLinear(): array
    {
        return [self::linear($this->red), self::linear($this->green), self::linear($this->blue)];
    }

    private static function linear(int $part): float
    {
        $v = $part / 255;

        return $v <= 0.04045 ? $v / 12.92 : (($v + 0.055) / 1.055) ** 2.4;
    }
}
