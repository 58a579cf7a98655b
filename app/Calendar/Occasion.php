<?php

declare(strict_types=1);

namespace App\Calendar;

/** An event on a day. */
final readonly class Occasion
{
    public function __construct(
        /** The key by which plans and ideas refer to it. */
        public string $key,
        public string $name,
        public string $kind,
        public \DateTimeImmutable $on,
        public int $days,
        public string $caution = '',
        public string $ribbon = '',
        public ?int $own = null,
    ) {}
}
