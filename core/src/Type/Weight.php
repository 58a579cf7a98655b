<?php

declare(strict_types=1);

namespace TallCrow\Type;

/** A font's weight (1 to 1000), and the range of its weight axis if it is variable. Words are set at the font's default weight. */
final readonly class Weight
{
    /** OpenType 1.9, table OS/2, usWeightClass. */
    private const NAMES = [100 => 'thin', 200 => 'extra-light', 300 => 'light', 400 => 'regular', 500 => 'medium', 600 => 'semi-bold', 700 => 'bold', 800 => 'extra-bold', 900 => 'black'];

    public function __construct(
        public int $value,
        public int $lightest,
        public int $heaviest,
    ) {}

    public static function of(int $value): self
    {
        return new self($value, $value, $value);
    }

    /** Name of the nearest weight class. */
    public function called(): string
    {
        return self::NAMES[100 * max(1, min(9, (int) round($this->value / 100)))];
    }
}
