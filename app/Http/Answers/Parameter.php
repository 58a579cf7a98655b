<?php

declare(strict_types=1);

namespace App\Http\Answers;

use TallCrow\Effect\Parameter as Described;
use TallCrow\Effect\ParameterKind;

/** One parameter of an effect. */
final readonly class Parameter extends Answer
{
    /**
     * @param  float|string|list<string>  $default
     * @param  list<string>  $choices
     */
    public function __construct(
        public string $name,
        public ParameterKind $kind,
        public float $least,
        public float $most,
        public float|string|array $default,
        public array $choices,
        public bool $pictured,
    ) {}

    public static function of(Described $parameter): self
    {
        return new self($parameter->name, $parameter->kind, $parameter->least, $parameter->most, $parameter->default, $parameter->choices, $parameter->pictured);
    }
}
