<?php

declare(strict_types=1);

namespace App\Bench;

use Illuminate\Http\Response;

/** What was asked for at the bench is not wanted any more: the sheet was saved anew meanwhile, and the newer one is asked for. */
final class NobodyWaits extends \RuntimeException
{
    public function render(): Response
    {
        return response()->noContent()->withHeaders(['Cache-Control' => 'no-store']);
    }

    /** It happens at every quick change: the log has no use for it. */
    public function report(): bool
    {
        return true;
    }
}
