<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Reading;
use TallCrow\Edit\Operation;
use TallCrow\Edit\Operations;

/** An action that would make a check pass: a description, and the operations to carry out, exactly as they were shown. */
final readonly class Mend
{
    /** Most operations of one mend. */
    private const MOST = 10_000;

    private const LONGEST = 10_000;

    /** @param  list<Operation>  $operations */
    private function __construct(
        public string $says,
        public array $operations,
    ) {}

    public static function by(string $says, Operation $operation, Operation ...$more): self
    {
        return new self($says, [$operation, ...array_values($more)]);
    }

    /** Reads the form of toArray(). */
    public static function read(Reading $node): self
    {
        $operations = array_map(Operations::one(...), $node->items('operations', self::MOST));
        $operations === [] && $node->fault('holds none; one is the least', 'operations');

        return new self($node->text('says', self::LONGEST), $operations);
    }

    /** @return array{says: string, operations: list<array<string, mixed>>} */
    public function toArray(): array
    {
        return ['says' => $this->says, 'operations' => array_map(fn (Operation $operation): array => $operation->toArray(), $this->operations)];
    }
}
