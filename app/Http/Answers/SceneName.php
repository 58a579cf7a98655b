<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** A scene to list designs in. */
final readonly class SceneName extends Answer
{
    public function __construct(
        public string $slug,
        public string $name,
    ) {}
}
