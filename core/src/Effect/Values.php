<?php

declare(strict_types=1);

namespace TallCrow\Effect;

use TallCrow\Colour\Srgb;

/** The checked values of one line, by parameter name. */
final readonly class Values
{
    /** @param  array<string, float|string>  $values every parameter of the line's kind is there */
    public function __construct(private array $values) {}

    public function number(string $name): float
    {
        return (float) $this->values[$name];
    }

    public function colour(string $name): Srgb
    {
        return Srgb::hex((string) $this->values[$name]);
    }

    public function word(string $name): string
    {
        return (string) $this->values[$name];
    }

    public function with(string $name, float|string $value): self
    {
        return new self([$name => $value] + $this->values);
    }

    /** @return array<string, float|string> */
    public function toArray(): array
    {
        return $this->values;
    }
}
