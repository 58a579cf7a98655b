<?php

declare(strict_types=1);

namespace App\Http\Requests;

use TallCrow\Edit\Operation;
use TallCrow\Edit\Operations;

/** Operations to apply in order to the given version. */
final class Operating extends VersionedChange
{
    /** @return list<Operation> */
    public function operations(): array
    {
        /** @var array{operations?: mixed} $body the unmodified body: spaces at the ends of words are kept */
        $body = json_decode($this->getContent(), true) ?? [];

        return Operations::read($body['operations'] ?? null);
    }
}
