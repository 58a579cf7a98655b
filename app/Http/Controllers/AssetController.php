<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Shelving;
use App\Bench\Studio;
use App\Http\Requests\Upload;
use App\Http\Resources\AssetCard;
use App\Models\Asset;
use App\Models\Shop;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use TallCrow\Colour\Swatch;

/** The shop's shelf of fonts and art. */
final class AssetController
{
    public function index(Shop $shop): AnonymousResourceCollection
    {
        return AssetCard::collection($shop->assets()->orderBy('kind')->orderBy('title')->get());
    }

    public function store(Upload $request, Shop $shop, Shelving $shelving): JsonResponse
    {
        $kept = $shelving->upload($shop, $request->upload(), $request->string('licence')->toString(), $request->string('author')->toString(), $request->string('genre')->trim()->toString());

        return AssetCard::collection($kept)->response()->setStatusCode(201);
    }

    /** Keeps a piece among the favourites, or no longer. */
    public function favour(Request $request, Asset $asset): AssetCard
    {
        $asset->update(['favourite' => $request->boolean('favourite')]);

        return new AssetCard($asset);
    }

    /**
     * The few colours that stand for a picture.
     *
     * @return list<array{name: string, colour: string, share: float}>
     */
    public function palette(Request $request, Asset $asset, Shop $shop): array
    {
        $palette = Studio::of($shop)->palette($asset->file, min(24, max(2, $request->integer('count', 8))));

        return array_map(fn (Swatch $swatch): array => $swatch->toArray(), $palette);
    }

    /** A drawing of a raster in few colours, beside it on the shelf under the same licence. */
    public function trace(Request $request, Asset $asset, Shop $shop, Shelving $shelving): AssetCard
    {
        $asked = $request->validate(['colours' => ['required', 'integer', 'between:1,12']]);

        return new AssetCard($shelving->trace($shop, $asset, (int) $asked['colours']));
    }
}
