<?php

declare(strict_types=1);

namespace TallCrow\Rights;

/** A font or picture that contributes to a sheet's print. */
final readonly class PrintedFile
{
    /**
     * @param  list<PrintedAs>  $ways
     * @param  list<string>  $layers  names of the layers that use it; empty if only the sheet's wear does
     * @param  bool  $unaltered  whether the picture alone is the whole print, without changes
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
