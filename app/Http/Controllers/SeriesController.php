<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Proof;
use App\Files\Csv;
use App\Http\Answers\ExportCard;
use App\Http\Answers\RowsRead;
use App\Http\Answers\SeriesCard;
use App\Http\Answers\SeriesPlace;
use App\Http\Answers\SeriesRowCard;
use App\Jobs\CheckSeries;
use App\Models\PrintJob;
use App\Models\Series;
use App\Models\SeriesRow;
use App\Sending\Sends;
use App\Series\SeriesBook;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Cache;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\StreamedResponse;
use TallCrow\Artwork\ArtworkInvalid;
use TallCrow\Listing\SceneSheet;
use TallCrow\Series\MadeList;
use TallCrow\Series\Pattern;
use TallCrow\Series\PatternInvalid;
use TallCrow\Series\Places;
use TallCrow\Series\RowTable;

/** Series: a job as pattern, a list of values, and the resulting shirts. */
final class SeriesController
{
    /** Least number of seconds between checks started by opening the page. */
    private const AGAIN = 60;

    /** @return list<SeriesCard> one, or none where the job is no pattern yet */
    public function show(PrintJob $job): array
    {
        return array_values(Series::query()->where('shop_id', $job->shop_id)->where('print_job_id', $job->id)->get()->map(SeriesCard::of(...))->all());
    }

    /** @return list<SeriesPlace> */
    public function places(PrintJob $job): array
    {
        $artwork = $job->load('head')->head?->read();

        return $artwork === null ? [] : array_map(fn (array $one): SeriesPlace => new SeriesPlace($one['place'], $one['says'], $one['value']), Places::of($artwork));
    }

    public function set(Request $request, PrintJob $job): SeriesCard
    {
        $request->validate(['pattern' => ['required', 'string', 'max:100000']]);
        try {
            $pattern = Pattern::json($request->string('pattern')->toString());
        } catch (PatternInvalid|ArtworkInvalid $invalid) {
            throw ValidationException::withMessages(['pattern' => $invalid->getMessage()]);
        }
        $series = SeriesBook::set($job->load('head'), $pattern);
        CheckSeries::dispatch($series->id);

        return SeriesCard::of($series);
    }

    public function destroy(PrintJob $job): Response
    {
        $this->series($job)->delete();

        return response()->noContent();
    }

    /** @return list<SeriesRowCard> in their order */
    public function rows(PrintJob $job): array
    {
        $series = $this->series($job);
        $revision = $job->load('head')->head ?? abort(422);
        [$pattern, $title, $key] = [$series->read(), $revision->read()->title, "$revision->id {$series->updated_at}"];

        $rows = $series->rows()->get();
        // Rows whose check was lost are checked when the page is opened.
        if ($rows->contains('verdict', '') && Cache::add("check of series $series->id", true, self::AGAIN)) {
            CheckSeries::dispatch($series->id);
        }

        return array_values($rows->map(fn (SeriesRow $row): SeriesRowCard => SeriesRowCard::of($row, $pattern->called($row->values, $title, $row->position), $key))->all());
    }

    /** Imports rows from a table: typed, pasted or from a file. */
    public function read(Request $request, PrintJob $job): RowsRead
    {
        $request->validate(['table' => ['required', 'string', 'max:2000000'], 'instead' => ['sometimes', 'boolean'], 'columns' => ['sometimes', 'array', 'max:30'], 'columns.*' => ['nullable', 'string', 'max:200']], ['table.required' => 'The list is empty.']);
        $series = $this->series($job);
        $cells = RowTable::cells($request->string('table')->toString());
        $columns = array_filter($request->array('columns'), is_string(...));
        /** @var array<string, string> $columns */
        $read = RowTable::read($cells, $series->read()->slots, $columns);
        $taken = SeriesBook::add($series, $read['rows'], $request->boolean('instead'));
        CheckSeries::dispatch($series->id);

        return new RowsRead($taken, array_slice($read['problems'], 0, 100), array_slice($cells[0] ?? [], 0, 50));
    }

    /** Makes rows from a built-in list or typed values: on their own, or each existing row combined with each value. */
    public function make(Request $request, PrintJob $job): RowsRead
    {
        $request->validate([
            'slot' => ['required', 'string', 'max:60'], 'list' => ['sometimes', 'nullable', Rule::enum(MadeList::class)], 'values' => ['sometimes', 'nullable', 'string', 'max:20000'],
            'from' => ['sometimes', 'nullable', 'integer', 'between:-10000,10000'], 'to' => ['sometimes', 'nullable', 'integer', 'between:-10000,10000'], 'cross' => ['sometimes', 'boolean'],
        ]);
        $series = $this->series($job);
        $slot = $request->string('slot')->toString();
        in_array($slot, array_column($series->read()->slots, 'name'), true) || throw ValidationException::withMessages(['slot' => 'There is no such slot.']);
        $list = $request->enum('list', MadeList::class);
        $values = $list === null
            ? array_values(array_filter(array_map(trim(...), preg_split('/[\r\n,;]+/', $request->string('values')->toString()) ?: []), fn (string $value): bool => $value !== '' && mb_strlen($value) <= 300))
            : $list->values($request->filled('from') ? $request->integer('from') : 1, $request->filled('to') ? $request->integer('to') : 10);
        $values !== [] || throw ValidationException::withMessages(['values' => 'Say at least one value.']);
        /** @var list<array<string, string>> $held */
        $held = $series->rows()->get()->map(fn (SeriesRow $row): array => $row->values)->all();
        $rows = $request->boolean('cross') ? MadeList::crossed($held, $slot, $values) : array_map(fn (string $value): array => [$slot => $value], $values);
        $taken = SeriesBook::add($series, $rows, $request->boolean('cross'));
        CheckSeries::dispatch($series->id);

        return new RowsRead($taken, [], []);
    }

