<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Files\Csv;
use App\Http\Answers\ListingCard;
use App\Models\Listing;
use App\Models\PrintJob;
use App\Models\WatchedPhrase;
use App\Rights\JobRights;
use App\Rights\SalesBook;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use TallCrow\Export\PrintPng;
use TallCrow\Rights\WatchList;

/** Title, tags and description of a listing. */
final readonly class ListingTextController
{
    private const LIMIT = ['sometimes', 'nullable', 'integer', 'between:1,100000'];

    public function __construct(private SalesBook $sales) {}

    public function show(PrintJob $job): ListingCard
    {
        return $this->card($job, Listing::of($job));
    }

    public function update(Request $request, PrintJob $job): ListingCard
    {
        $request->validate([
            'title' => ['sometimes', 'nullable', 'string', 'max:500'], 'description' => ['sometimes', 'nullable', 'string', 'max:20000'], 'tags' => ['sometimes', 'nullable', 'array', 'list', 'max:200'], 'tags.*' => ['required', 'string', 'max:200'],
            'titleMost' => self::LIMIT, 'descriptionMost' => self::LIMIT, 'tagsMost' => self::LIMIT, 'tagMost' => self::LIMIT,
        ]);
        $listing = Listing::of($job);
        // An empty field means no limit.
        $most = fn (string $name): ?int => $request->filled($name) ? $request->integer($name) : null;
        /** @var list<string> $tags */
        $tags = $request->array('tags');
        $listing->fill([
            'title' => trim($request->string('title')->toString()), 'description' => $request->string('description')->toString(), 'tags' => array_values(array_filter(array_map(trim(...), $tags), fn (string $tag): bool => $tag !== '')),
            'limits' => ['title' => $most('titleMost'), 'description' => $most('descriptionMost'), 'tags' => $most('tagsMost'), 'tag' => $most('tagMost')],
        ])->save();

        return $this->card($job, $listing);
    }

    /** As CSV with one row, or as JSON. */
    public function file(PrintJob $job, string $kind): Response
    {
        $card = $this->card($job, Listing::of($job));
        $words = ['title' => $card->title, 'description' => $card->description, 'tags' => $card->tags, 'credits' => $card->credits];
        $name = pathinfo(PrintPng::fileName($job->title), PATHINFO_FILENAME)."-listing.$kind";
        if ($kind === 'csv') {
            $file = fopen('php://memory', 'w+b') ?: throw new \LogicException('No memory for a table.');
            Csv::row($file, array_keys($words));
            Csv::row($file, [$words['title'], $words['description'], implode(', ', $words['tags']), $words['credits']]);
            rewind($file);
            $body = (string) stream_get_contents($file);
        } else {
            $body = json_encode($words, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)."\n";
        }

        return response($body, 200, ['Content-Type' => $kind === 'csv' ? 'text/csv; charset=utf-8' : 'application/json', 'Content-Disposition' => "attachment; filename=\"$name\""]);
    }

    private function card(PrintJob $job, Listing $listing): ListingCard
    {
        $head = $job->head ?? abort(404);
        $words = implode("\n", [$listing->title, $listing->description, ...$listing->tags]);
        $watched = array_values(WatchedPhrase::query()->where('shop_id', $job->shop_id)->get()->map(fn (WatchedPhrase $one) => $one->watched())->all());

        return ListingCard::of($listing, JobRights::of($job, $head->read(), $this->sales)->credits(), array_map(fn (array $hit): string => "{$hit[0]->phrase} (here: {$hit[1]})", WatchList::found($words, $watched)));
    }
}
