<?php

declare(strict_types=1);

namespace App\Bench;

use App\Files\ShopFiles;
use App\Http\Answers\JobCard;
use App\Models\Export;
use App\Models\PrintJob;
use App\Models\Shop;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Log;
use TallCrow\Artwork\ArtworkInvalid;

/** The jobs of a shop among one another. */
final class Jobs
{
    /** @return list<JobCard> the newest first; a job whose sheet cannot be read says so and is noted in the log */
    public function cards(Shop $shop): array
    {
        $cards = [];
        $jobs = $shop->jobs()->with('head')->withCount(['exports' => fn ($query) => $query->where('state', 'done')])->orderByDesc('updated_at')->get();
        foreach ($jobs as $job) {
            try {
                $artwork = $job->head?->read();
                $exports = $job->getAttribute('exports_count');
                if ($artwork !== null) {
                    $cards[] = JobCard::of($job, $artwork, is_int($exports) ? $exports : 0);
                }
            } catch (ArtworkInvalid $invalid) {
                $cards[] = JobCard::unreadable($job);
                Log::error('A saved sheet cannot be read.', ['job' => $job->id, 'revision' => $job->head_id, 'faults' => count($invalid->faults)]);
            }
        }

        return $cards;
    }

    /** With its revisions, its exports and their files. */
    public function throwAway(PrintJob $job): void
    {
        /** @var list<Export> $exports */
        $exports = $job->exports()->with('shop')->get()->all();
        $job->delete();
        foreach ($exports as $export) {
            ShopFiles::of($export->shop)->dropExport($export);
            File::deleteDirectory($export->scratch());
        }
    }
}
