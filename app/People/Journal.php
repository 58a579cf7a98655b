<?php

declare(strict_types=1);

namespace App\People;

use App\Models\JournalEntry;
use App\Models\User;

/** Writes to the shop's journal of actions: kinds, ids and figures, never words of a sheet or secrets. */
final class Journal
{
    /** @param  array<string, scalar|null>  $more */
    public static function write(int $shop, ?User $who, string $what, array $more = []): void
    {
        $entry = activity()->event('done')->withProperties($more)->tap(function (JournalEntry $entry) use ($shop): void {
            $entry->shop_id = $shop;
        });
        ($who === null ? $entry->byAnonymous() : $entry->causedBy($who))->log($what);
    }
}
