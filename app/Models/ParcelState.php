<?php

declare(strict_types=1);

namespace App\Models;

enum ParcelState: string
{
    case Waiting = 'waiting';
    case Sending = 'sending';
    case Accepted = 'accepted';
    case Refused = 'refused';
    case Printed = 'printed';
    case Failed = 'failed';

    /** Whether a worker still has to process it. */
    public function isUnderWay(): bool
    {
        return in_array($this, [self::Waiting, self::Sending, self::Accepted], true);
    }
}
