<?php

declare(strict_types=1);

namespace App\Bench;

use Illuminate\Http\Response;

/** A request of the bench is obsolete: the sheet was saved again meanwhile, and the bench has requested the newer one. */
final class NobodyWaits extends \RuntimeException
{
    public function render(): Response
    {
        return response()->noContent()->withHeaders(['Cache-Control' => 'no-store']);
    }

    /** Not logged, since it happens with every quick series of changes. */
    public function report(): bool
    {
        return true;
    }
}
