<?php

declare(strict_types=1);

namespace App\Models;

enum PassKind: string
{
    case Invitation = 'invitation';
    case Reset = 'reset';
    case Entry = 'entry';

    /** Minutes until it expires. */
    public function minutes(): int
    {
        return match ($this) {
            self::Invitation => 60 * 24 * 7,
            self::Reset => 60 * 24,
            self::Entry => 60 * 12,
        };
    }
}
