<?php

declare(strict_types=1);

namespace App\Bench;

use App\Files\ShopFiles;
use App\Http\Answers\JobCard;
use App\Models\Export;
use App\Models\PrintJob;
use App\Models\Revision;
use App\Models\Shop;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Log;
use TallCrow\Artwork\ArtworkInvalid;

/** Lists and deletes the jobs of a shop. */
final class Jobs
{
    /** Number of sheets read at a time. */
    private const AT_ONCE = 100;

    /** @return list<JobCard> the newest first; a job whose sheet cannot be read says so and is noted in the log */
    public function cards(Shop $shop): array
    {
        $cards = [];
        $jobs = $shop->jobs()->with('head:id,shop_id,facts')->withCount(['exports' => fn ($query) => $query->where('state', 'done')])->orderByDesc('updated_at')->get();
        $facts = self::facts(array_values(array_filter($jobs->map(fn (PrintJob $job): ?Revision => $job->head)->all())));
        foreach ($jobs as $job) {
            $own = $facts[$job->head_id] ?? null;
            $exports = $job->getAttribute('exports_count');
            $cards[] = $own === null ? JobCard::unreadable($job) : JobCard::of($job, $own, is_int($exports) ? $exports : 0);
        }

        return $cards;
    }

    /**
     * What is kept of some sheets; of those of which nothing is, found anew and kept.
     *
     * @param  list<Revision>  $heads  without their sheets
     * @return array<int, SheetFacts> by revision, without those that cannot be read
     */
    private static function facts(array $heads): array
    {
        $facts = array_filter(array_column(array_map(fn (Revision $head): array => [$head->id, SheetFacts::read($head->facts)], $heads), 1, 0));
        $left = array_values(array_filter(array_unique(array_map(fn (Revision $head): int => $head->id, $heads)), fn (int $id): bool => ! isset($facts[$id])));
        foreach (array_chunk($left, self::AT_ONCE) as $ids) {
            $found = [];
            foreach (Revision::query()->whereKey($ids)->get() as $revision) {
                try {
                    $found[$revision->id] = SheetFacts::of($revision->read());
                } catch (ArtworkInvalid $invalid) {
                    Log::error('A saved sheet cannot be read.', ['job' => $revision->print_job_id, 'revision' => $revision->id, 'faults' => count($invalid->faults)]);
                }
            }
            self::keep($found);
            $facts += $found;
        }

        return $facts;
    }

    /**
     * In one go, and no change of the revisions, whose times stay.
     *
     * @param  array<int, SheetFacts>  $facts  by revision
     */
    private static function keep(array $facts): void
    {
        if ($facts === []) {
            return;
        }
        [$cases, $values] = ['', []];
        foreach ($facts as $id => $own) {
            $cases .= ' WHEN ? THEN ?';
            array_push($values, $id, $own->toJson());
        }
        DB::update("UPDATE revisions SET facts = CASE id$cases END WHERE id IN (".implode(', ', array_fill(0, count($facts), '?')).')', [...$values, ...array_keys($facts)]);
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
