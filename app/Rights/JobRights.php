<?php

declare(strict_types=1);

namespace App\Rights;

use App\Models\Asset;
use App\Models\Export;
use App\Models\ExportState;
use App\Models\PrintJob;
use App\Models\WatchedPhrase;
use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Rights\Caution;
use TallCrow\Rights\Credits;
use TallCrow\Rights\Judge;
use TallCrow\Rights\Judgement;
use TallCrow\Rights\PrintedFile;
use TallCrow\Rights\PrintedFiles;
use TallCrow\Rights\Ruling;
use TallCrow\Rights\Usage;
use TallCrow\Rights\Watched;
use TallCrow\Rights\WatchList;

/** The rights report of one revision, from the terms stated by the shop. */
final readonly class JobRights
{
    /**
     * @param  list<array{asset: ?Asset, judgement: Judgement}>  $pieces  the gravest first
     * @param  list<array{Watched, string}>  $watched
     * @param  list<Caution>  $cautions
     * @param  list<string>  $turned  what is judged otherwise now than when a file was last made
     */
    private function __construct(
        public Usage $usage,
        public Ruling $ruling,
        public array $pieces,
        public array $watched,
        public array $cautions,
        public array $turned,
    ) {}

    public static function of(PrintJob $job, Artwork $artwork, SalesBook $sales): self
    {
        $usage = Usages::of($job, $artwork->brief->method);
        $files = PrintedFiles::of($artwork);
        $held = Asset::query()->where('shop_id', $job->shop_id)->whereIn('file', array_map(fn (PrintedFile $file): string => $file->name, $files))->with('licence.proofs')->get()->keyBy('file');
        $pieces = array_map(function (PrintedFile $file) use ($held, $job, $sales, $usage): array {
            $asset = $held->get($file->name);

            return ['asset' => $asset, 'judgement' => Judge::rule($usage, $file, $asset?->licence?->terms(), $sales->counts($job, $file->name, $asset?->licence_id), now()->toDateTimeImmutable())];
        }, $files);
        $order = Ruling::cases();
        usort($pieces, fn (array $a, array $b): int => array_search($b['judgement']->ruling, $order, true) <=> array_search($a['judgement']->ruling, $order, true));
        $words = self::words($artwork);
        $watched = WatchList::found($words, array_values(WatchedPhrase::query()->where('shop_id', $job->shop_id)->get()->map(fn (WatchedPhrase $one): Watched => $one->watched())->all()));
        $ruling = array_reduce($pieces, fn (Ruling $ruling, array $one): Ruling => $ruling->worse($one['judgement']->ruling), $watched === [] ? Ruling::Allowed : Ruling::Look);

        return new self($usage, $ruling, $pieces, $watched, Caution::of($words), self::turned($job, $pieces));
    }

    public function credits(): string
    {
        return Credits::text(array_map(fn (array $one): array => [
            'title' => $one['asset']->title ?? $one['judgement']->file->name, 'author' => $one['asset']->licence_author ?? '', 'url' => $one['asset']->licence_url ?? '', 'judgement' => $one['judgement'],
        ], $this->pieces));
    }

    /** @return array<string, string> ruling by file, as it is kept with what is made now */
    public function rulings(): array
    {
        return array_combine(
            array_map(fn (array $one): string => $one['judgement']->file->name, $this->pieces),
            array_map(fn (array $one): string => $one['judgement']->ruling->value, $this->pieces),
        );
    }

    /** All words on the sheet, one text per line. */
    private static function words(Artwork $artwork): string
    {
        $live = function (Layer $layer) use (&$live): array {
            return ! $layer->on ? [] : [$layer->words()->text ?? '', ...array_merge([], ...array_map($live, $layer->children()))];
        };

        return implode("\n", array_filter(array_merge([], ...array_map($live, $artwork->layers))));
    }

    /**
     * @param  list<array{asset: ?Asset, judgement: Judgement}>  $pieces
     * @return list<string>
     */
    private static function turned(PrintJob $job, array $pieces): array
    {
        $last = Export::query()->where('print_job_id', $job->id)->where('state', ExportState::Done)->whereNotNull('rulings')->orderByDesc('id')->first();
        if ($last === null) {
            return [];
        }
        $turned = [];
        foreach ($pieces as $one) {
            $before = Ruling::tryFrom($last->rulings[$one['judgement']->file->name] ?? '');
            if ($before !== null && $before !== $one['judgement']->ruling) {
                $turned[] = sprintf('%s was "%s" when a file was made on %s, and is "%s" now.', $one['asset']->title ?? $one['judgement']->file->name, $before->says(), $last->created_at->format('j F Y'), $one['judgement']->ruling->says());
            }
        }

        return $turned;
    }
}
