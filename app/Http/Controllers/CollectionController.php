<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answers\CollectionCard;
use App\Models\Collection;
use App\Models\Shop;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;

/** Named collections of assets. */
final readonly class CollectionController
{
    private const PIECES = ['assets' => ['required', 'array', 'max:2000'], 'assets.*' => ['integer']];

    private const SAID = ['assets.required' => 'Choose pieces first.'];

    /** Adds assets to a collection by name; creates it if it does not exist. */
    public function lay(Request $request, Shop $shop): CollectionCard
    {
        /** @var array{name: string, assets: list<int>} $asked */
        $asked = $request->validate(['name' => ['required', 'string', 'max:80']] + self::PIECES, ['name.required' => 'Name a collection.'] + self::SAID);
        $collection = $shop->collections()->firstOrCreate(['name' => trim($asked['name'])]);
        $collection->assets()->syncWithoutDetaching($shop->assets()->whereIn('id', $asked['assets'])->pluck('id')->all());

        return CollectionCard::of($collection);
    }

    /** Removes assets from it; they stay on the shelf. */
    public function takeOut(Request $request, Collection $collection): CollectionCard
    {
        /** @var array{assets: list<int>} $asked */
        $asked = $request->validate(self::PIECES, self::SAID);
        $collection->assets()->detach($asked['assets']);

        return CollectionCard::of($collection);
    }

    public function rename(Request $request, Collection $collection): CollectionCard
    {
        // Trimmed before the uniqueness check, as it is stored trimmed.
        is_string($request->input('name')) ? $request->merge(['name' => trim($request->input('name'))]) : null;
        /** @var array{name: string} $asked */
        $asked = $request->validate(['name' => ['required', 'string', 'max:80', Rule::unique('collections')->where('shop_id', $collection->shop_id)->ignore($collection->id)]], ['name.required' => 'Name the collection.', 'name.unique' => 'Another collection has this name.']);
        $collection->update(['name' => $asked['name']]);

        return CollectionCard::of($collection);
    }

    /** Deletes it; its assets stay on the shelf. */
    public function destroy(Collection $collection): Response
    {
        $collection->delete();

        return response()->noContent();
    }
}
