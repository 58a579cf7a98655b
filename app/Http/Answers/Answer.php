<?php

declare(strict_types=1);

namespace App\Http\Answers;

use Illuminate\Contracts\Support\Responsable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/**
 * A response of the API. The properties of these classes define its schema: docs/api.schema.json and
 * the types of the front end are generated from them (php artisan crow:schema).
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
