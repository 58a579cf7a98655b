<?php

declare(strict_types=1);

namespace TallCrow\Effect\Warp;

use TallCrow\Effect\BendsOutline;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\Values;
use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Bend;
use TallCrow\Geometry\Box;

/** Scales width and height separately, before later warps: letters stretched tall and then arched. */
final readonly class Stretch implements BendsOutline
{
    private function __construct(
        private float $across,
        private float $down,
    ) {}

    public static function kind(): string
    {
        return 'stretch';
    }

    public static function parameters(): array
    {
        return [Parameter::share('down', 0.1, 8, 1.5), Parameter::share('across', 0.1, 8, 1)];
    }

    public static function from(Values $values): static
    {
        return new self($values->number('across'), $values->number('down'));
    }

    public function isMeasured(): bool
    {
        return false;
    }

    public function bend(Box $box): Bend
    {
        return Bend::affine(
            Affine::shift(-$box->centreX(), -$box->centreY())
                ->then(Affine::scale($this->across, $this->down))
                ->then(Affine::shift($box->centreX(), $box->centreY())),
        );
    }
}
