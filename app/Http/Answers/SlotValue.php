<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** A value of a row, for a slot or a place of the sheet. */
final readonly class SlotValue extends Answer
{
    public function __construct(
        public string $at,
        public string $value,
    ) {}

    /**
     * @param  array<string, string>  $values
     * @return list<self>
     */
    public static function all(array $values): array
    {
        return array_map(fn (string $at, string $value): self => new self($at, $value), array_map(strval(...), array_keys($values)), array_values($values));
    }
}
