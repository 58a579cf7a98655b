<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Models\SeriesRow;

/** One shirt of a series. */
final readonly class SeriesRowCard extends Answer
{
    /**
     * @param  list<SlotValue>  $values  by slot
     * @param  list<SlotValue>  $changes  of this row alone, by place
     * @param  string  $verdict  pass, warn or fail; empty where it was not checked yet
     * @param  list<RowTold>  $told
     * @param  string  $key  changes when its picture does
     */
    public function __construct(
        public int $id,
        public int $position,
        public string $title,
        public array $values,
        public array $changes,
        public bool $frozen,
        public string $verdict,
        public array $told,
        public string $key,
    ) {}

    public static function of(SeriesRow $row, string $title, string $pattern): self
    {
        return new self(
            $row->id, $row->position, $title, SlotValue::all($row->values), SlotValue::all($row->changes ?? []), $row->frozen !== null, $row->verdict, array_map(fn (array $one): RowTold => new RowTold($one['grave'], $one['says']), $row->told ?? []),
            substr(sha1(serialize([$row->frozen ?? $pattern, $row->values, $row->changes])), 0, 12),
        );
    }
}
