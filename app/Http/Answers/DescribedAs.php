<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** Names the schema definition of a property whose form is defined by the core: the artwork, an operation. */
#[\Attribute(\Attribute::TARGET_PROPERTY | \Attribute::TARGET_PARAMETER)]
final readonly class DescribedAs
{
    public function __construct(
        public string $definition,
        public bool $isList = false,
    ) {}
}
