<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\EffectReader;
use TallCrow\Artwork\Faults;
use TallCrow\Artwork\Node;

/** Lines that a mend adds: what it does not name is as usual. */
final class Lines
{
    /** @param  array<string, mixed>  $values */
    public static function of(string $kind, array $values): EffectLine
    {
        return EffectReader::ofAnySwatch()->line(Node::root(['kind' => $kind] + $values, new Faults));
    }
}
