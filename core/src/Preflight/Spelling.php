<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Layer;
use TallCrow\Artwork\TextSource;
use TallCrow\Edit\SetWords;

/**
 * Words on the shirt that a dictionary does not have: a misspelt shirt is the costliest fault. The language is the one that knows most of the
 * sheet's words; names are told, too, and meant so by a word.
 */
final class Spelling implements ChecksSheet
{
    private const MOST = 8;

    /** Letters of the shortest word that is looked up. */
    private const LEAST = 3;

    public function sheet(SheetSubject $subject): array
    {
        $words = [];
        foreach ($subject->artwork->everyLayer() as $layer) {
            $source = $layer->source;
            if ($layer->on && $layer->role->prints() && $source instanceof TextSource) {
                foreach (self::words($source->text) as $word) {
                    $words[$word] ??= $layer;
                }
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
        $findings = [];
        foreach (array_slice($unknown, 0, self::MOST, true) as $word => $suggestions) {
            $findings[] = self::finding((string) $word, $suggestions, $words[$word], Dictionary::LANGUAGES[$language] ?? $language, $subject);
        }

        return $findings;
    }

    /** @param  list<string>  $suggestions */
    private static function finding(string $word, array $suggestions, Layer $layer, string $language, SheetSubject $subject): Finding
    {
        $finding = Finding::of(
            Group::Detail, 'spelling:'.mb_strtolower($word), $word, Verdict::Warn, 'not known', sprintf('%s dictionary', $language),
            sprintf('"%s" is not in the %s dictionary.%s If it is a name, it is meant so.', $word, $language, $suggestions === [] ? '' : ' '.implode(', ', $suggestions).'?'),
        )->about($layer->id)->at(array_filter([$subject->renderer->placer->box($layer)]));
        $source = $layer->source;

        return ! $source instanceof TextSource ? $finding : $finding->mendedBy(...array_map(
            fn (string $other): Mend => Mend::by(sprintf('Write %s', $other), new SetWords($layer->id, (string) preg_replace('/(?<!\p{L})'.preg_quote($word, '/').'(?!\p{L})/u', $other, $source->text))),
            array_slice(array_map(fn (string $other): string => self::cased($other, $word), $suggestions), 0, 2),
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
            // Most words known at once: no other needs to be asked.
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
