<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Effect\Catalogue;
use TallCrow\Effect\Effect;
use TallCrow\Effect\ParameterKind;
use TallCrow\Effect\Values;

/** An effect on a build sheet: its kind, its values, and whether it is on. */
final readonly class EffectLine
{
    public function __construct(
        public string $kind,
        public Values $values,
        public bool $on,
    ) {}

    public function effect(): Effect
    {
        return Catalogue::classes()[$this->kind]::from($this->values);
    }

    /** @return list<string> file names of the fonts and pictures that it uses */
    public function files(): array
    {
        $names = [];
        foreach (Catalogue::classes()[$this->kind]::parameters() as $parameter) {
            if ($parameter->kind === ParameterKind::Font || $parameter->kind === ParameterKind::Picture) {
                $names[] = $this->values->word($parameter->name);
            }
        }

        return array_values(array_filter($names, fn (string $name): bool => $name !== ''));
    }

    /**
     * The same effect with each of its colours changed.
     *
     * @param  \Closure(string): string  $change  from "#rrggbb" or "@Name" to the same form
     */
    public function recoloured(\Closure $change): self
    {
        $values = $this->values;
        foreach (Catalogue::classes()[$this->kind]::parameters() as $parameter) {
            if ($parameter->kind->isColour()) {
                $values = $values->recoloured($parameter->name, $change);
            }
        }

        return new self($this->kind, $values, $this->on);
    }

    /** @return class-string<Effect> */
    public function is(): string
    {
        return Catalogue::classes()[$this->kind];
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['kind' => $this->kind] + $this->values->toArray() + ['on' => $this->on];
    }
}
