<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Bench\AssetPreview;
use App\Models\Asset;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use TallCrow\Asset\AssetUnusable;

/** Draws the preview of an asset in advance, with lower priority than exports. */
final class PreviewAsset implements ShouldQueue
{
    use Queueable;

    public const QUEUE = 'later';

    /** If it fails, the preview is drawn on request. */
    public int $tries = 1;

    public function __construct(private readonly int $asset)
    {
        $this->onQueue(self::QUEUE);
    }

    public function handle(AssetPreview $preview): void
    {
        $asset = Asset::query()->find($this->asset);
        try {
            $asset === null ?: $preview->png($asset, '');
        } catch (AssetUnusable) {
            // The shelf shows the error.
        }
    }
}
