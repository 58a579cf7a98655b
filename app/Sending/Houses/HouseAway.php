<?php

declare(strict_types=1);

namespace App\Sending\Houses;

/** A house cannot be reached or cannot take files now; retrying may succeed. */
final class HouseAway extends \RuntimeException
{
    /** @param  ?int  $after  seconds that the house asks to wait */
    public function __construct(string $message, public readonly ?int $after = null)
    {
        parent::__construct($message);
    }
}
