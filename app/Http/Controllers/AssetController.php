<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Shelving;
use App\Bench\Studio;
use App\Http\Answers\AssetCard;
use App\Http\Answers\PictureColour;
use App\Http\Requests\Upload;
use App\Models\Asset;
use App\Models\Shop;
use App\Upkeep\Metrics;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Log;
use TallCrow\Asset\AssetUnusable;
use TallCrow\Asset\PictureRefused;
use TallCrow\Type\FontRefused;

/** The shop's shelf of fonts and art. */
final class AssetController
{
    /** @return array<int, AssetCard> */
    public function index(Shop $shop): array
    {
        return $shop->assets()->whereNull('binned_at')->orderBy('kind')->orderBy('title')->get()->map(AssetCard::of(...))->all();
    }

    public function store(Upload $request, Shop $shop, Shelving $shelving): JsonResponse
    {
        $file = $request->upload();
        try {
            $kept = $shelving->take($shop, $file->getPathname(), $file->getClientOriginalName(), $request->provenance());
        } catch (AssetUnusable|FontRefused|PictureRefused $refused) {
            Metrics::refused('upload');
            Log::notice('An upload was refused.', ['shop' => $shop->id, 'bytes' => $file->getSize(), 'reason' => $refused::class]);
            throw $refused;
        }

        return new JsonResponse(array_map(AssetCard::of(...), $kept), 201);
    }

    /** Marks or unmarks an asset as favourite. */
    public function favour(Request $request, Asset $asset): AssetCard
    {
        $asset->update(['favourite' => $request->boolean('favourite')]);

        return AssetCard::of($asset);
    }

    /**
     * The few colours that stand for a picture.
     *
     * @return list<PictureColour>
     */
    public function palette(Request $request, Asset $asset, Shop $shop): array
    {
        $palette = Studio::of($shop)->palette($asset->file, min(24, max(2, $request->integer('count', 8))));

        return array_map(PictureColour::of(...), $palette);
    }

    /** Traces a raster in few colours; the result is added to the shelf under the same licence. */
    public function trace(Request $request, Asset $asset, Shop $shop, Shelving $shelving): AssetCard
    {
        $asked = $request->validate(['colours' => ['required', 'integer', 'between:1,12']]);

        return AssetCard::of($shelving->trace($shop, $asset, (int) $asked['colours']));
    }
}
