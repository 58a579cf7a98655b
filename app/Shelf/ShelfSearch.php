<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Models\Asset;
use App\Models\JobFile;
use App\Models\PrintJob;
use App\Models\Shop;
use App\Rights\SalesBook;
use App\Rights\Usages;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use TallCrow\Artwork\PrintMethod;
use TallCrow\Rights\Counts;
use TallCrow\Rights\FactName;
use TallCrow\Rights\Judge;
use TallCrow\Rights\PrintedAs;
use TallCrow\Rights\PrintedFile;
use TallCrow\Rights\Ruling;

/** A search of the shelf: words and filters. */
final readonly class ShelfSearch
{
    /** @param  array<string, mixed>  $asked  as rules() let it in */
    public function __construct(
        private Shop $shop,
        private array $asked,
    ) {}

    /** @return array<string, list<string>> */
    public static function rules(): array
    {
        return [
            'q' => ['sometimes', 'nullable', 'string', 'max:200'], 'kind' => ['sometimes', 'nullable', 'in:font,art'], 'genre' => ['sometimes', 'nullable', 'string', 'max:60'],
            'tag' => ['sometimes', 'nullable', 'string', 'max:60'], 'licence' => ['sometimes', 'nullable', 'integer'], 'used' => ['sometimes', 'nullable', 'in:yes,no'], 'for' => ['sometimes', 'nullable', 'integer'],
            'collection' => ['sometimes', 'nullable', 'integer'], 'favourite' => ['sometimes', 'nullable', 'boolean'], 'bin' => ['sometimes', 'nullable', 'boolean'], 'page' => ['sometimes', 'nullable', 'integer', 'between:1,100000'],
        ];
    }

    /** @return Builder<Asset> */
    public function found(SalesBook $sales): Builder
    {
        $found = Asset::query()->where('shop_id', $this->shop->id);
        $this->is('bin') ? $found->whereNotNull('binned_at') : $found->whereNull('binned_at');
        ShelfWords::find($found, $this->word('q'));
        foreach (['kind' => 'kind', 'genre' => 'genre'] as $asked => $column) {
            $this->word($asked) === '' ?: $found->where($column, $this->word($asked));
        }
        $this->word('tag') === '' ?: $found->whereJsonContains('tags', $this->word('tag'));
        $this->word('collection') === '' ?: $found->whereIn('id', DB::table('collection_pieces')->where('collection_id', (int) $this->word('collection'))->select('asset_id'));
        // 0 means "without a licence".
        $this->word('licence') === '' ?: ($this->word('licence') === '0' ? $found->whereNull('licence_id') : $found->where('licence_id', (int) $this->word('licence')));
        $this->is('favourite') ? $found->where('favourite', true) : null;
        $used = fn () => JobFile::query()->where('shop_id', $this->shop->id)->select('file');
        match ($this->word('used')) {
            'yes' => $found->whereIn('file', $used()),
            'no' => $found->whereNotIn('file', $used()),
            default => null,
        };
        $job = $this->word('for') === '' ? null : PrintJob::query()->with(['shop', 'head'])->find((int) $this->word('for'));
        $job === null ?: $this->allowed($found, $job, $sales);

        return $found->orderBy('kind')->orderBy('title')->orderBy('id');
    }

    /**
     * What the stated terms do not forbid for a job: judged once for each licence, and by count for pieces with a limit of their own.
     *
     * @param  Builder<Asset>  $found
     */
    private function allowed(Builder $found, PrintJob $job, SalesBook $sales): void
    {
        $usage = Usages::of($job, $job->head?->read()->brief->method ?? PrintMethod::DirectToGarment);
        $forbidden = [];
        foreach ($this->shop->licences()->with('proofs')->get() as $licence) {
            $terms = $licence->terms();
            $limit = $terms->fact(FactName::Sales);
            $first = $licence->assets()->value('file');
            $counts = $limit->value === 'each-asset' || ! is_string($first) ? new Counts : $sales->counts($job, $first, $licence->id);
            if (Judge::rule($usage, new PrintedFile('', [PrintedAs::Picture], []), $terms, $counts, now()->toDateTimeImmutable())->ruling === Ruling::NotAllowed) {
                $forbidden[] = $licence->id;
            } elseif ($limit->value === 'each-asset') {
                $spent = $licence->assets()->pluck('file')->filter(fn (mixed $file): bool => is_string($file) && $sales->ofAsset($this->shop, $file) >= (int) $limit->number);
                $found->whereNotIn('file', $spent->all());
            }
        }
        $found->where(fn ($query) => $query->whereNull('licence_id')->orWhereNotIn('licence_id', $forbidden));
    }

    private function word(string $name): string
    {
        $value = $this->asked[$name] ?? '';

        return is_scalar($value) ? trim((string) $value) : '';
    }

    private function is(string $name): bool
    {
        return in_array($this->word($name), ['1', 'true'], true);
    }
}
