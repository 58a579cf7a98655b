<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** A scene for listing pictures. */
final readonly class SceneName extends Answer
{
    public function __construct(
        public string $slug,
        public string $name,
    ) {}
}
