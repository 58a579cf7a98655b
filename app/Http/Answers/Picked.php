<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** Layers that have ink at a point, topmost first. */
final readonly class Picked extends Answer
{
    /** @param  list<string>  $layers  ids */
    public function __construct(public array $layers) {}
}
