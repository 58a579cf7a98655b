<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** How far a job has come. */
enum JobState: string
{
    case Empty = 'empty';
    case Drafted = 'drafted';
    case Exported = 'exported';
    case Unreadable = 'unreadable';
}
