<?php

declare(strict_types=1);

namespace TallCrow\Rights;

/**
 * Finds watched phrases in a text by approximate matching: ignores case, spacing and accents, maps look-alike characters, and
 * allows one typing error (insertion, deletion, substitution or transposition: restricted edit distance,
 * Damerau 1964). A match begins and ends at word boundaries.
 */
final class WatchList
{
    /** Shorter phrases are matched exactly, since with one error allowed they would match almost anything. */
    private const LEAST_FOR_SLIP = 5;

    /** Look-alike characters and the letter each stands for, after accents are removed: digits, signs, Greek and Cyrillic. */
    private const ALIKE = [
        '0' => 'o', '1' => 'l', '|' => 'l', '!' => 'l', 'i' => 'l', '3' => 'e', '4' => 'a', '@' => 'a', '5' => 's', '$' => 's', '7' => 't', '8' => 'b', '9' => 'g',
        'а' => 'a', 'в' => 'b', 'е' => 'e', 'ё' => 'e', 'к' => 'k', 'м' => 'm', 'н' => 'h', 'о' => 'o', 'р' => 'p', 'с' => 'c', 'т' => 't', 'у' => 'y', 'х' => 'x', 'і' => 'l', 'ѕ' => 's', 'ј' => 'j',
        'α' => 'a', 'β' => 'b', 'ε' => 'e', 'η' => 'n', 'ι' => 'l', 'κ' => 'k', 'μ' => 'm', 'ν' => 'v', 'ο' => 'o', 'ρ' => 'p', 'τ' => 't', 'υ' => 'u', 'χ' => 'x', 'ß' => 'ss', 'æ' => 'ae', 'ø' => 'o', 'ł' => 'l', 'đ' => 'd',
    ];

    /**
     * @param  list<Watched>  $watched
     * @return list<array{Watched, string}> each with the words that matched
     */
    public static function found(string $words, array $watched): array
    {
        $parts = self::parts($words);
        $found = [];
        foreach ($watched as $one) {
            $phrase = implode('', array_column(self::parts($one->phrase), 'plain'));
            $isSame = fn (string $joined): bool => $joined === $phrase;
            $isNear = fn (string $joined): bool => strlen($phrase) >= self::LEAST_FOR_SLIP && self::isOneSlip($joined, $phrase);
            $at = $phrase === '' ? null : (self::search($parts, strlen($phrase), $isSame) ?? self::search($parts, strlen($phrase) + 1, $isNear));
            if ($at !== null) {
                $found[] = [$one, implode(' ', array_column(array_slice($parts, $at[0], $at[1]), 'said'))];
            }
        }

        return $found;
    }

    /**
     * @param  list<array{said: string, plain: string}>  $parts
     * @param  int  $most  greatest number of letters to compare
     * @param  \Closure(string): bool  $is
     * @return ?array{int, int} index of the first word, and number of words
     */
    private static function search(array $parts, int $most, \Closure $is): ?array
    {
        foreach (array_keys($parts) as $from) {
            $joined = '';
            for ($to = $from; $to < count($parts) && strlen($joined) < $most; $to++) {
                $joined .= $parts[$to]['plain'];
                if ($is($joined)) {
                    return [$from, $to - $from + 1];
                }
            }
        }

        return null;
    }

    /** Whether the edit distance of two words is at most one. */
    private static function isOneSlip(string $a, string $b): bool
    {
        [$a, $b] = strlen($a) <= strlen($b) ? [$a, $b] : [$b, $a];
        $start = strspn($a ^ $b, "\0");
        $rest = strlen($b) - $start;
        if (strlen($a) === strlen($b)) {
            return substr($a, $start + 1) === substr($b, $start + 1)
                || ($rest >= 2 && $a[$start] === $b[$start + 1] && $a[$start + 1] === $b[$start] && substr($a, $start + 2) === substr($b, $start + 2));
        }

        return strlen($b) - strlen($a) === 1 && substr($a, $start) === substr($b, $start + 1);
    }

    /** @return list<array{said: string, plain: string}> the words in their original and their normalised form */
    private static function parts(string $words): array
    {
        $said = preg_split('/[\s\-_.,;:\/\\\\]+/u', $words, -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $parts = array_map(fn (string $one): array => ['said' => $one, 'plain' => self::plain($one)], $said);

        return array_values(array_filter($parts, fn (array $part): bool => $part['plain'] !== ''));
    }

    private static function plain(string $word): string
    {
        $bare = (string) preg_replace('/\p{Mn}+/u', '', (string) \Normalizer::normalize(mb_strtolower($word), \Normalizer::FORM_KD));

        return (string) preg_replace('/[^a-z0-9]/', '', strtr($bare, self::ALIKE));
    }
}
