<?php

declare(strict_types=1);

namespace TallCrow\Effect\Words;

use TallCrow\Effect\Parameter;
use TallCrow\Effect\PlacesLetters;
use TallCrow\Effect\Values;
use TallCrow\Geometry\Affine;
use TallCrow\Type\Letter;

/** Random shift, rotation and scale of each letter, within bounds (shares of the letters' height); the words stay editable. */
final readonly class Jitter implements PlacesLetters
{
    private function __construct(private float $shift, private float $turn, private float $size, private int $seed) {}

    public static function kind(): string
    {
        return 'jitter';
    }

    public static function parameters(): array
    {
        return [Parameter::share('shift', 0, 1, 0.06), Parameter::angle('turn', 4), Parameter::share('size', 0, 0.8, 0.06), Parameter::number('seed', 0, 999_999, 1)];
    }

    public static function from(Values $values): static
    {
        return new self($values->number('shift'), $values->number('turn'), $values->number('size'), (int) $values->number('seed'));
    }

    public function isMeasured(): bool
    {
        return false;
    }

    public function place(array $letters, float $capital): array
    {
        if ($letters === []) {
            return [];
        }
        $heights = array_map(fn (Letter $letter): float => $letter->path->bounds()->height(), $letters);
        sort($heights);
        $height = $heights[intdiv(count($heights), 2)];
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937($this->seed));
        $chance = fn (): float => $random->getInt(-1_000_000, 1_000_000) / 1_000_000;
        $shaken = [];
        foreach ($letters as $letter) {
            $box = $letter->path->bounds();
            $size = 1 + $this->size * $chance();
            $shaken[] = $letter->transformed(
                Affine::shift(-$box->centreX(), -$box->centreY())->then(Affine::scale($size, $size))->then(Affine::turn($this->turn * $chance()))
                    ->then(Affine::shift($box->centreX() + $this->shift * $height * $chance(), $box->centreY() + $this->shift * $height * $chance())),
            );
        }

        return $shaken;
    }
}
