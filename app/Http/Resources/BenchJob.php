<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Bench\Revisions;
use App\Bench\Studio;
use App\Models\PrintJob;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use TallCrow\Render\Measures;

/**
 * A job on the bench: its sheet, what every line measures, and where it stands among its revisions.
 *
 * @property PrintJob $resource
 */
final class BenchJob extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $job = $this->resource;
        $artwork = $job->head?->read();
        $area = $job->area();

        return [
            'id' => $job->id,
            'title' => $job->title,
            'version' => $job->version,
            'revision' => $job->head_id,
            'can_undo' => $job->head?->parent_id !== null,
            'can_redo' => app(Revisions::class)->canRedo($job),
            'area' => ['name' => $area->name, 'width' => $area->width, 'height' => $area->height, 'ppi' => $area->ppi->value],
            'artwork' => $artwork?->toArray(),
            'measures' => $artwork === null ? [] : array_map(
                fn (Measures $m): array => $m->toArray(),
                Measures::of($artwork, Studio::of($job->shop)->renderer->placer),
            ),
        ];
    }
}
