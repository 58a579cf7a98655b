<?php

declare(strict_types=1);

namespace TallCrow\Render;

/** Is told the progress of a long rendering; may throw to cancel it. */
interface Progress
{
    /** A layer begins; numbers count from 0. */
    public function layer(int $number, int $of, string $name): void;

    /** A retouching effect of that layer begins; numbers count from 0. */
    public function line(int $number, int $of, string $kind): void;
}
