<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answers\RightsReport;
use App\Http\Answers\SalesOfJob;
use App\Http\Answers\SalesRead;
use App\Http\Answers\UsageCard;
use App\Http\Answers\WatchedCard;
use App\Models\PrintJob;
use App\Models\Revision;
use App\Models\Shop;
use App\Models\WatchedPhrase;
use App\Rights\JobRights;
use App\Rights\RightsPaper;
use App\Rights\SalesBook;
use App\Rights\Usages;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Carbon;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** Rights reports of designs, and their inputs: usage, sales and the watch list. */
final readonly class RightsController
{
    public function __construct(private SalesBook $sales) {}

    public function show(Revision $revision): RightsReport
    {
        return RightsReport::of(JobRights::of($revision->job->load('shop'), $revision->read(), $this->sales));
    }

    /** The licence sheet of a design: its assets, their terms and proofs. */
    public function paper(Revision $revision, string $kind): Response
    {
        return RightsPaper::ofDesign($revision, $this->sales)->response($kind);
    }

    /** The licence sheet of the whole shop. */
    public function shopPaper(Shop $shop, string $kind): Response
    {
        return RightsPaper::ofShop($shop, $this->sales)->response($kind);
    }

    public function evidence(Revision $revision): BinaryFileResponse
    {
        return response()->download(RightsPaper::ofDesign($revision, $this->sales)->evidence(), 'evidence-'.$revision->id.'.zip', ['Content-Type' => 'application/zip'])->deleteFileAfterSend();
    }

    public function usage(Shop $shop): UsageCard
    {
        return UsageCard::of(Usages::ofShop($shop));
    }

    public function setUsage(Request $request, Shop $shop): UsageCard
    {
        $shop->update(['usage' => $request->validate(Usages::rules())]);

        return UsageCard::of(Usages::ofShop($shop));
    }

    public function setJobUsage(Request $request, PrintJob $job): UsageCard
    {
        $job->load(['shop', 'head'])->update(['usage' => $request->validate(Usages::rules())]);

        return UsageCard::of(Usages::of($job, ($job->head ?? abort(404))->read()->brief->method));
    }

    /** @return array<int, SalesOfJob> */
    public function sales(Shop $shop): array
    {
        return $shop->jobs()->withSum('sales', 'units')->withMax('sales', 'sold_on')->orderBy('title')->get()->map(function (PrintJob $job): SalesOfJob {
            [$units, $last] = [$job->getAttribute('sales_sum_units'), $job->getAttribute('sales_max_sold_on')];

            return new SalesOfJob($job->id, $job->title, is_numeric($units) ? (int) $units : 0, is_string($last) ? substr($last, 0, 10) : null);
        })->all();
    }

    public function sold(Request $request, PrintJob $job): JsonResponse
    {
        /** @var array{units: int|string, on: string} $asked */
        $asked = $request->validate(['units' => ['required', 'integer', 'between:-1000000,1000000', 'not_in:0'], 'on' => ['required', 'date_format:Y-m-d'], 'cloth' => ['sometimes', 'nullable', 'string', 'max:60'], 'house' => ['sometimes', 'nullable', 'string', 'max:120']], ['units.*' => 'Say how many shirts; below zero for what came back.', 'on.*' => 'Write the day as 2031-04-30.']);
        $this->sales->enter($job, (int) $asked['units'], Carbon::parse($asked['on']), $request->string('cloth')->trim()->toString(), $request->string('house')->trim()->toString());

        return (new SalesOfJob($job->id, $job->title, (int) $job->sales()->sum('units'), $asked['on']))->created();
    }

    public function readSales(Request $request, Shop $shop): JsonResponse
    {
        $request->validate(['file' => ['required', 'file', 'max:20000'], 'columns' => ['sometimes', 'array', 'max:3'], 'columns.*' => ['nullable', 'string', 'max:120']], ['file.required' => 'Choose a report.', 'file.max' => 'The report is larger than 20 MB.']);
        $file = $request->file('file');
        assert($file instanceof UploadedFile);
        /** @var array<string, string> $columns */
        $columns = array_filter((array) $request->input('columns', []), is_string(...));
        $read = $this->sales->read($shop, $file->getPathname(), $file->getClientOriginalName(), $columns);

        return (new SalesRead($read['taken'], $read['units'], $read['known'], $read['problems']))->created();
    }

    /** @return array<int, WatchedCard> */
    public function watched(Shop $shop): array
    {
        return $shop->watched()->orderBy('phrase')->get()->map(WatchedCard::of(...))->all();
    }

    public function watch(Request $request, Shop $shop): JsonResponse
    {
        /** @var array{phrase: string, note?: ?string, on?: ?string} $asked */
        $asked = $request->validate(['phrase' => ['required', 'string', 'min:2', 'max:120'], 'note' => ['sometimes', 'nullable', 'string', 'max:500'], 'on' => ['sometimes', 'nullable', 'date_format:Y-m-d']], ['phrase.required' => 'Write the name, mark or phrase.', 'on.date_format' => 'Write the day as 2031-04-30.']);

        return WatchedCard::of($shop->watched()->create(['phrase' => trim($asked['phrase']), 'note' => $asked['note'] ?? '', 'warned_on' => $asked['on'] ?? null]))->created();
    }

    public function unwatch(WatchedPhrase $watched): Response
    {
        $watched->delete();

        return response()->noContent();
    }
}
