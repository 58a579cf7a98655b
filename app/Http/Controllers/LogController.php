<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Files\Csv;
use App\Http\Answers\LogLine;
use App\Http\Answers\LogPage;
use App\Models\LogEntry;
use App\Models\LogEvent;
use App\Models\PrintJob;
use App\Models\Shop;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\Rule;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** The log of print files: search, CSV download, and finding the entry of a file. */
final class LogController
{
    private const PAGE = 50;

    public function index(Request $request, Shop $shop): LogPage
    {
        $request->validate(['q' => ['sometimes', 'nullable', 'string', 'max:200'], 'job' => ['sometimes', 'nullable', 'integer'], 'page' => ['sometimes', 'nullable', 'integer', 'between:1,100000']]);
        $found = $this->found($shop, $request->string('q')->trim()->toString())->when($request->filled('job'), fn (Builder $query) => $query->where('job_id', $request->integer('job')))->paginate(self::PAGE, page: max(1, $request->integer('page', 1)));

        return new LogPage($found->total(), max(1, $found->lastPage()), array_values(array_map(LogLine::of(...), $found->items())));
    }

    /** CSV (RFC 4180), streamed row by row. */
    public function table(Request $request, Shop $shop): StreamedResponse
    {
        $request->validate(['q' => ['sometimes', 'nullable', 'string', 'max:200']]);
        $query = $this->found($shop, $request->string('q')->trim()->toString());

        return response()->streamDownload(function () use ($query): void {
            $out = fopen('php://output', 'wb') ?: throw new \RuntimeException('Nothing can be written.');
            Csv::row($out, ['at', 'event', 'title', 'file', 'house', 'place', 'width', 'height', 'ppi', 'bytes', 'failed', 'warned', 'held', 'why', 'who', 'sha256', 'details']);
            foreach ($query->lazy() as $one) {
                Csv::row($out, [$one->at->toIso8601String(), $one->event->value, $one->title, $one->file, $one->house, $one->place, $one->width, $one->height, $one->ppi, $one->bytes, ...array_values($one->checks), $one->why, $one->who, $one->sha256, $one->details === null ? '' : json_encode($one->details, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES)]);
            }
            fclose($out);
        }, 'log.csv', ['Content-Type' => 'text/csv; charset=UTF-8']);
    }

    /**
     * Which job, version and house a file was: told by its content alone.
     *
     * @return list<LogLine> none where it is not a file of this shop, or was changed since
     */
    public function find(Request $request, Shop $shop): array
    {
        $request->validate(['file' => ['required', 'file', 'max:200000']], ['file.required' => 'Choose a file.', 'file.max' => 'The file is larger than 200 MB.']);
        $file = $request->file('file');
        assert($file instanceof UploadedFile);

        return array_values(LogEntry::query()->where('shop_id', $shop->id)->where('sha256', hash_file('sha256', $file->getPathname()))->orderByDesc('id')->limit(self::PAGE)->get()->map(LogLine::of(...))->all());
    }

    /** Adds a note about a listing: its price, or that it was taken down and why. Notes are never changed. */
    public function note(Request $request, PrintJob $job): JsonResponse
    {
        $request->validate([
            'event' => ['required', Rule::in([LogEvent::Listed->value, LogEvent::Priced->value, LogEvent::TakenDown->value])], 'where' => ['required', 'string', 'max:120'],
            'address' => ['required_if:event,listed', 'nullable', 'string', 'max:300', 'url:http,https'], 'price' => ['required_if:event,priced', 'nullable', 'string', 'max:40'],
            'reason' => ['required_if:event,taken-down', 'nullable', 'string', 'max:300'], 'on' => ['bail', 'required', 'string', 'date_format:Y-m-d', 'after:1990-01-01', 'before_or_equal:tomorrow'],
        ], [
            'where.required' => 'Say at which market.', 'address.required_if' => 'Say under which address it is listed.', 'address.url' => 'An address begins with https:// or http://.', 'price.required_if' => 'Say at what price.',
            'reason.required_if' => 'Say why it was taken down.', 'on.required' => 'Say on which day.', 'on.before_or_equal' => 'What is noted has happened already.',
        ]);
        $details = array_filter(['address' => $request->string('address')->toString(), 'price' => $request->string('price')->trim()->toString(), 'reason' => $request->string('reason')->trim()->toString()], fn (string $said): bool => $said !== '');
        $entry = LogEntry::query()->create([
            'shop_id' => $job->shop_id, 'title' => $job->title, 'job_id' => $job->id, 'revision_id' => $job->head_id, 'file' => '', 'sha256' => '', 'house' => $request->string('where')->trim()->toString(), 'width' => 0, 'height' => 0, 'ppi' => 0, 'bytes' => 0,
            'checks' => ['fail' => 0, 'warn' => 0, 'pass' => 0], 'who' => $request->user()->name ?? '', 'at' => $request->date('on') ?? now(), 'event' => $request->enum('event', LogEvent::class), 'details' => $details,
        ]);

        return LogLine::of($entry)->created();
    }

    /** @return Builder<LogEntry> */
    private function found(Shop $shop, string $words): Builder
    {
        $found = LogEntry::query()->where('shop_id', $shop->id)->orderByDesc('id');
        foreach (preg_split('/\s+/', $words, -1, PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
            $like = '%'.addcslashes($word, '%_\\').'%';
            $found->where(fn (Builder $any) => $any->where('title', 'like', $like)->orWhere('file', 'like', $like)->orWhere('house', 'like', $like)->orWhere('place', 'like', $like)->orWhere('sha256', 'like', "$word%"));
        }

        return $found;
    }
}
