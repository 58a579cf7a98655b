<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answers\Area;
use App\Http\Requests\NewArea;
use App\Models\SellersArea;
use App\Models\Shop;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** The seller's own list of print areas. */
final class AreaController
{
    /** @return array<int, Area> */
    public function index(Shop $shop): array
    {
        return $shop->areas()->orderBy('name')->get()->map(self::answer(...))->all();
    }

    public function store(NewArea $request, Shop $shop): JsonResponse
    {
        return self::answer($shop->areas()->create($request->validated()))->created();
    }

    public function destroy(SellersArea $area): Response
    {
        $area->delete();

        return response()->noContent();
    }

    private static function answer(SellersArea $area): Area
    {
        return Area::of($area->area(), $area->id);
    }
}
