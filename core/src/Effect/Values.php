<?php

declare(strict_types=1);

namespace TallCrow\Effect;

use TallCrow\Colour\Srgb;
use TallCrow\Cutout\Scribble;

/** The validated values of one effect, by parameter name. A colour may refer to a swatch of the job, such as "@Bone". */
final readonly class Values
{
    public const SWATCH = '@';

    /**
     * @param  array<string, float|string|list<string>|list<Scribble>>  $values  a value for every parameter of the effect
     * @param  array<string, string>  $swatches  colours, as hex, of the swatches that the values refer to
     */
    public function __construct(
        private array $values,
        private array $swatches = [],
    ) {}

    public function number(string $name): float
    {
        $value = $this->values[$name];

        return is_array($value) ? 0.0 : (float) $value;
    }

    public function colour(string $name): Srgb
    {
        return $this->inked($this->word($name));
    }

    /** @return list<Srgb> at least as many as the parameter requires */
    public function colours(string $name): array
    {
        return array_map($this->inked(...), array_values(array_filter((array) $this->values[$name], fn (mixed $colour): bool => ! $colour instanceof Scribble)));
    }

    public function word(string $name): string
    {
        $value = $this->values[$name];

        return is_array($value) ? '' : (string) $value;
    }

    /** @return list<Scribble> */
    public function scribbles(string $name): array
    {
        return array_values(array_filter((array) ($this->values[$name] ?? []), fn (mixed $one): bool => $one instanceof Scribble));
    }

    /**
     * The value of one parameter with its colours changed.
     *
     * @param  \Closure(string): string  $change
     */
    public function recoloured(string $name, \Closure $change): self
    {
        $value = $this->values[$name] ?? null;
        if (is_array($value)) {
            return $this->with($name, array_map($change, array_values(array_filter($value, is_string(...)))));
        }

        return is_string($value) ? $this->with($name, $change($value)) : $this;
    }

    /** @param  float|string|list<string>  $value */
    public function with(string $name, float|string|array $value): self
    {
        return new self([$name => $value] + $this->values, $this->swatches);
    }

    /** @return array<string, float|string|list<string|array<string, mixed>>> as in a file; parameters without strokes are left out */
    public function toArray(): array
    {
        $written = [];
        foreach ($this->values as $name => $value) {
            $written[$name] = is_array($value) ? array_map(fn (string|Scribble $one): string|array => $one instanceof Scribble ? $one->toArray() : $one, $value) : $value;
        }

        return $written;
    }

    private function inked(float|string $colour): Srgb
    {
        $colour = (string) $colour;

        return Srgb::hex(str_starts_with($colour, self::SWATCH) ? $this->swatches[substr($colour, 1)] ?? '#000000' : $colour);
    }
}
