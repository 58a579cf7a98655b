<?php

declare(strict_types=1);

namespace TallCrow\Effect;

use TallCrow\Colour\Srgb;

/** The checked values of one line, by parameter name. A colour may be that of a named swatch of the job: "@Bone". */
final readonly class Values
{
    public const SWATCH = '@';

    /**
     * @param  array<string, float|string|list<string>>  $values  every parameter of the line's kind is there
     * @param  array<string, string>  $swatches  the colours, as hex, of the swatches that the values name
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

    /** @return list<Srgb> as many as the parameter asks for at least */
    public function colours(string $name): array
    {
        return array_map($this->inked(...), is_array($this->values[$name]) ? $this->values[$name] : [$this->values[$name]]);
    }

    public function word(string $name): string
    {
        $value = $this->values[$name];

        return is_array($value) ? '' : (string) $value;
    }

    /** @param  float|string|list<string>  $value */
    public function with(string $name, float|string|array $value): self
    {
        return new self([$name => $value] + $this->values, $this->swatches);
    }

    /** @return array<string, float|string|list<string>> */
    public function toArray(): array
    {
        return $this->values;
    }

    private function inked(float|string $colour): Srgb
    {
        $colour = (string) $colour;

        return Srgb::hex(str_starts_with($colour, self::SWATCH) ? $this->swatches[substr($colour, 1)] ?? '#000000' : $colour);
    }
}
