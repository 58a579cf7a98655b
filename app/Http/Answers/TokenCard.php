<?php

declare(strict_types=1);

namespace App\Http\Answers;

use Laravel\Sanctum\PersonalAccessToken;

/** A personal token, without its secret. */
final readonly class TokenCard extends Answer
{
    /** @param  list<string>  $scopes */
    public function __construct(
        public int $id,
        public string $name,
        public array $scopes,
        public string $madeAt,
        public ?string $usedAt,
    ) {}

    public static function of(PersonalAccessToken $token): self
    {
        return new self($token->id, $token->name, array_values($token->abilities ?? []), $token->created_at?->toIso8601String() ?? '', $token->last_used_at?->toIso8601String());
    }
}
