<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Shelving;
use App\Http\Requests\Upload;
use App\Http\Resources\AssetCard;
use App\Models\Shop;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;

/** The shop's shelf of fonts and art. */
final class AssetController
{
    public function index(Shop $shop): AnonymousResourceCollection
    {
        return AssetCard::collection($shop->assets()->orderBy('kind')->orderBy('title')->get());
    }

    public function store(Upload $request, Shop $shop, Shelving $shelving): AssetCard
    {
        return new AssetCard($shelving->upload($shop, $request->upload(), $request->string('licence')->toString(), $request->string('author')->toString()));
    }
}
