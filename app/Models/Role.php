<?php

declare(strict_types=1);

namespace App\Models;

/** The role of a person in a shop. */
enum Role: string
{
    case Owner = 'owner';
    case Maker = 'maker';
    case Viewer = 'viewer';

    /** Whether sheets, shelf and houses may be changed. */
    public function makes(): bool
    {
        return $this !== self::Viewer;
    }
}
