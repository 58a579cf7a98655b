<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Bench\AssetPreview;
use App\Models\Asset;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use TallCrow\Asset\AssetUnusable;

/** Draws the small picture of a piece before somebody asks for it, behind all exports. */
final class PreviewAsset implements ShouldQueue
{
    use Queueable;

    public const QUEUE = 'later';

    /** One that fails is drawn when it is looked at. */
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
            // Whoever looks at the shelf is told.
        }
    }
}
