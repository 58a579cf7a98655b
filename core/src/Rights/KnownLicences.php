<?php

declare(strict_types=1);

namespace TallCrow\Rights;

/**
 * Common open licences: each fact with the clause of the published text that states it. This is a layman's reading, not legal advice; the seller
 * sees it and can correct it.
 *
 * @phpstan-type Known array{name: string, also: list<string>, marks: list<string>, facts: array<string, array<string, mixed>>}
 */
final class KnownLicences
{
    /** @return list<string> SPDX identifiers */
    public static function ids(): array
    {
        return array_keys(self::all());
    }

    public static function facts(string $spdx): ?Facts
    {
        return isset(self::all()[$spdx]) ? Facts::read(self::all()[$spdx]['facts']) : null;
    }

    public static function called(string $spdx): string
    {
        return self::all()[$spdx]['name'] ?? Spdx::names()[$spdx] ?? $spdx;
    }

    /** The identifier for a licence name in everyday spelling, such as "CC BY 4.0" or "SIL OFL"; null if it is ambiguous or unknown. */
    public static function like(string $name): ?string
    {
        $wanted = self::plain($name);
        foreach (self::all() as $id => $one) {
            foreach ([$id, $one['name'], ...$one['also']] as $said) {
                if ($wanted !== '' && ($wanted === self::plain($said) || $wanted === self::plain("$said licence"))) {
                    return $id;
                }
            }
        }
        foreach (Spdx::names() as $id => $said) {
            if ($wanted !== '' && in_array($wanted, [self::plain($id), self::plain($said)], true)) {
                return (string) $id;
            }
        }

        return null;
    }

    /** Recognises a licence by phrases that only its text contains; null if it is not a known one. */
    public static function recognised(string $text): ?string
    {
        $plain = self::spaced($text);
        $best = null;
        $longest = 0;
        foreach (self::all() as $id => $one) {
            foreach ($one['marks'] as $mark) {
                if (strlen($mark) > $longest && str_contains($plain, self::spaced($mark))) {
                    [$best, $longest] = [$id, strlen($mark)];
                }
            }
        }

        return $best;
    }

    /** @return array<string, Known> by SPDX identifier */
    private static function all(): array
    {
        static $all = null;

        /** @var array<string, Known> */
        return $all ??= (array) json_decode((string) file_get_contents(__DIR__.'/known.json'), true, 8, JSON_THROW_ON_ERROR);
    }

    /** Normalises a licence's name: lower case, without punctuation, "the", "version" and "international". */
    private static function plain(string $name): string
    {
        $words = preg_split('/[^a-z0-9.]+/', strtolower(str_replace(['license', 'v.'], ['licence', 'v'], strtolower($name))), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $words = array_map(fn (string $word): string => preg_replace('/^v(?=\d)/', '', trim($word, '.')) ?? $word, $words);

        return implode('', array_map(fn (string $word): string => preg_replace('/\.0$/', '', $word) ?? $word, array_diff($words, ['the', 'version', 'international', 'unported', 'only'])));
    }

    private static function spaced(string $text): string
    {
        return trim((string) preg_replace('/[^a-z0-9.]+/', ' ', strtolower($text)));
    }
}
