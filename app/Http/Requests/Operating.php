<?php

declare(strict_types=1);

namespace App\Http\Requests;

use TallCrow\Edit\Operation;
use TallCrow\Edit\Operations;

/** Operations, in order, on the version that is named. */
final class Operating extends VersionedChange
{
    /** @return list<Operation> */
    public function operations(): array
    {
        /** @var array{operations?: mixed} $body the body as it came: words keep their blanks */
        $body = json_decode($this->getContent(), true) ?? [];

        return Operations::read($body['operations'] ?? null);
    }
}
