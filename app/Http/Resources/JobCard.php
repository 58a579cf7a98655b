<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\PrintJob;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use TallCrow\Artwork\Garment;

/**
 * A job as it hangs among the others.
 *
 * @property PrintJob $resource
 */
final class JobCard extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $job = $this->resource;
        $artwork = $job->head?->read();

        return [
            'id' => $job->id,
            'title' => $job->title,
            'revision' => $job->head_id,
            'product' => $artwork?->product->value,
            'side' => $artwork?->side->value,
            'sheet' => $artwork === null ? null : ['width' => $artwork->sheet->width, 'height' => $artwork->sheet->height, 'ppi' => $artwork->sheet->ppi->value],
            'garments' => array_map(fn (Garment $g): array => ['name' => $g->name, 'colour' => $g->colour->toHex()], $artwork->garments ?? []),
            'layers' => count($artwork->layers ?? []),
            'state' => $job->getAttribute('exports_count') > 0 ? 'exported' : (($artwork->layers ?? []) === [] ? 'empty' : 'drafted'),
            'updated_at' => $job->updated_at->toIso8601String(),
        ];
    }
}
