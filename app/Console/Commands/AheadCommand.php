<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Jobs\DrawAhead;
use App\Models\Shop;
use Illuminate\Console\Command;

/** Draws the newest designs of every shop in advance, since a change of the drawing code invalidates the cached pictures. */
final class AheadCommand extends Command
{
    /** Number of jobs per shop, most recently changed first, in the order of Jobs. */
    private const MOST = 24;

    protected $signature = 'crow:ahead';

    protected $description = 'Let the workers draw the newest designs ahead';

    public function handle(): int
    {
        foreach (Shop::query()->orderBy('id')->get() as $shop) {
            foreach ($shop->jobs()->whereNotNull('head_id')->latest('updated_at')->limit(self::MOST)->pluck('head_id') as $revision) {
                is_int($revision) && DrawAhead::dispatch($revision);
            }
        }

        return self::SUCCESS;
    }
}
