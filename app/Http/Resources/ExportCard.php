<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Export;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * @property Export $resource
 */
final class ExportCard extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $e = $this->resource;

        return [
            'id' => $e->id, 'job' => $e->print_job_id, 'revision' => $e->revision_id, 'state' => $e->state->value, 'stage' => $e->stage,
            'progress' => $e->progress, 'file' => $e->file, 'figures' => $e->figures, 'trouble' => $e->trouble,
            'created_at' => $e->created_at->toIso8601String(),
        ];
    }
}
