<?php

declare(strict_types=1);

namespace App\Bench;

use App\Files\ShopFiles;
use App\Models\Asset;
use App\Models\PrintJob;
use App\Models\Shop;
use Illuminate\Support\Facades\File;
use TallCrow\Asset\AssetUnusable;
use TallCrow\Asset\PictureRefused;
use TallCrow\Measure\PrintArea;
use TallCrow\Pack\FileNames;
use TallCrow\Pack\JobPack;
use TallCrow\Pack\JobPackRefused;
use TallCrow\Pack\PackedFile;
use TallCrow\Pack\Terms;
use TallCrow\Render\Frame;
use TallCrow\Render\LayerTrouble;
use TallCrow\Type\FontRefused;

/** Exports jobs to job files and imports them. */
final readonly class JobFiles
{
    public function __construct(
        private Briefs $briefs,
        private Shelving $shelving,
    ) {}

    /** Writes a job with its fonts, pictures and their licences to a file in the shop's temporary folder, and returns its path. */
    public function write(PrintJob $job): string
    {
        $artwork = $job->head?->read() ?? abort(404);
        $studio = Studio::of($job->shop);
        $held = $job->shop->assets()->whereIn('file', $artwork->files())->get()->keyBy('file');
        $files = [];
        foreach ($artwork->files() as $name) {
            $asset = $held->get($name);
            $files[] = new PackedFile($name, $studio->shelf->path($name), new Terms($asset->licence_name ?? '', $asset->licence_author ?? '', $asset->licence_url ?? ''));
        }
        $preview = $studio->renderer->picture($artwork, Frame::sheet($artwork->sheet, JobPack::previewPpi($artwork->sheet)), fn (LayerTrouble $trouble): null => null);
        $path = $job->shop->folder('scratch').'/job-'.$job->id.'-'.bin2hex(random_bytes(6)).'.crow';
        JobPack::write($artwork, $files, $preview, $path);

        return $path;
    }

    /**
     * Imports a job file as a new job. Its files are put on the shelf with their licences; files already there are
     * reused, and files whose name is taken are renamed.
     *
     * @throws JobPackRefused|\TallCrow\Artwork\ArtworkInvalid
     */
    public function open(Shop $shop, string $path): PrintJob
    {
        $folder = $shop->folder('unpacking').'/'.bin2hex(random_bytes(8));
        File::ensureDirectoryExists($folder, 0o700);
        $put = [];
        try {
            [$artwork, $files] = JobPack::unpack($path, $folder);
            $names = [];
            foreach ($files as $file) {
                $held = $this->held($shop, $file);
                if ($held === null) {
                    $put[] = $asset = $this->put($shop, $file);
                    $held = $asset->file;
                }
                if ($held !== $file->name) {
                    $names[$file->name] = $held;
                }
            }
            $artwork = FileNames::changed($artwork, $names);

            return $this->briefs->start($shop, PrintArea::like($artwork->sheet->area()), $artwork);
        } catch (\Throwable $refused) {
            foreach ($put as $asset) {
                $this->shelving->remove($shop, $asset);
            }
            throw $refused;
        } finally {
            File::deleteDirectory($folder);
        }
    }

    private function put(Shop $shop, PackedFile $file): Asset
    {
        // Do not invent a licence: the shelf shows that none was stated.
        $licence = $file->terms->licence === '' ? 'not stated' : $file->terms->licence;
        try {
            return $this->shelving->put($shop, $file->path, $file->name, new Provenance($licence, $file->terms->author, $file->terms->url));
        } catch (AssetUnusable|PictureRefused|FontRefused $refused) {
            throw JobPackRefused::file($file->name, $refused);
        }
    }

    /** The name under which the shop has an identical file. */
    private function held(Shop $shop, PackedFile $file): ?string
    {
        $hash = hash_file('sha256', $file->path);
        $shelf = ShopFiles::of($shop)->shelf();
        foreach ($shop->assets()->where('bytes', filesize($file->path))->orderByRaw('file = ? desc', [$file->name])->get() as $asset) {
            $path = "$shelf/$asset->file";
            if (is_file($path) && hash_file('sha256', $path) === $hash) {
                return $asset->file;
            }
        }

        return null;
    }
}
