<?php

declare(strict_types=1);

namespace App\Http\Answers;

use TallCrow\Preflight\Mend as Offered;

/** A correction that makes a check pass, as operations to send back. */
final readonly class Mend extends Answer
{
    /** @param  list<array<string, mixed>>  $operations */
    public function __construct(
        public string $says,
        #[DescribedAs('operation', isList: true)]
        public array $operations,
    ) {}

    public static function of(Offered $mend): self
    {
        return new self($mend->says, $mend->toArray()['operations']);
    }
}
