<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Studio;
use App\Http\Answers\BatchCard;
use App\Http\Answers\ExportCard;
use App\Http\Answers\FitCard;
use App\Http\Answers\HouseCard;
use App\Http\Answers\HouseRead;
use App\Models\ExportState;
use App\Models\HouseRecord;
use App\Models\PrintJob;
use App\Models\Revision;
use App\Models\Shop;
use App\Sending\Destination;
use App\Sending\Sends;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Carbon;
use Illuminate\Validation\Rule;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use TallCrow\Export\PrintPng;
use TallCrow\House\AreasCsv;
use TallCrow\House\FitKeep;
use TallCrow\House\FitMode;
use TallCrow\House\Fitting;
use TallCrow\House\House;
use TallCrow\Raster\ImageFile;
use TallCrow\Render\Frame;
use TallCrow\Render\LayerTrouble;

/** Print houses: their requirements, fitting a design to them, and sending to all of them at once. */
final class HouseController
{
    private const MOST_BODY = 1_000_000;

    private const PICTURE = 320;

    /** @return array<int, HouseCard> */
    public function index(Shop $shop): array
    {
        return $shop->houses()->orderBy('name')->get()->map(HouseCard::of(...))->all();
    }

    public function store(Request $request, Shop $shop): JsonResponse
    {
        $house = $this->asked($request);

        return HouseCard::of($shop->houses()->create(['name' => $house->name, 'body' => HouseRecord::bodyOf($house)]))->created();
    }

    public function update(Request $request, HouseRecord $house): HouseCard
    {
        $asked = $this->asked($request);
        $house->update(['name' => $asked->name, 'body' => HouseRecord::bodyOf($asked)]);

        return HouseCard::of($house);
    }

    public function destroy(HouseRecord $house): Response
    {
        $house->delete();

        return response()->noContent();
    }

    public function file(HouseRecord $house): Response
    {
        return new Response(json_encode($house->house()->toArray(), JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)."\n", 200, ['Content-Type' => 'application/json', 'Content-Disposition' => 'attachment; filename="house.json"']);
    }

    public function areas(HouseRecord $house): Response
    {
        return new Response(AreasCsv::write($house->house()), 200, ['Content-Type' => 'text/csv; charset=UTF-8', 'Content-Disposition' => 'attachment; filename="areas.csv"']);
    }

    /** Imports places from a table; existing places are updated, others are kept. */
    public function readAreas(Request $request, HouseRecord $house): HouseRead
    {
        $request->validate(['file' => ['required', 'file', 'max:1000']], ['file.required' => 'Choose a table.', 'file.max' => 'The table is larger than 1 MB.']);
        $file = $request->file('file');
        assert($file instanceof UploadedFile);
        [$places, $wrong] = AreasCsv::read((string) file_get_contents($file->getPathname()));
        $held = $house->house();
        $byKey = [];
        foreach ([...$held->places, ...$places] as $place) {
            $byKey[$place->key()] = $place;
        }
        $next = House::data((new House($held->name, array_values($byKey), $held->names, $held->notes))->toArray());
        $house->update(['body' => HouseRecord::bodyOf($next)]);

        return new HouseRead(HouseCard::of($house), count($places), $wrong);
    }

    /** Sets the destinations of a job and how its design is fitted to them. */
    public function destine(Request $request, PrintJob $job): Response
    {
        /** @var array{destinations: list<array{house: int, place: string, mode: string, keep?: list<string>}>} $asked */
        $asked = $request->validate([
            'destinations' => ['present', 'array', 'max:'.Destination::MOST], 'destinations.*.house' => ['required', 'integer'],
            'destinations.*.place' => ['required', 'string', 'max:130'], 'destinations.*.mode' => ['required', Rule::enum(FitMode::class)],
            'destinations.*.keep' => ['sometimes', 'array', 'max:3'], 'destinations.*.keep.*' => ['distinct', Rule::enum(FitKeep::class)], 'judgedBy' => ['sometimes', 'nullable', 'string', 'max:150'],
        ]);
        $job->update(['destinations' => $asked['destinations'], 'judged_by' => $request->has('judgedBy') ? $request->string('judgedBy')->toString() : $job->judged_by]);

        return response()->noContent();
    }

    /**
     * The design at each place that the job goes to.
     *
     * @return list<FitCard>
     */
    public function fits(Revision $revision): array
    {
        $job = $revision->job->load('shop');
        $studio = Studio::of($job->shop);
        $artwork = $revision->read();

        return array_map(fn (Destination $to): FitCard => FitCard::of($to, $to->fit($artwork, $studio->renderer), $artwork->title, $job->judged_by), Destination::of($job));
    }

