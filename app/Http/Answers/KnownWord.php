<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Models\ShopWord;

/** A word of the shop's own dictionary. */
final readonly class KnownWord extends Answer
{
    public function __construct(
        public int $id,
        public string $word,
    ) {}

    public static function of(ShopWord $word): self
    {
        return new self($word->id, $word->word);
    }
}
