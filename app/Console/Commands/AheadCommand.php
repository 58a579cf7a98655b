<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Jobs\DrawAhead;
use App\Models\Shop;
use Illuminate\Console\Command;

/** Has the newest designs of every shop drawn before somebody opens them: what was kept is of no use once the code that draws has changed. */
final class AheadCommand extends Command
{
    /** Of each shop, the newest change first, as Jobs lists them. */
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
