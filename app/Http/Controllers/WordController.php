<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answers\KnownWord;
use App\Models\Shop;
use App\Models\ShopWord;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** The shop's own dictionary for the spelling check. */
final class WordController
{
    /** @return array<int, KnownWord> */
    public function index(Shop $shop): array
    {
        return $shop->words()->orderBy('word')->get()->map(KnownWord::of(...))->all();
    }

    public function store(Request $request, Shop $shop): JsonResponse
    {
        /** @var array{word: string} $asked */
        $asked = $request->validate(['word' => ['required', 'string', 'max:60', 'regex:/^\p{L}[\p{L}\'’-]*$/u']], ['word.regex' => 'One word, of letters.']);

        return KnownWord::of($shop->words()->firstOrCreate(['word' => mb_strtolower($asked['word'])]))->created();
    }

    public function destroy(ShopWord $word): Response
    {
        $word->delete();

        return response()->noContent();
    }
}
