<?php

declare(strict_types=1);

namespace App\Sending\Houses;

enum HouseVerdict: string
{
    case Accepted = 'accepted';
    case Refused = 'refused';
    case Printed = 'printed';
}
