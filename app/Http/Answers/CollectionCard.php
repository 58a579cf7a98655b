<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Models\Collection;
use Illuminate\Database\Eloquent\Collection as Collections;
use Illuminate\Support\Facades\DB;

/** A named collection of assets. */
final readonly class CollectionCard extends Answer
{
    public function __construct(
        public int $id,
        public string $name,
        public int $pieces,
    ) {}

    public static function of(Collection $collection): self
    {
        return self::all($collection->newCollection([$collection]))[0];
    }

    /**
     * The pieces of all are counted at once.
     *
     * @param  Collections<int, Collection>  $collections
     * @return list<self>
     */
    public static function all(Collections $collections): array
    {
        $counts = DB::table('collection_pieces')->join('assets', 'assets.id', '=', 'collection_pieces.asset_id')->whereNull('assets.binned_at')
            ->whereIn('collection_id', $collections->modelKeys())->groupBy('collection_id')->selectRaw('collection_id, count(*) as pieces')->pluck('pieces', 'collection_id');

        return array_values($collections->map(fn (Collection $one): self => new self($one->id, $one->name, is_numeric($counts[$one->id] ?? null) ? (int) $counts[$one->id] : 0))->all());
    }
}
