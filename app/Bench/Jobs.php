<?php

declare(strict_types=1);

namespace App\Bench;

use App\Files\ShopFiles;
use App\Http\Answers\JobCard;
use App\Models\Export;
use App\Models\PrintJob;
use App\Models\Revision;
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
        $jobs = $shop->jobs()->with('head:id,shop_id,facts')->withCount(['exports' => fn ($query) => $query->where('state', 'done')])->orderByDesc('updated_at')->get();
        foreach ($jobs as $job) {
            $head = $job->head;
            if ($head === null) {
                continue;
            }
            try {
                $exports = $job->getAttribute('exports_count');
                $cards[] = JobCard::of($job, SheetFacts::read($head->facts) ?? self::found($head), is_int($exports) ? $exports : 0);
            } catch (ArtworkInvalid $invalid) {
                $cards[] = JobCard::unreadable($job);
                Log::error('A saved sheet cannot be read.', ['job' => $job->id, 'revision' => $job->head_id, 'faults' => count($invalid->faults)]);
            }
        }

        return $cards;
    }

    /** @throws ArtworkInvalid */
    private static function found(Revision $head): SheetFacts
    {
        $facts = SheetFacts::of(Revision::query()->findOrFail($head->id)->read());
        // Not a change of the revision, whose time stays.
        Revision::query()->whereKey($head->id)->toBase()->update(['facts' => $facts->toJson()]);

        return $facts;
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
