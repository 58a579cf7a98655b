<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Bench\Studio;
use App\Models\Series;
use App\Models\SeriesRow;
use App\Sending\Destination;
use App\Series\SeriesBook;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use TallCrow\Artwork\Artwork;
use TallCrow\House\Fit;
use TallCrow\House\HouseDemands;
use TallCrow\Preflight\Finding;
use TallCrow\Preflight\Preflight;
use TallCrow\Preflight\Report;
use TallCrow\Preflight\Verdict;
use TallCrow\Render\Frame;
use TallCrow\Render\LayerTrouble;
use TallCrow\Series\Evenness;
use TallCrow\Series\Filled;
use TallCrow\Series\PatternInvalid;
use TallCrow\Series\RowNote;

/** Checks the rows of a series at print size, unchecked rows first; rows that have not changed since their check are skipped. */
final class CheckSeries implements ShouldQueue
{
    use Queueable;

    /** Seconds after which it requeues itself to let other jobs run. */
    private const WHILE = 20;

    private const SHARED = 'As in the pattern. ';

    public int $tries = 0;

    public int $maxExceptions = 3;

    public int $timeout = 0;

    public function __construct(private readonly int $series)
    {
        $this->onQueue(PreviewAsset::QUEUE);
    }

    public function handle(): void
    {
        $series = Series::query()->with(['job.head', 'job.shop'])->find($this->series);
        $revision = $series?->job->head;
        if ($series === null || $revision === null) {
            return;
        }
        $revision->setRelation('job', $series->job);
        $studio = Studio::of($series->job->shop);
        $filling = SeriesBook::filling($series, $revision, $studio->renderer->placer);
        $words = array_map(mb_strtolower(...), array_values(array_filter($series->job->shop->words()->pluck('word')->all(), is_string(...))));
        $shared = $this->shared($series, $revision->read(), $studio, $words);
        $began = microtime(true);
        [$made, $letters] = [[], []];
        foreach ($series->rows()->get() as $row) {
            try {
                $made[$row->id] = SeriesBook::filled($row, $series, $revision, $filling);
                $letters[$row->id] = $made[$row->id]->letters;
            } catch (PatternInvalid $invalid) {
                $row->update(['checked' => 'invalid', 'verdict' => Verdict::Fail->value, 'told' => [['grave' => true, 'says' => $invalid->getMessage()]]]);
            }
        }
        $uneven = Evenness::notes($letters);
        foreach ($series->rows()->get() as $row) {
            $filled = $made[$row->id] ?? null;
            if ($filled === null) {
                continue;
            }
            $notes = [...$filled->notes, ...($uneven[$row->id] ?? [])];
            $key = sha1(serialize([$filled->artwork, $notes, $series->job->destinations, $series->job->judged_by, $words]));
            if ($row->checked === $key) {
                continue;
            }
            if (microtime(true) - $began > self::WHILE) {
                self::dispatch($this->series);

                return;
            }
            $this->check($row, $filled, $notes, $series, $studio, $words, $shared, $key);
        }
    }

    /**
     * @param  list<RowNote>  $notes
     * @param  list<string>  $words
     * @param  list<string>  $shared  findings that the pattern itself has
     */
    private function check(SeriesRow $row, Filled $filled, array $notes, Series $series, Studio $studio, array $words, array $shared, string $key): void
    {
        $spelt = [...$words, ...array_map(mb_strtolower(...), preg_split('/[^\p{L}\p{M}\'’-]+/u', implode(' ', $row->values), -1, PREG_SPLIT_NO_EMPTY) ?: [])];
        $artwork = $filled->artwork;
        try {
            foreach ($this->report($artwork, $series, $studio, $spelt)->findings as $finding) {
                if ($finding->verdict !== Verdict::Pass && $finding->counts()) {
                    $notes[] = new RowNote($finding->verdict === Verdict::Fail, (in_array($finding->key, $shared, true) ? self::SHARED : '')."$finding->word: $finding->says");
                }
            }
        } catch (LayerTrouble $trouble) {
            $notes[] = new RowNote(true, $trouble->getMessage());
        }
        // Findings that the pattern itself has are corrected there; the verdict covers only what this row adds.
        $own = array_filter($notes, fn (RowNote $note): bool => ! str_starts_with($note->says, self::SHARED));
        $verdict = match (true) {
            array_filter($own, fn (RowNote $note): bool => $note->grave) !== [] => Verdict::Fail,
            $own !== [] => Verdict::Warn,
            default => Verdict::Pass,
        };
        // Notes that concern only this row come first.
        usort($notes, fn (RowNote $a, RowNote $b): int => [str_starts_with($a->says, self::SHARED), $b->grave] <=> [str_starts_with($b->says, self::SHARED), $a->grave]);
        $row->update(['checked' => $key, 'verdict' => $verdict->value, 'told' => array_map(fn (RowNote $note): array => ['grave' => $note->grave, 'says' => $note->says], $notes)]);
    }

    /** @param  list<string>  $words  that are spelt so */
    private function report(Artwork $artwork, Series $series, Studio $studio, array $words): Report
    {
        $fits = array_map(fn (Destination $to): Fit => $to->fit($artwork, $studio->renderer), Destination::judging($series->job));
        $printed = $studio->renderer->picture($artwork, Frame::sheet($artwork->sheet, $artwork->sheet->ppi->value))->settled();

        return Preflight::artwork($artwork, $studio->renderer, $studio->shelf, $series->job->area(), $printed, words: $words, demands: $fits === [] ? null : HouseDemands::strictest($fits, $artwork->brief->method));
    }

    /**
     * @param  list<string>  $words
     * @return list<string> keys of what does not hold on the pattern's own sheet; kept, since it is asked for with every few rows
     */
    private function shared(Series $series, Artwork $artwork, Studio $studio, array $words): array
    {
        $key = 'findings of a pattern '.sha1(serialize([$artwork, $series->job->destinations, $series->job->judged_by, $words]));
        $kept = $studio->pictures->text($key, function () use ($series, $artwork, $studio, $words): string {
            try {
                $findings = array_filter($this->report($artwork, $series, $studio, $words)->findings, fn (Finding $finding): bool => $finding->verdict !== Verdict::Pass);
            } catch (LayerTrouble) {
                $findings = [];
            }

            return json_encode(array_values(array_map(fn (Finding $finding): string => $finding->key, $findings)), JSON_THROW_ON_ERROR);
        });
        $keys = json_decode($kept, true);

        return array_values(array_filter(is_array($keys) ? $keys : [], is_string(...)));
    }
}
