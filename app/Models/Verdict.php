<?php

declare(strict_types=1);

namespace App\Models;

/** A comment's verdict on the revision. */
enum Verdict: string
{
    case Note = 'note';
    case Approved = 'approved';
    case Change = 'change';
}
