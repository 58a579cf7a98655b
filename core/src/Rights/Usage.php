<?php

declare(strict_types=1);

namespace TallCrow\Rights;

use TallCrow\Artwork\PrintMethod;

/** The intended use of a design, stated in its brief. */
final readonly class Usage
{
    /**
     * @param  string  $where  marketplaces or shops, in the seller's words
     * @param  int  $units  expected number of shirts sold
     * @param  list<string>  $territories  countries; empty for worldwide
     * @param  int  $seats  number of people who work on it
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
