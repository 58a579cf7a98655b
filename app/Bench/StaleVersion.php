<?php

declare(strict_types=1);

namespace App\Bench;

final class StaleVersion extends \RuntimeException
{
    private function __construct(public readonly int $current, string $message)
    {
        parent::__construct($message);
    }

    public static function of(int $current): self
    {
        return new self($current, 'This job was changed in another tab since you opened it here. Nothing was overwritten: load the newer sheet, then make your change again.');
    }
}
