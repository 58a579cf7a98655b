<?php

declare(strict_types=1);

namespace TallCrow\Type;

/** How heavy a font is drawn, 1 to 1000, and between what its axis of weight could vary; it is set as it is by itself. */
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

    /** The name of the class that is nearest. */
    public function called(): string
    {
        return self::NAMES[100 * max(1, min(9, (int) round($this->value / 100)))];
    }

    public function varies(): bool
    {
        return $this->lightest < $this->heaviest;
    }
}
