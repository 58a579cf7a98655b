<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** The progress of a job. */
enum JobState: string
{
    case Empty = 'empty';
    case Drafted = 'drafted';
    case Exported = 'exported';
    case Unreadable = 'unreadable';
}
