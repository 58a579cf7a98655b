<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

enum PrintMethod: string
{
    case DirectToGarment = 'dtg';
    case Transfer = 'transfer';
    case Sublimation = 'sublimation';
}
