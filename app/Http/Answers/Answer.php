<?php

declare(strict_types=1);

namespace App\Http\Answers;

use Illuminate\Contracts\Support\Responsable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/**
 * What the API answers with. The properties of these classes are the one description of it: docs/api.schema.json and
 * the types of the interface are made from them (php artisan crow:schema).
 */
abstract readonly class Answer implements \JsonSerializable, Responsable
{
    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return get_object_vars($this);
    }

    /** @param  Request  $request */
    public function toResponse($request): JsonResponse
    {
        return new JsonResponse($this);
    }

    public function created(): JsonResponse
    {
        return new JsonResponse($this, 201);
    }
}
