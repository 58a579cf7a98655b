<?php

declare(strict_types=1);

namespace TallCrow\Type;

/** A font's weight, 1 to 1000; of a variable font that of its place on the axis. */
final readonly class Weight
{
    /** OpenType 1.9, table OS/2, usWeightClass. */
    private const NAMES = [100 => 'thin', 200 => 'extra-light', 300 => 'light', 400 => 'regular', 500 => 'medium', 600 => 'semi-bold', 700 => 'bold', 800 => 'extra-bold', 900 => 'black'];

    public function __construct(public int $value) {}

    /** Name of the nearest weight class. */
    public function called(): string
    {
        return self::NAMES[100 * max(1, min(9, (int) round($this->value / 100)))];
    }
}
