<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Asset;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * @property Asset $resource
 */
final class AssetCard extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $a = $this->resource;

        return [
            'id' => $a->id, 'kind' => $a->kind->value, 'file' => $a->file, 'title' => $a->title, 'genre' => $a->genre, 'type' => $a->type,
            'bytes' => $a->bytes, 'width' => $a->width, 'height' => $a->height,
            'pack' => $a->pack, 'cut' => $a->cut, 'features' => $a->features, 'favourite' => $a->favourite,
            'licence' => ['name' => $a->licence_name, 'author' => $a->licence_author, 'url' => $a->licence_url],
        ];
    }
}
