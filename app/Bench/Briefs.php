<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\PrintJob;
use App\Models\Revision;
use App\Models\Shop;
use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Brief;
use TallCrow\Artwork\Sheet;
use TallCrow\Measure\PrintArea;
use TallCrow\Measure\Refit;

/** Creates jobs from a brief, and changes the brief of existing jobs. */
final readonly class Briefs
{
    /** Greatest length of a title. */
    private const MOST_TITLE = 200;

    public function __construct(private Revisions $revisions) {}

    public function start(Shop $shop, PrintArea $area, Artwork $artwork): PrintJob
    {
        return Saving::once(function () use ($shop, $area, $artwork): PrintJob {
            $job = $shop->jobs()->create(['title' => $artwork->title, 'version' => 0] + self::columns($area))->refresh();

            return $this->revisions->save($job->load('head'), $job->version, $artwork);
        });
    }

    /** @param  ?Revision  $from  a saved state of the job; null for the present one */
    public function copy(Shop $shop, PrintJob $job, ?Revision $from = null): PrintJob
    {
        $artwork = ($from ?? $job->head)?->read() ?? abort(404, 'This job has no sheet to copy.');

        return $this->start($shop, $job->area(), $artwork->withBrief(mb_substr('Copy of '.$artwork->title, 0, self::MOST_TITLE), $artwork->brief));
    }

    /**
     * Changes the brief of a job. If the print area changes, the design is scaled to fit or keeps its printed size.
     *
     * @throws StaleVersion
     */
    public function rebrief(PrintJob $job, int $version, string $title, Brief $brief, PrintArea $area, bool $refit): PrintJob
    {
        return Saving::once(function () use ($job, $version, $title, $brief, $area, $refit): PrintJob {
            $artwork = $job->head?->read()->withBrief($title, $brief) ?? Artwork::blank($title, $brief, Sheet::of($area));
            if ($refit) {
                $artwork = $artwork->refitted($area);
            } elseif ($artwork->sheet != Sheet::of($area)) {
                $artwork = $artwork->laidOn(Sheet::of($area), Refit::sameSize($artwork->sheet->area(), $area));
            }
            $saved = $this->revisions->save($job, $version, $artwork);
            $saved->update(self::columns($area));

            return $saved;
        });
    }

    /** @return array<string, int|float|string> */
    private static function columns(PrintArea $area): array
    {
        return ['area_name' => $area->name, 'area_width' => $area->width, 'area_height' => $area->height, 'area_ppi' => $area->ppi->value];
    }
}
