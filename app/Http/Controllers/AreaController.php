<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\NewArea;
use App\Models\SellersArea;
use App\Models\Shop;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\Response;

/** The seller's own list of print areas. */
final class AreaController
{
    /** @return Collection<int, SellersArea> */
    public function index(Shop $shop): Collection
    {
        return $shop->areas()->orderBy('name')->get(['id', 'name', 'width', 'height', 'ppi']);
    }

    public function store(NewArea $request, Shop $shop): SellersArea
    {
        return $shop->areas()->create($request->validated());
    }

    public function destroy(SellersArea $area): Response
    {
        $area->delete();

        return response()->noContent();
    }
}
