<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Layer;
use TallCrow\Edit\SetWords;
use TallCrow\Geometry\Box;

/**
 * Words that are not in a dictionary: a misspelt shirt is the costliest fault. The language is the one that knows most of the sheet's words. Names are
 * reported as well; the seller can mark them as intended.
 */
final class Spelling implements ChecksSheet
{
    private const MOST = 8;

    /** Shorter words are not looked up. */
    private const LEAST = 3;

    public function sheet(SheetSubject $subject): array
    {
        $words = [];
        foreach ($subject->artwork->everyLayer() as $layer) {
            // Knocked-out words are read as well.
            foreach ($layer->on ? array_unique(self::words($layer->words()->text ?? '')) : [] as $word) {
                $words[$word][] = $layer;
            }
        }
        $languages = Dictionary::languages();
        if ($words === [] || $languages === []) {
            return [];
        }
        [$language, $unknown] = self::best(array_map(strval(...), array_keys($words)), $languages);
        $unknown = array_filter($unknown, fn (string $word): bool => ! in_array(mb_strtolower($word), $subject->words, true), ARRAY_FILTER_USE_KEY);
        if ($unknown === []) {
            return [Finding::of(Group::Detail, 'spelling', 'Spelling', Verdict::Pass, sprintf('%d %s', count($words), count($words) === 1 ? 'word' : 'words'), 'all known', sprintf('Every word is in the %s dictionary.', Dictionary::LANGUAGES[$language] ?? $language))];
        }
        // Report a word once, whatever its case.
        $layers = [];
        foreach (array_keys($unknown) as $word) {
            foreach ($words[$word] as $layer) {
                $layers[mb_strtolower((string) $word)][$layer->id] = $layer;
            }
        }
        $first = array_intersect_key($unknown, array_unique(array_map(fn (int|string $word): string => mb_strtolower((string) $word), array_combine(array_keys($unknown), array_keys($unknown)))));

        return array_map(
            fn (int|string $word, array $suggestions): Finding => self::finding((string) $word, $suggestions, array_values($layers[mb_strtolower((string) $word)]), Dictionary::LANGUAGES[$language] ?? $language, $subject),
            array_slice(array_keys($first), 0, self::MOST), array_slice(array_values($first), 0, self::MOST),
        );
    }

    /**
     * @param  list<string>  $suggestions
     * @param  non-empty-list<Layer>  $layers  the layers that contain it
     */
    private static function finding(string $word, array $suggestions, array $layers, string $language, SheetSubject $subject): Finding
    {
        // Suggestions follow the case of an all-capitals word.
        $suggestions = mb_strtoupper($word) === $word ? array_map(mb_strtolower(...), $suggestions) : $suggestions;
        $corrected = fn (Layer $layer, string $other): SetWords => new SetWords($layer->id, (string) preg_replace_callback(
            '/(?<!\p{L})'.preg_quote($word, '/').'(?!\p{L})/iu', fn (array $found): string => self::cased($other, $found[0]), $layer->words()->text ?? '',
        ));

        return Finding::of(
            Group::Detail, 'spelling:'.mb_strtolower($word), $word, Verdict::Warn, 'not known', sprintf('%s dictionary', $language),
            sprintf('"%s" is not in the %s dictionary.%s If it is a name, it is meant so.', $word, $language, $suggestions === [] ? '' : ' '.implode(', ', array_map(fn (string $other): string => self::cased($other, $word), $suggestions)).'?'),
        )
            ->about(...array_map(fn (Layer $layer): string => $layer->id, $layers))
            ->at(array_filter(array_map(fn (Layer $layer): ?Box => $subject->renderer->placer->box($layer), $layers)))
            ->mendedBy(...array_map(
                fn (string $other): Mend => Mend::by(sprintf('Write %s', self::cased($other, $word)), ...array_map(fn (Layer $layer): SetWords => $corrected($layer, $other), $layers)),
                array_slice($suggestions, 0, 2),
            ));
    }

    /** @return list<string> */
    private static function words(string $text): array
    {
        preg_match_all('/(?<![\p{L}\p{N}])\p{L}[\p{L}\'’]*\p{L}(?![\p{L}\p{N}])/u', $text, $found);

        return array_values(array_filter($found[0], fn (string $word): bool => mb_strlen($word) >= self::LEAST && preg_match('/^\p{Latin}/u', $word) === 1));
    }

    /**
     * @param  list<string>  $words
     * @param  non-empty-list<string>  $languages
     * @return array{string, array<string, list<string>>}
     */
    private static function best(array $words, array $languages): array
    {
        $best = [$languages[0], Dictionary::unknown($words, $languages[0])];
        foreach (array_slice($languages, 1) as $language) {
            // If most words are known, no other language needs to be tried.
            if (count($best[1]) * 2 < count($words)) {
                break;
            }
            $unknown = Dictionary::unknown($words, $language);
            $best = count($unknown) < count($best[1]) ? [$language, $unknown] : $best;
        }

        return $best;
    }

    private static function cased(string $word, string $as): string
    {
        return match (true) {
            mb_strtoupper($as) === $as => mb_strtoupper($word),
            mb_strtoupper(mb_substr($as, 0, 1)) === mb_substr($as, 0, 1) => mb_strtoupper(mb_substr($word, 0, 1)).mb_substr($word, 1),
            default => $word,
        };
    }
}
