<?php

declare(strict_types=1);

namespace TallCrow\Type;

/** The languages whose letters a font covers, by the main exemplar characters of the Unicode Common Locale Data Repository, as included in ICU. */
final class Languages
{
    /** Languages in which shirts are commonly sold, and some that few fonts support. */
    private const ASKED = [
        'af', 'ca', 'cs', 'cy', 'da', 'de', 'el', 'en', 'es', 'et', 'eu', 'fi', 'fr', 'ga', 'he', 'hr', 'hu', 'id', 'is', 'it', 'lt', 'lv', 'mt', 'nb', 'nl', 'pl', 'pt', 'ro', 'ru', 'sk', 'sl', 'sq', 'sr', 'sv', 'sw', 'tr', 'uk', 'vi',
        'ar', 'bg', 'hi', 'ja', 'ko', 'th',
    ];

    /** @return list<string> codes of BCP 47 */
    public static function of(Font $font): array
    {
        return array_values(array_filter(self::ASKED, function (string $code) use ($font): bool {
            $letters = self::letters($code);

            return $letters !== [] && array_filter($letters, fn (string $letter): bool => ! $font->has($letter)) === [];
        }));
    }

    public static function called(string $code): string
    {
        return (string) \Locale::getDisplayLanguage($code, 'en');
    }

    /** @return list<string> single characters, lower and upper case; empty if ICU has none */
    public static function letters(string $code): array
    {
        static $known = [];

        return $known[$code] ??= self::read($code);
    }

    /** @return list<string> */
    private static function read(string $code): array
    {
        $bundle = \ResourceBundle::create($code, null);
        $set = $bundle instanceof \ResourceBundle ? $bundle->get('ExemplarCharacters') : null;
        if (! is_string($set)) {
            return [];
        }
        // ICU's notation of a character set: [a b c-e {ch} \u1E9E].
        $set = (string) preg_replace_callback('/\\\\u([0-9A-Fa-f]{4})/', fn (array $one): string => mb_chr((int) hexdec($one[1])), trim($set, '[]'));
        $set = (string) preg_replace_callback('/(\X)-(\X)/u', fn (array $one): string => implode('', array_map(mb_chr(...), range(mb_ord($one[1]), mb_ord($one[2])))), $set);
        $letters = mb_str_split((string) preg_replace('/[\s{}\\\\\p{Mn}]+/u', '', $set));
        $all = [];
        foreach ($letters as $letter) {
            $all[$letter] = true;
            $capital = mb_strtoupper($letter);
            if (mb_strlen($capital) === 1) {
                $all[$capital] = true;
            }
        }

        return array_map(strval(...), array_keys($all));
    }
}
