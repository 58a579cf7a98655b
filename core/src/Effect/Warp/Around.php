<?php

declare(strict_types=1);

namespace TallCrow\Effect\Warp;

use TallCrow\Effect\HasCentre;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\Values;
use TallCrow\Type\Letter;

/**
 * Letters around a circle of a given diameter, however many there are. The circle runs through the middle of the first line's capitals, so words over its top
 * and words under its foot lie in one band. Words longer than the circle make it as large as they need.
 */
final readonly class Around implements HasCentre
{
    public const OVER = 'over';

    public const UNDER = 'under';

    private function __construct(private float $diameter, private int $up) {}

    public static function kind(): string
    {
        return 'around';
    }

    public static function parameters(): array
    {
        return [Parameter::length('diameter', 0.2, 60, 8), Parameter::oneOf('side', [self::OVER, self::UNDER], self::OVER)];
    }

    public static function from(Values $values): static
    {
        return new self($values->number('diameter'), $values->word('side') === self::OVER ? 1 : -1);
    }

    public function isMeasured(): bool
    {
        return true;
    }

    public function place(array $letters, float $capital): array
    {
        return $letters === [] ? [] : LettersOnCircle::place($letters, $this->radius($letters, $capital), $this->up);
    }

    public function centre(array $letters, float $capital): array
    {
        return LettersOnCircle::centre($letters, $this->radius($letters, $capital), $this->up);
    }

    /**
     * Of the circle that the baseline of the first line lies on.
     *
     * @param  list<Letter>  $letters
     */
    private function radius(array $letters, float $capital): float
    {
        return max(($this->diameter - $this->up * $capital) / 2, Letter::together($letters)->bounds()->width() / (2 * M_PI));
    }
}