    public function fitPicture(Request $request, Revision $revision): Response
    {
        /** @var array{house: int|string, place: string, mode: string, keep?: list<string>} $asked */
        $asked = $request->validate(['house' => ['required', 'integer'], 'place' => ['required', 'string', 'max:130'], 'mode' => ['required', Rule::enum(FitMode::class)], 'keep' => ['sometimes', 'array', 'max:3'], 'keep.*' => ['distinct', Rule::enum(FitKeep::class)]]);
        $record = HouseRecord::query()->where('shop_id', $revision->shop_id)->find((int) $asked['house']) ?? abort(404, 'That house is not known any more.');
        $to = Destination::at($record, $asked['place'], Fitting::told($asked)) ?? abort(404, 'That house has no such place any more.');
        $studio = Studio::of($revision->job->load('shop')->shop);
        $fitted = $to->fit($revision->read(), $studio->renderer)->artwork;
        $ppi = min(60.0, self::PICTURE / max($fitted->sheet->box()->width(), $fitted->sheet->box()->height()));
        $picture = $studio->renderer->picture($fitted, Frame::sheet($fitted->sheet, max(10.0, $ppi)), fn (LayerTrouble $trouble): null => null);

        return new Response(ImageFile::png($to->place->mirrored ? $picture->mirroredAcross() : $picture), 200, ['Content-Type' => 'image/png', 'Cache-Control' => 'private, max-age=60']);
    }

    /** Makes all files that the houses require in one batch. */
    public function send(Request $request, PrintJob $job, Sends $sends): JsonResponse
    {
        $request->validate(['why' => ['sometimes', 'nullable', 'string', 'max:500'], 'fewerColours' => ['sometimes', 'boolean']]);
        $exports = $sends->begin($job->load(['head', 'shop']), $request->string('why')->toString(), $request->boolean('fewerColours'));

        return new JsonResponse(array_map(ExportCard::of(...), $exports), 201);
    }

    public function again(PrintJob $job, string $batch, Sends $sends): JsonResponse
    {
        return new JsonResponse(array_map(ExportCard::of(...), $sends->again($job, $batch)), 201);
    }

    /** @return list<BatchCard> the sends of a job, the newest first */
    public function batches(PrintJob $job): array
    {
        $rows = $job->exports()->where('batch', '<>', '')->toBase()->select('batch', 'state')->selectRaw('count(*) as files, min(created_at) as begun, max(id) as last')->groupBy('batch', 'state')->get();
        $all = [];
        foreach ($rows->groupBy('batch')->sortByDesc(fn ($of) => $of->max('last'))->take(50) as $batch => $of) {
            $count = function (ExportState ...$states) use ($of): int {
                $sum = $of->whereIn('state', array_map(fn (ExportState $state): string => $state->value, $states))->sum('files');

                return is_numeric($sum) ? (int) $sum : 0;
            };
            $begun = $of->min('begun');
            $files = $of->sum('files');
            $all[] = new BatchCard(
                (string) $batch, is_numeric($files) ? (int) $files : 0, $count(ExportState::Done), $count(ExportState::Queued, ExportState::Running, ExportState::Cancelling), $count(ExportState::Paused), $count(ExportState::Failed, ExportState::Cancelled),
                Carbon::parse(is_string($begun) ? $begun : 'now')->toIso8601String(),
            );
        }

        return $all;
    }

    public function pause(PrintJob $job, string $batch, Sends $sends): Response
    {
        $sends->pause($job, $batch);

        return response()->noContent();
    }

    public function resume(PrintJob $job, string $batch, Sends $sends): Response
    {
        $sends->resume($job, $batch);

        return response()->noContent();
    }

    /** The finished files of one batch as a zip. */
    public function zip(PrintJob $job, string $batch, Sends $sends): BinaryFileResponse
    {
        return response()->download($sends->zip($job->load('shop'), $batch), pathinfo(PrintPng::fileName($job->title), PATHINFO_FILENAME).'.zip', ['Content-Type' => 'application/zip'])->deleteFileAfterSend();
    }

    private function asked(Request $request): House
    {
        $request->validate(['house' => ['required', 'string', 'max:'.self::MOST_BODY]], ['house.required' => 'A house is needed.']);

        return House::json($request->string('house')->toString());
    }
}
