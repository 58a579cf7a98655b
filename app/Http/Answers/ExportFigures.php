<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** Figures of a finished print file. */
final readonly class ExportFigures extends Answer
{
    /**
     * @param  list<float>  $inches  width and height
     * @param  list<ExportCheck>  $checks  that were run on this very file
     */
    public function __construct(
        public int $width,
        public int $height,
        public float $ppi,
        public array $inches,
        public int $bytes,
        public string $sha256,
        public array $checks,
        /** How its size was reduced, in words; empty if it was not. */
        public string $packing,
    ) {}

    /** @param  array<string, mixed>  $kept  as an Exported wrote it */
    public static function kept(array $kept): self
    {
        /** @var array{width: int, height: int, ppi: float, inches: list<float>, bytes: int, sha256: string, packing?: string, report: array{findings: list<array{key: string, word: string, verdict: string, figure: string, says: string}>}} $kept */
        return new self($kept['width'], $kept['height'], $kept['ppi'], $kept['inches'], $kept['bytes'], $kept['sha256'], array_map(ExportCheck::kept(...), $kept['report']['findings']), $kept['packing'] ?? '');
    }
}
