<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Models\Series;

/** The pattern of a series. */
final readonly class SeriesCard extends Answer
{
    /** @param  list<SeriesSlot>  $slots */
    public function __construct(
        public int $id,
        public string $title,
        public array $slots,
        public int $rows,
    ) {}

    public static function of(Series $series): self
    {
        $pattern = $series->read();

        return new self($series->id, $pattern->title, array_map(SeriesSlot::of(...), $pattern->slots), $series->rows()->count());
    }
}
