<?php

declare(strict_types=1);

namespace TallCrow\Render;

/** Told how far a long rendering is; may throw to end it. */
interface Progress
{
    public function layer(int $number, int $of, string $name): void;
}
