<?php

declare(strict_types=1);

namespace App\Files;

use App\Models\Asset;
use App\Models\Export;
use App\Models\ExportState;
use App\Models\Shop;
use Illuminate\Contracts\Filesystem\Filesystem;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\Storage;
use League\Flysystem\FilesystemException;

/**
 * The files of a shop that cannot be made again: what is on its shelf and its finished exports. They lie in its folder on this machine;
 * where a store is configured (`CROW_DISK`, a disk of config/filesystems.php), they lie there for all machines, and the folder holds copies
 * of what this machine has used.
 */
final readonly class ShopFiles
{
    private function __construct(
        private Shop $shop,
        private ?Filesystem $store,
    ) {}

    public static function of(Shop $shop): self
    {
        $disk = config('crow.disk');

        return new self($shop, is_string($disk) && $disk !== '' ? Storage::disk($disk) : null);
    }

    /** The local path of an asset's file. */
    public function assetPath(Asset $asset): string
    {
        return $this->shop->folder('assets').'/'.$asset->file;
    }

    /**
     * The local folder of the shelf, with a copy of every asset.
     *
     * @throws FileNotKept
     */
    public function shelf(): string
    {
        if ($this->store !== null) {
            foreach ($this->shop->assets()->get() as $asset) {
                // A name may have been reused: compare size and date with the row, as file synchronisation tools do.
                $path = $this->assetPath($asset);
                clearstatcache(true, $path);
                if (! is_file($path) || filesize($path) !== $asset->bytes || filemtime($path) !== self::date($asset)) {
                    // A lost file is reported when it is drawn and must not prevent the others from being copied.
                    $this->bring("assets/$asset->file", $path) ? touch($path, self::date($asset)) : Log::error('A file of the shelf is lost.', ['asset' => $asset->id]);
                }
            }
        }

        return $this->shop->folder('assets');
    }

    /**
     * Stores an asset whose file is in the local folder of the shelf.
     *
     * @throws FileNotKept
     */
    public function keepAsset(Asset $asset): void
    {
        if ($this->store !== null) {
            $this->send($this->assetPath($asset), "assets/$asset->file");
            touch($this->assetPath($asset), self::date($asset));
        }
    }

    public function dropAsset(Asset $asset): void
    {
        $this->drop($this->assetPath($asset), "assets/$asset->file");
    }

    /**
     * Stores the finished file of an export.
     *
     * @throws FileNotKept
     */
    public function keepExport(Export $export): void
    {
        $this->store === null ?: $this->send($export->path(), "exports/$export->id.png");
    }

    /** The local path of an export's finished file; null if there is none. */
    public function export(Export $export): ?string
    {
        $path = $export->path();
        if (! is_file($path) && $this->store !== null && $export->state === ExportState::Done) {
            $this->bring("exports/$export->id.png", $path);
        }

        return is_file($path) ? $path : null;
    }

    public function dropExport(Export $export): void
    {
        $this->drop($export->path(), "exports/$export->id.png");
    }

    private function key(string $name): string
    {
        return "{$this->shop->id}/$name";
    }

    private function send(string $path, string $name): void
    {
        $file = @fopen($path, 'rb') ?: throw FileNotKept::here($name);
        try {
            $this->store?->writeStream($this->key($name), $file) === true || throw FileNotKept::store($name);
        } finally {
            is_resource($file) && fclose($file);
        }
    }

    /** Written to a temporary file first, so that no other process sees an incomplete file; false if the store does not have it. */
    private function bring(string $name, string $path): bool
    {
        try {
            $from = $this->store?->exists($this->key($name)) === true ? $this->store->readStream($this->key($name)) : null;
        } catch (FilesystemException) {
            throw FileNotKept::silent($name);
        }
        if ($from === null) {
            return false;
        }
        $aside = dirname($path).'/.'.basename($path).'.'.bin2hex(random_bytes(4));
        try {
            $to = @fopen($aside, 'wb') ?: throw FileNotKept::here($name);
            $written = stream_copy_to_stream($from, $to);
            fclose($to) && $written !== false || throw FileNotKept::here($name);

            return rename($aside, $path);
        } finally {
            fclose($from);
            is_file($aside) && unlink($aside);
        }
    }

    private function drop(string $path, string $name): void
    {
        is_file($path) && unlink($path);
        $this->store?->delete($this->key($name));
    }

    private static function date(Asset $asset): int
    {
        return (int) $asset->created_at->getTimestamp();
    }
}
