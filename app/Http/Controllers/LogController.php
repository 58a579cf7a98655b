<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Files\Csv;
use App\Http\Answers\LogLine;
use App\Http\Answers\LogPage;
use App\Models\LogEntry;
use App\Models\Shop;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** What went where: searched, told as a table, and found again from a file. */
final class LogController
{
    private const PAGE = 50;

    public function index(Request $request, Shop $shop): LogPage
    {
        $request->validate(['q' => ['sometimes', 'nullable', 'string', 'max:200'], 'page' => ['sometimes', 'nullable', 'integer', 'between:1,100000']]);
        $found = $this->found($shop, $request->string('q')->trim()->toString())->paginate(self::PAGE, page: max(1, $request->integer('page', 1)));

        return new LogPage($found->total(), max(1, $found->lastPage()), array_values(array_map(LogLine::of(...), $found->items())));
    }

    /** As RFC 4180 has it; row by row, however long it is. */
    public function table(Request $request, Shop $shop): StreamedResponse
    {
        $request->validate(['q' => ['sometimes', 'nullable', 'string', 'max:200']]);
        $query = $this->found($shop, $request->string('q')->trim()->toString());

        return response()->streamDownload(function () use ($query): void {
            $out = fopen('php://output', 'wb') ?: throw new \RuntimeException('Nothing can be written.');
            Csv::row($out, ['at', 'title', 'file', 'house', 'place', 'width', 'height', 'ppi', 'bytes', 'failed', 'warned', 'held', 'why', 'who', 'sha256']);
            foreach ($query->lazy() as $one) {
                Csv::row($out, [$one->at->toIso8601String(), $one->title, $one->file, $one->house, $one->place, $one->width, $one->height, $one->ppi, $one->bytes, ...array_values($one->checks), $one->why, $one->who, $one->sha256]);
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
