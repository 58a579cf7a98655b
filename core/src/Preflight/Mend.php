<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Edit\Operation;

/** One action that would make a check pass: what it says, and the operations that it stands for. They are carried out as they were shown. */
final readonly class Mend
{
    /** @param  non-empty-list<Operation>  $operations */
    private function __construct(
        public string $says,
        public array $operations,
    ) {}

    public static function by(string $says, Operation $operation, Operation ...$more): self
    {
        return new self($says, [$operation, ...array_values($more)]);
    }

    /** @return array{says: string, operations: list<array<string, mixed>>} */
    public function toArray(): array
    {
        return ['says' => $this->says, 'operations' => array_map(fn (Operation $operation): array => $operation->toArray(), $this->operations)];
    }
}
