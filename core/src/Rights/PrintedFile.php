<?php

declare(strict_types=1);

namespace TallCrow\Rights;

/** A font or picture that a sheet prints, or that shapes what it prints. */
final readonly class PrintedFile
{
    /**
     * @param  list<PrintedAs>  $ways
     * @param  list<string>  $layers  what the layers are called that it stands on; empty for wear of the whole sheet
     * @param  bool  $unaltered  a picture that is all of the print: uncut, uncoloured, unworn
     */
    public function __construct(
        public string $name,
        public array $ways,
        public array $layers,
        public bool $unaltered = false,
    ) {}

    public function isFont(): bool
    {
        return $this->ways === [PrintedAs::Font];
    }
}
