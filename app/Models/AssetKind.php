<?php

declare(strict_types=1);

namespace App\Models;

enum AssetKind: string
{
    case Font = 'font';
    case Art = 'art';
}
