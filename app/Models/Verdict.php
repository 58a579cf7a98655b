<?php

declare(strict_types=1);

namespace App\Models;

/** What a comment says of the sheet it stands at. */
enum Verdict: string
{
    case Note = 'note';
    case Approved = 'approved';
    case Change = 'change';
}
