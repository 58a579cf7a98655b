<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\AssetPreview;
use App\Models\Asset;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** A preview of a picture, or of the seller's words in a font. */
final class AssetPreviewController
{
    public function __invoke(Request $request, Asset $asset, AssetPreview $preview): Response
    {
        $words = mb_substr($request->string('text')->toString(), 0, 60);

        return response($preview->png($asset, $words), 200, ['Content-Type' => 'image/png']);
    }
}
