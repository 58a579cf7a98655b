<?php

declare(strict_types=1);

namespace App\Upkeep;

use App\Bench\ExportClaim;
use App\Bench\SaveKey;
use App\Bench\Studio;
use App\Models\Export;
use App\Models\ExportState;
use App\Models\Pass;
use App\Models\Shop;
use App\Sending\Parcels;
use App\Shelf\ShelfBin;
use Illuminate\Support\Facades\File;
use TallCrow\Render\FolderPictures;

/** Deletes the leftovers of deleted jobs, failed exports and dead processes, and finds exports that no worker is making. */
final class Sweeper
{
    /** Seconds between searches for exports, and between cleanups of the folders. */
    private const EXPORTS = 5;

    private const FOLDERS = 600;

    /** Seconds for which a temporary file may be in use. */
    private const ASIDE = 3600;

    private int $looked = 0;

    private int $swept = 0;

    /** Runs the tasks that are due; called by workers between jobs. */
    public function due(): void
    {
        $now = time();
        if ($now - $this->looked >= self::EXPORTS) {
            $this->looked = $now;
            ExportClaim::findForgotten();
            Parcels::findForgotten();
        }
        if ($now - $this->swept >= self::FOLDERS) {
            $this->swept = $now;
            $this->folders();
        }
    }

    /** @return int how many files and folders were cleared away */
    public function folders(): int
    {
        Pass::query()->where('expires_at', '<', now())->delete();
        SaveKey::forgetOld();
        $gone = app(ShelfBin::class)->tidy();
        foreach (Shop::query()->get() as $shop) {
            $gone += $this->exports($shop) + $this->scratch($shop) + $this->aside($shop);
            (new FolderPictures($shop->folder('pictures'), Room::forPictures($shop->folder('pictures'))))->tidy();
        }

        Studio::materials()->tidy();

        return $gone;
    }

    /** Deletes files whose export was deleted or did not finish. */
    private function exports(Shop $shop): int
    {
        $kept = Export::query()->where('shop_id', $shop->id)->where('state', ExportState::Done)->pluck('id')->all();
        $gone = array_filter(glob($shop->folder('exports').'/*.png') ?: [], fn (string $file): bool => ! in_array((int) basename($file, '.png'), $kept, true) && self::isOld($file));

        return self::delete($gone);
    }

    private function scratch(Shop $shop): int
    {
        $busy = Export::query()->where('shop_id', $shop->id)->whereIn('state', [ExportState::Running, ExportState::Cancelling])->pluck('id')->all();
        $gone = array_filter(glob($shop->folder('scratch').'/*') ?: [], fn (string $folder): bool => ! in_array((int) basename($folder), $busy, true) && self::isOld($folder));
        array_map(fn (string $path): bool => is_dir($path) ? File::deleteDirectory($path) : File::delete($path), $gone);

        return count($gone);
    }

    /** Deletes temporary files of processes that died. */
    private function aside(Shop $shop): int
    {
        $folders = array_filter(glob($shop->folder('unpacking').'/*') ?: [], self::isOld(...));
        array_map(File::deleteDirectory(...), $folders);
        $files = array_filter(array_merge(glob($shop->folder('pictures').'/*.lock') ?: [], glob($shop->folder('pictures').'/*.*.v') ?: [], glob($shop->folder('exports').'/.*') ?: []), fn (string $file): bool => is_file($file) && self::isOld($file));

        return count($folders) + self::delete($files);
    }

    private static function isOld(string $path): bool
    {
        return (int) @filemtime($path) < time() - self::ASIDE;
    }

    /** @param  array<string>  $files */
    private static function delete(array $files): int
    {
        array_map(fn (string $file): bool => @unlink($file), $files);

        return count($files);
    }
}
