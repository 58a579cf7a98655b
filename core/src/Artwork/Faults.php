<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

/**
 * Collects the faults found while reading a file.
 *
 * @internal
 */
final class Faults
{
    private const MOST = 100;

    /** @var list<Fault> */
    private array $found = [];

    public function add(Fault $fault): void
    {
        if (count($this->found) < self::MOST) {
            $this->found[] = $fault;
        }
    }

    /** @throws ArtworkInvalid if there is any */
    public function settle(): void
    {
        if ($this->found !== []) {
            throw new ArtworkInvalid($this->found);
        }
    }
}
