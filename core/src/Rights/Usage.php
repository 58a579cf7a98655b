<?php

declare(strict_types=1);

namespace TallCrow\Rights;

use TallCrow\Artwork\PrintMethod;

/** What a design is to be used for, stated once in its brief. */
final readonly class Usage
{
    /**
     * @param  string  $where  markets or shops, in the seller's words
     * @param  int  $units  shirts that are expected to be sold
     * @param  list<string>  $territories  countries; none for everywhere
     * @param  int  $seats  people who work on it
     */
    public function __construct(
        public string $where = '',
        public PrintMethod $method = PrintMethod::DirectToGarment,
        public int $units = 100,
        public array $territories = [],
        public int $seats = 1,
        public bool $asMark = false,
    ) {}
}
