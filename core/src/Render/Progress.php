<?php

declare(strict_types=1);

namespace TallCrow\Render;

/** Told how far a long rendering is; may throw to end it. */
interface Progress
{
    /** A layer is begun, counted from 0. */
    public function layer(int $number, int $of, string $name): void;

    /** A line of that layer's retouching is begun, counted from 0. */
    public function line(int $number, int $of, string $kind): void;
}
