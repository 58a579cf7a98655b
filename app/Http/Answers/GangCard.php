<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Models\ExportState;
use App\Models\Gang;

/** A gang sheet that is being made or is finished. */
final readonly class GangCard extends Answer
{
    /**
     * @param  list<string>  $titles
     * @param  list<GangFile>  $sheets
     */
    public function __construct(
        public int $id,
        public ExportState $state,
        public string $stage,
        public int $progress,
        public array $titles,
        public bool $mirrored,
        public array $sheets,
        public ?float $waste,
        public string $trouble,
        public string $createdAt,
        /** Whether a completed press card belongs to it. */
        public bool $hasCard,
    ) {}

    public static function of(Gang $gang): self
    {
        return new self(
            $gang->id, $gang->state, $gang->stage, $gang->progress, array_map(fn (array $piece): string => "{$piece['count']} × {$piece['title']}", $gang->asked['pieces']), $gang->asked['mirrored'],
            array_map(fn (array $one): GangFile => new GangFile($one['file'], $one['width'], $one['height'], $one['inches'][0], $one['inches'][1], $one['bytes'], $one['sha256']), $gang->made['sheets'] ?? []),
            $gang->made['waste'] ?? null, $gang->trouble, $gang->created_at->toIso8601String(), ($gang->asked['card'] ?? null) !== null,
        );
    }
}
