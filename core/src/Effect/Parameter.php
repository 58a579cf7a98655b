<?php

declare(strict_types=1);

namespace TallCrow\Effect;

/** One value that a seller sets on a line, with its bounds. Lengths are inches, shares are 0 to 1, angles degrees. */
final readonly class Parameter
{
    /** @param  list<string>  $choices */
    private function __construct(
        public string $name,
        public ParameterKind $kind,
        public float $least,
        public float $most,
        public float|string $default,
        public array $choices = [],
    ) {}

    public static function length(string $name, float $least, float $most, float $default): self
    {
        return new self($name, ParameterKind::Length, $least, $most, $default);
    }

    public static function share(string $name, float $least, float $most, float $default): self
    {
        return new self($name, ParameterKind::Share, $least, $most, $default);
    }

    public static function number(string $name, float $least, float $most, float $default): self
    {
        return new self($name, ParameterKind::Number, $least, $most, $default);
    }

    public static function colour(string $name, string $default): self
    {
        return new self($name, ParameterKind::Colour, 0, 0, $default);
    }

    /** @param  class-string<\BackedEnum>  $enum */
    public static function choice(string $name, string $enum, \BackedEnum $default): self
    {
        return new self($name, ParameterKind::Choice, 0, 0, (string) $default->value, array_map(
            fn (\BackedEnum $case): string => (string) $case->value,
            $enum::cases(),
        ));
    }

    /** @return array{name: string, kind: string, least: float, most: float, default: float|string, choices: list<string>} */
    public function toArray(): array
    {
        return ['name' => $this->name, 'kind' => $this->kind->value, 'least' => $this->least, 'most' => $this->most, 'default' => $this->default, 'choices' => $this->choices];
    }
}
