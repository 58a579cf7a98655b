<?php

declare(strict_types=1);

namespace App\Models;

use App\Sending\Houses\HouseVerdict;

/** The kind of a log entry. */
enum LogEvent: string
{
    case File = 'file';
    case Accepted = 'accepted';
    case Refused = 'refused';
    case Printed = 'printed';
    case Listed = 'listed';
    case Priced = 'priced';
    case TakenDown = 'taken-down';

    public static function of(HouseVerdict $verdict): self
    {
        return self::from($verdict->value);
    }
}
