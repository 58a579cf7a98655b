<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

/** Looks words up in Debian's dictionaries by hunspell; results are cached. */
final class Dictionary
{
    /** In a tie the first language wins. */
    public const LANGUAGES = ['en_US' => 'English', 'de_DE' => 'German', 'fr_FR' => 'French', 'es_ES' => 'Spanish'];

    /** Suggestions kept for a word. */
    private const MOST = 3;

    private const FOLDER = '/usr/share/hunspell';

    /** @var array<string, array<string, list<string>|true>> by language and word: true, or suggestions */
    private static array $known = [];

    /** @return list<string> languages with an installed dictionary */
    public static function languages(): array
    {
        return array_values(array_filter(array_keys(self::LANGUAGES), fn (string $language): bool => is_file(self::FOLDER."/$language.dic")));
    }

    /** A fingerprint of the installed dictionaries, by size and time. */
    public static function fingerprint(): string
    {
        return implode(' ', array_map(function (string $language): string {
            $file = self::FOLDER."/$language.dic";

            return "$language:".filesize($file).':'.filemtime($file);
        }, self::languages()));
    }

    /**
     * The words that are unknown in a language, with suggestions.
     *
     * @param  list<string>  $words
     * @return array<string, list<string>>
     */
    public static function unknown(array $words, string $language): array
    {
        $asked = array_values(array_filter($words, fn (string $word): bool => ! isset(self::$known[$language][$word])));
        if ($asked !== []) {
            self::$known[$language] = (self::$known[$language] ?? []) + self::lookedUp($asked, $language);
        }
        $unknown = [];
        foreach ($words as $word) {
            $found = self::$known[$language][$word] ?? true;
            if ($found !== true) {
                $unknown[$word] = $found;
            }
        }

        return $unknown;
    }

    /**
     * @param  non-empty-list<string>  $words
     * @return array<string, list<string>|true>
     */
    private static function lookedUp(array $words, string $language): array
    {
        $process = @proc_open(['hunspell', '-a', '-i', 'UTF-8', '-d', self::FOLDER."/$language"], [['pipe', 'r'], ['pipe', 'w'], ['file', '/dev/null', 'w']], $pipes);
        if (! is_resource($process)) {
            return [];
        }
        // One word per line; the ^ keeps it from being read as a command.
        fwrite($pipes[0], implode('', array_map(fn (string $word): string => "^$word\n", $words)));
        fclose($pipes[0]);
        $answer = (string) stream_get_contents($pipes[1]);
        proc_close($process);
        // After the banner comes one block for each word, terminated by an empty line.
        $blocks = explode("\n\n", substr($answer, (int) strpos($answer, "\n") + 1));
        $found = [];
        foreach ($words as $i => $word) {
            $line = explode("\n", $blocks[$i] ?? '')[0];
            $found[$word] = match ($line[0] ?? '*') {
                '&' => array_slice(array_map(trim(...), explode(',', (string) substr((string) strstr($line, ':'), 1))), 0, self::MOST),
                '#' => [],
                default => true,
            };
        }

        return $found;
    }
}
