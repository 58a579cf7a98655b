<?php

declare(strict_types=1);

namespace App\Http\Answers;

use TallCrow\House\Agreement;

/** A figure of a file as we made it and as a house measured it. */
final readonly class FigurePair extends Answer
{
    public function __construct(
        public string $what,
        public string $ours,
        public string $theirs,
        public bool $differs,
    ) {}

    public static function of(Agreement $row): self
    {
        return new self($row->what, $row->ours, $row->theirs, $row->differs);
    }
}
