<?php

declare(strict_types=1);

namespace App\Models;

enum ExportState: string
{
    case Queued = 'queued';

    /** Waits until its batch is resumed. */
    case Paused = 'paused';
    case Running = 'running';
    case Done = 'done';
    case Failed = 'failed';
    case Cancelling = 'cancelling';
    case Cancelled = 'cancelled';

    public function isOver(): bool
    {
        return in_array($this, [self::Done, self::Failed, self::Cancelled], true);
    }
}
