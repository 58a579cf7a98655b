<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

final class ArtworkInvalid extends \DomainException
{
    /** @param  non-empty-list<Fault>  $faults */
    public function __construct(public readonly array $faults)
    {
        parent::__construct(implode('; ', array_slice($faults, 0, 5)).(count($faults) > 5 ? sprintf('; and %d more', count($faults) - 5) : ''));
    }
}
