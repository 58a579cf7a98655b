<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\RecipePicture;
use App\Http\Answers\RecipeCard;
use App\Models\KeptRecipe;
use App\Models\Shop;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use TallCrow\Artwork\Recipe;

/** The shop's recipes: layers saved under a name, to be applied to other words. */
final class RecipeController
{
    private const MOST = 200;

    /** @return array<int, RecipeCard> */
    public function index(Shop $shop): array
    {
        $shelf = self::shelf($shop);

        return $shop->recipes()->orderBy('name')->limit(self::MOST)->get()->map(fn (KeptRecipe $kept): RecipeCard => RecipeCard::of($kept, $shelf))->all();
    }

    /** Saves the selected layers as a recipe, or imports a file. */
    public function store(Request $request, Shop $shop): JsonResponse
    {
        abort_if($shop->recipes()->count() >= self::MOST, 422, sprintf('A shop keeps %d recipes at most: take one out first.', self::MOST));
        $recipe = Recipe::json($request->string('recipe')->toString());
        $kept = $shop->recipes()->create(['name' => $recipe->name, 'body' => json_encode($recipe->toArray(), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE)]);

        return RecipeCard::of($kept, self::shelf($shop))->created();
    }

    public function file(KeptRecipe $recipe): Response
    {
        $name = trim((string) preg_replace('/[^A-Za-z0-9]+/', '-', $recipe->name), '-');

        return new Response($recipe->body, 200, ['Content-Type' => 'application/json', 'Content-Disposition' => sprintf('attachment; filename="%s.recipe.json"', $name === '' ? 'recipe' : strtolower($name))]);
    }

    public function picture(Request $request, KeptRecipe $recipe): Response
    {
        $asked = $request->validate(['instead' => ['sometimes', 'array', 'max:60'], 'instead.*.old' => ['required', 'string', 'max:200'], 'instead.*.new' => ['required', 'string', 'max:200']]);
        $instead = array_column($asked['instead'] ?? [], 'new', 'old');

        return new Response(RecipePicture::of($recipe)->png(mb_substr($request->string('words')->toString(), 0, 60), $instead), 200, ['Content-Type' => 'image/png']);
    }

    public function destroy(KeptRecipe $recipe): Response
    {
        $recipe->delete();

        return response()->noContent();
    }

    /** @return list<string> */
    private static function shelf(Shop $shop): array
    {
        return array_values(array_filter($shop->assets()->pluck('file')->all(), is_string(...)));
    }
}
