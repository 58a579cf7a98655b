<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Catalogue;

/** Everything that can stand on a line, with its bounds. */
final class CatalogueController
{
    /** @return array<string, mixed> */
    public function __invoke(): array
    {
        return Catalogue::toArray();
    }
}
