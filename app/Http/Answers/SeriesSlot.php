<?php

declare(strict_types=1);

namespace App\Http\Answers;

use TallCrow\Series\Slot;

/** A slot of a pattern, with the constraints for its words. */
final readonly class SeriesSlot extends Answer
{
    /** @param  list<string>  $places */
    public function __construct(
        public string $name,
        public array $places,
        public ?SeriesFit $fit,
    ) {}

    public static function of(Slot $slot): self
    {
        return new self($slot->name, $slot->toArray()['places'], $slot->fit === null ? null : SeriesFit::of($slot->fit));
    }
}
