<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** The licence of an asset, as stated by the seller or its package. */
final readonly class Licence extends Answer
{
    public function __construct(
        public string $name,
        public string $author,
        public string $url,
    ) {}
}
