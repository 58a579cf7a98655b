<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\CharacterMap;
use App\Bench\Studio;
use App\Http\Answers\AssetCard;
use App\Http\Answers\FontCharacters;
use App\Http\Answers\FormOfLetter;
use App\Http\Answers\FormsOfLetter;
use App\Http\Answers\LetterOfWords;
use App\Models\Asset;
use App\Models\AssetKind;
use App\Models\Revision;
use App\Models\Shop;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use TallCrow\Asset\AssetUnusable;
use TallCrow\Type\FontRefused;
use TallCrow\Type\WhichLetters;

/** What fonts can draw: the letters that another lacks, other forms of letters, and all of their characters. */
final class FontController
{
    private const MOST_TRIED = 200;

    private const MOST = 5;

    /** @return list<AssetCard> fonts that have every letter of a layer's words, favourites and fonts of the same genre first */
    public function index(Revision $revision, string $layer, Shop $shop): array
    {
        $words = $revision->read()->layer($layer)?->words() ?? abort(404, 'That line sets no words.');
        $letters = array_values(array_unique(mb_str_split((string) preg_replace('/[\s\p{C}]+/u', '', $words->text))));
        $genre = $shop->assets()->where('file', $words->font)->first()->genre ?? '';
        $shelf = Studio::of($shop)->shelf;
        $found = [];
        $fonts = $shop->assets()->where('kind', AssetKind::Font)->whereNull('binned_at')->whereNot('file', $words->font)
            ->orderByDesc('favourite')->orderByRaw('case when genre = ? then 0 else 1 end', [$genre])->orderBy('title')->limit(self::MOST_TRIED)->get();
        foreach ($fonts as $asset) {
            if ($this->has($shelf->font(...), $asset, $letters)) {
                $found[] = AssetCard::of($asset);
            }
            if (count($found) === self::MOST) {
                break;
            }
        }

        return $found;
    }

    /** The letters of a layer's words, and the forms that its font has of one of them. */
    public function forms(Request $request, Revision $revision, string $layer, Shop $shop): FormsOfLetter
    {
        $asked = $request->validate(['letter' => ['required', 'integer', 'min:1'], 'told' => ['required', Rule::in(WhichLetters::some())]]);
        $of = $revision->read()->layer($layer);
        abort_unless($of?->isWords() === true, 404, 'That line sets no words.');
        $placer = Studio::of($shop)->renderer->placer;

        return new FormsOfLetter(
            array_map(LetterOfWords::of(...), $placer->characters($of)),
            array_map(FormOfLetter::of(...), $placer->forms($of, (int) $asked['letter'], WhichLetters::from($asked['told']))),
        );
    }

    /** The characters of a font, some at a time. */
    public function characters(Request $request, Asset $asset, Shop $shop): FontCharacters
    {
        abort_unless($asset->kind === AssetKind::Font, 404, 'That is no font.');
        $asked = $request->validate(['find' => ['nullable', 'string', 'max:60'], 'from' => ['nullable', 'integer', 'min:0']]);

        return (new CharacterMap(Studio::of($shop)->shelf->font($asset->file)))->page((string) ($asked['find'] ?? ''), (int) ($asked['from'] ?? 0));
    }

    /**
     * @param  \Closure(string): \TallCrow\Type\Font  $font
     * @param  list<string>  $letters
     */
    private function has(\Closure $font, Asset $asset, array $letters): bool
    {
        try {
            $opened = $font($asset->file);
        } catch (AssetUnusable|FontRefused) {
            return false;
        }

        return array_filter($letters, fn (string $letter): bool => ! $opened->has($letter)) === [];
    }
}
