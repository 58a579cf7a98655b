<?php

declare(strict_types=1);

namespace TallCrow\Effect;

use TallCrow\Cutout\Scribble;

/** A parameter of an effect, with bounds. Lengths are in inches, shares from 0 to 1, angles in degrees. */
final readonly class Parameter
{
    /**
     * @param  float  $most  upper bound; for text the number of characters, for colours their number
     * @param  float|string|list<string>  $default
     * @param  list<string>  $choices
     */
    private function __construct(
        public string $name,
        public ParameterKind $kind,
        public float $least,
        public float $most,
        public float|string|array $default,
        public array $choices = [],
        /** Whether its choices are best shown as pictures of the piece itself. */
        public bool $pictured = false,
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

    public static function angle(string $name, float $default): self
    {
        return new self($name, ParameterKind::Angle, -360, 360, $default);
    }

    public static function colour(string $name, string $default): self
    {
        return new self($name, ParameterKind::Colour, 0, 0, $default);
    }

    /** @param  list<string>  $default */
    public static function colours(string $name, array $default, int $least = 2, int $most = 12): self
    {
        return new self($name, ParameterKind::Colours, $least, $most, $default);
    }

    public static function words(string $name, int $most, string $default): self
    {
        return new self($name, ParameterKind::Words, 1, $most, $default);
    }

    /** The file name of a font; empty means the text's own. */
    public static function font(string $name): self
    {
        return new self($name, ParameterKind::Font, 0, 0, '');
    }

    /** The file name of a picture; empty while none is chosen. */
    public static function picture(string $name): self
    {
        return new self($name, ParameterKind::Picture, 0, 0, '');
    }

    /** Strokes over the picture, in shares of its size. */
    public static function scribbles(string $name): self
    {
        return new self($name, ParameterKind::Scribbles, 0, Scribble::MOST, []);
    }

    /** The area that a retouching effect is limited to; everywhere while nothing is drawn. */
    public static function area(): self
    {
        return self::scribbles('area');
    }

    /** @param  class-string<\BackedEnum>  $enum */
    public static function choice(string $name, string $enum, \BackedEnum $default): self
    {
        return self::oneOf($name, array_map(fn (\BackedEnum $case): string => (string) $case->value, $enum::cases()), (string) $default->value);
    }

    /** @param  list<string>  $choices */
    public static function oneOf(string $name, array $choices, string $default, bool $pictured = false): self
    {
        return new self($name, ParameterKind::Choice, 0, 0, $default, $choices, $pictured);
    }

    /** @return array{name: string, kind: string, least: float, most: float, default: float|string|list<string>, choices: list<string>} */
    public function toArray(): array
    {
        return ['name' => $this->name, 'kind' => $this->kind->value, 'least' => $this->least, 'most' => $this->most, 'default' => $this->default, 'choices' => $this->choices];
    }
}
