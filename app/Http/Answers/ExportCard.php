<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Models\Export;
use App\Models\ExportState;

/** An export: its progress and result. */
final readonly class ExportCard extends Answer
{
    public function __construct(
        public int $id,
        public int $job,
        public int $revision,
        public ExportState $state,
        public string $stage,
        public int $progress,
        public string $file,
        public ?ExportFigures $figures,
        public ?string $trouble,
        /** The seller's reason for making it although some licence terms do not allow it. */
        public string $why,
        /** The house and place it is for; empty for the job's own area. */
        public string $for,
        public string $batch,
        public string $sha256,
        public string $createdAt,
    ) {}

    public static function of(Export $export): self
    {
        return new self(
            $export->id, $export->print_job_id, $export->revision_id, $export->state, $export->stage, $export->progress, $export->file,
            $export->figures === null ? null : ExportFigures::kept($export->figures), $export->trouble, $export->why, $export->destination['place'] ?? '', $export->batch, $export->sha256, $export->created_at->toIso8601String(),
        );
    }
}