    /** Changes one row, freezes it in its present state, or lets it follow the pattern again. */
    public function change(Request $request, SeriesRow $row): SeriesRowCard
    {
        $request->validate([
            'values' => ['sometimes', 'array', 'max:30'], 'values.*' => ['nullable', 'string', 'max:300'], 'changes' => ['sometimes', 'array', 'max:60'], 'changes.*' => ['nullable', 'string', 'max:300'], 'frozen' => ['sometimes', 'boolean'],
        ]);
        $series = $row->load('series.job.head')->series;
        $revision = $series->job->head ?? abort(422);
        $revision->setRelation('job', $series->job);
        $texts = fn (string $key): array => array_map(fn (mixed $one): string => is_scalar($one) ? (string) $one : '', $request->array($key));
        if ($request->has('values')) {
            $row->values = array_intersect_key($texts('values'), array_flip(array_column($series->read()->slots, 'name')));
        }
        if ($request->has('changes')) {
            $row->changes = $texts('changes') === [] ? null : $texts('changes');
        }
        try {
            $artwork = SeriesBook::artwork($row, $revision);
        } catch (PatternInvalid $invalid) {
            throw ValidationException::withMessages(['values' => $invalid->getMessage()]);
        }
        if ($request->has('frozen')) {
            $row->frozen = $request->boolean('frozen') ? json_encode($artwork->toArray(), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE) : null;
        }
        $row->save();
        CheckSeries::dispatch($series->id);

        return SeriesRowCard::of($row, SeriesBook::title($row, $series, $revision), "$revision->id {$series->updated_at}");
    }

    public function drop(SeriesRow $row): Response
    {
        $row->delete();

        return response()->noContent();
    }

    public function proof(Request $request, SeriesRow $row): Response
    {
        $series = $row->load('series.job.head')->series;
        $revision = $series->job->head ?? abort(404);
        $revision->setRelation('job', $series->job->load('shop'));
        try {
            $artwork = SeriesBook::artwork($row, $revision);
        } catch (PatternInvalid $invalid) {
            abort(422, $invalid->getMessage());
        }
        $png = Proof::of($revision, min(100.0, $request->float('ppi', 20)), near: false)->trying($artwork)->sheet(null);

        return new Response($png, 200, ['Content-Type' => 'image/png']);
    }

    /** Sends every row to every house of the job as one batch. */
    public function send(Request $request, PrintJob $job, Sends $sends): JsonResponse
    {
        $request->validate(['why' => ['sometimes', 'nullable', 'string', 'max:500'], 'fewerColours' => ['sometimes', 'boolean'], 'scene' => ['sometimes', 'nullable', Rule::in(array_keys(SceneSheet::all()))]]);
        $series = $this->series($job->load(['head', 'shop']));

        return new JsonResponse(array_map(ExportCard::of(...), array_slice($sends->series($job, $series, $request->string('why')->toString(), $request->boolean('fewerColours'), $request->filled('scene') ? $request->string('scene')->toString() : null), 0, 20)), 201);
    }

    /** The listing texts of each row with slots filled, and the required credits. */
    public function words(PrintJob $job, ListingTextController $texts): StreamedResponse
    {
        $series = $this->series($job->load('head'));
        $revision = $job->head ?? abort(422);
        $words = $texts->show($job);

        return response()->streamDownload(function () use ($series, $revision, $words): void {
            $out = fopen('php://output', 'wb') ?: throw new \RuntimeException('Nothing can be written.');
            Csv::row($out, ['shirt', 'title', 'description', 'tags', 'credits']);
            foreach ($series->rows()->get() as $row) {
                $said = fn (string $text): string => Pattern::worded($text, $row->values);
                Csv::row($out, [SeriesBook::title($row, $series, $revision), $said($words->title), $said($words->description), implode(', ', array_map($said, $words->tags)), $words->credits]);
            }
            fclose($out);
        }, 'series-listing.csv', ['Content-Type' => 'text/csv; charset=UTF-8']);
    }

    private function series(PrintJob $job): Series
    {
        return Series::query()->where('shop_id', $job->shop_id)->where('print_job_id', $job->id)->first() ?? abort(404, 'This job is no pattern yet.');
    }
}
