<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\PrintJob;
use App\Models\Revision;
use App\Rights\PrintedIndex;
use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\ArtworkInvalid;
use TallCrow\Artwork\ArtworkReader;
use TallCrow\Artwork\Following;

/** Saves, undoes and redoes. Each request names the version it started from and is refused if that is no longer current. */
final readonly class Revisions
{
    public function __construct(
        private SaveKey $key,
        private PrintedIndex $printed,
    ) {}

    /** @throws StaleVersion|ArtworkInvalid */
    public function save(PrintJob $job, int $version, Artwork $artwork): PrintJob
    {
        if ($job->head !== null && Following::isUsed($artwork)) {
            $artwork = Following::led($job->head->read(), $artwork);
        }
        $json = json_encode($artwork->toArray(), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
        // Only save what can be read again: refuse sheets that are too large or have cyclic clip masks.
        ArtworkReader::json($json);

        return $this->change($job, $version, function (PrintJob $job) use ($json, $artwork): void {
            if ($job->head?->artwork === $json) {
                return;
            }
            $revision = $job->revisions()->create(['shop_id' => $job->shop_id, 'user_id' => auth()->id(), 'parent_id' => $job->head_id, 'artwork' => $json]);
            $this->moveTo($job, $revision, $artwork);
        });
    }

    /** @throws StaleVersion */
    public function undo(PrintJob $job, int $version): PrintJob
    {
        return $this->change($job, $version, function (PrintJob $job): void {
            $parent = $job->head?->parent_id === null ? null : Revision::query()->find($job->head->parent_id);
            if ($parent !== null) {
                $this->moveTo($job, $parent, $parent->read());
            }
        });
    }

    /** @throws StaleVersion */
    public function redo(PrintJob $job, int $version): PrintJob
    {
        return $this->change($job, $version, function (PrintJob $job): void {
            $next = $this->next($job);
            if ($next !== null) {
                $this->moveTo($job, $next, $next->read());
            }
        });
    }

    public function canRedo(PrintJob $job): bool
    {
        return $this->next($job) !== null;
    }

    /** The newest revision that was made from the current one. */
    private function next(PrintJob $job): ?Revision
    {
        return Revision::query()->where('parent_id', $job->head_id)->where('print_job_id', $job->id)->orderByDesc('id')->first();
    }

    private function moveTo(PrintJob $job, Revision $revision, Artwork $artwork): void
    {
        $job->head_id = $revision->id;
        $job->version++;
        $job->title = $artwork->title;
        $job->save();
        $this->printed->renew($job, $artwork);
        $job->setRelation('head', $revision);
    }

    /** @param  \Closure(PrintJob): void  $work */
    private function change(PrintJob $job, int $version, \Closure $work): PrintJob
    {
        return Saving::once(function () use ($job, $version, $work): PrintJob {
            $fresh = PrintJob::query()->with('head')->findOrFail($job->id);
            if ($fresh->version !== $version) {
                throw StaleVersion::of($fresh->version);
            }
            $work($fresh);
            $this->key->remember($fresh);

            return $fresh;
        });
    }
}
