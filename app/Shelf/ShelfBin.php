<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Bench\Shelving;
use App\Models\Asset;
use App\Models\JobFile;
use App\Models\PrintJob;

/** The bin: removed assets are kept for a month. */
final readonly class ShelfBin
{
    public const DAYS = 30;

    public function __construct(private Shelving $shelving) {}

    /** @throws AssetNeeded while a design uses it */
    public function lay(Asset $asset): void
    {
        $titles = JobFile::query()->where('shop_id', $asset->shop_id)->where('file', $asset->file)->with('job')->get()->map(fn (JobFile $use): string => $use->job->title)->unique()->all();
        if ($titles !== []) {
            throw AssetNeeded::by($asset->title, array_values($titles));
        }
        $asset->update(['binned_at' => now()]);
    }

    public function takeBack(Asset $asset): void
    {
        $asset->update(['binned_at' => null]);
    }

    /** @return int how many had lain long enough */
    public function tidy(): int
    {
        $gone = 0;
        foreach (Asset::query()->where('binned_at', '<', now()->subDays(self::DAYS))->with('shop')->get() as $asset) {
            // Undo may have restored a sheet that uses it.
            if (! $this->isNamedAnywhere($asset)) {
                $this->shelving->remove($asset->shop, $asset);
                $gone++;
            }
        }

        return $gone;
    }

    private function isNamedAnywhere(Asset $asset): bool
    {
        return PrintJob::query()->where('shop_id', $asset->shop_id)->whereHas('revisions', fn ($revisions) => $revisions->where('artwork', 'like', '%"'.addcslashes($asset->file, '%_\\').'"%'))->exists();
    }
}
