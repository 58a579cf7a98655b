<?php

declare(strict_types=1);

namespace App\Http\Answers;

use TallCrow\House\Agreement;

/** A figure of a file, as written by us and as measured by a house. */
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
