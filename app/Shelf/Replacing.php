<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Bench\Provenance;
use App\Bench\Revisions;
use App\Bench\Saving;
use App\Bench\Shelving;
use App\Models\Asset;
use App\Models\JobFile;
use App\Models\PrintJob;
use App\Models\Shop;
use TallCrow\Asset\AssetUnusable;
use TallCrow\Pack\FileNames;

/** Replaces an asset by a better copy in every design; each design gets a new revision, so that it can be undone. */
final readonly class Replacing
{
    public function __construct(
        private Shelving $shelving,
        private Revisions $revisions,
    ) {}

    /**
     * @return array{asset: Asset, jobs: list<array{job: PrintJob, before: int, after: int}>}
     *
     * @throws AssetUnusable when the copy is of another kind
     */
    public function by(Shop $shop, Asset $asset, string $path, string $name): array
    {
        $copy = $this->shelving->put($shop, $path, $name, new Provenance($asset->licence_name, $asset->licence_author, $asset->licence_url, $asset->genre, record: $asset->licence_id));
        if ($copy->kind !== $asset->kind) {
            $this->shelving->remove($shop, $copy);
            throw AssetUnusable::because($name, new \DomainException('it is '.($asset->kind->value === 'font' ? 'a picture, and a font' : 'a font, and a picture').' is to be replaced. Choose a file of the same kind.'));
        }
        $copy->update(['tags' => $asset->tags, 'favourite' => $asset->favourite]);
        ShelfWords::renew($copy);

        return Saving::once(function () use ($shop, $asset, $copy): array {
            $jobs = [];
            $naming = JobFile::query()->where('shop_id', $shop->id)->where('file', $asset->file)->select('print_job_id');
            foreach (PrintJob::query()->whereIn('id', $naming)->with(['head', 'shop'])->get() as $job) {
                if ($job->head !== null) {
                    $before = $job->head->id;
                    $saved = $this->revisions->save($job, $job->version, FileNames::changed($job->head->read(), [$asset->file => $copy->file]));
                    $jobs[] = ['job' => $saved, 'before' => $before, 'after' => (int) $saved->head_id];
                }
            }

            return ['asset' => $copy, 'jobs' => $jobs];
        });
    }
}
