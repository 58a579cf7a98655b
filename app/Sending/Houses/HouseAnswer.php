<?php

declare(strict_types=1);

namespace App\Sending\Houses;

use TallCrow\House\FileFigures;

/** A house's reply about a file. */
final readonly class HouseAnswer
{
    /**
     * @param  string  $number  the house's own for this file
     * @param  list<string>  $reasons  why it is refused
     */
    public function __construct(
        public string $number,
        public HouseVerdict $verdict,
        public array $reasons,
        public FileFigures $measured,
    ) {}
}
