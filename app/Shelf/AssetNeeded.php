<?php

declare(strict_types=1);

namespace App\Shelf;

/** An asset that cannot be removed because designs use it. */
final class AssetNeeded extends \DomainException
{
    /** @param  list<string>  $titles */
    public static function by(string $piece, array $titles): self
    {
        $named = implode(', ', array_map(fn (string $title): string => "\"$title\"", array_slice($titles, 0, 3))).(count($titles) > 3 ? sprintf(' and %d more', count($titles) - 3) : '');

        return new self(sprintf('%s is needed by %s. Take it out of %s first, or replace it by a better copy.', $piece, $named, count($titles) === 1 ? 'that design' : 'those designs'));
    }
}
