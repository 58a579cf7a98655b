<?php

declare(strict_types=1);

namespace App\Http\Answers;

use TallCrow\Rights\FactName;

/** A question of the interview about a licence. */
final readonly class FactQuestion extends Answer
{
    /** @param  list<FactChoice>  $answers */
    public function __construct(
        public string $name,
        public string $question,
        public string $example,
        public array $answers,
        public bool $takesText,
        public bool $takesNumber,
    ) {}

    public static function of(FactName $name): self
    {
        $answers = $name->answers();

        return new self($name->value, $name->question(), $name->example(), array_map(fn (string $value, string $says): FactChoice => new FactChoice($value, $says), array_keys($answers), array_values($answers)), $name->takesText(), $name->takesNumber());
    }
}
