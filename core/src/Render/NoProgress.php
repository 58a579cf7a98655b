<?php

declare(strict_types=1);

namespace TallCrow\Render;

/** Ignores progress. */
final class NoProgress implements Progress
{
    public function layer(int $number, int $of, string $name): void {}

    public function line(int $number, int $of, string $kind): void {}
}
