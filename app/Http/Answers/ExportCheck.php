<?php

declare(strict_types=1);

namespace App\Http\Answers;

use TallCrow\Preflight\Verdict;

/** One check result, stored when the print file was made. */
final readonly class ExportCheck extends Answer
{
    public function __construct(
        public string $key,
        public string $word,
        public Verdict $verdict,
        public string $figure,
        public string $says,
    ) {}

    /** @param  array{key: string, word: string, verdict: string, figure: string, says: string}  $kept */
    public static function kept(array $kept): self
    {
        return new self($kept['key'], $kept['word'], Verdict::from($kept['verdict']), $kept['figure'], $kept['says']);
    }
}
