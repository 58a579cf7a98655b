<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

/** Words looked up in Debian's dictionaries by hunspell; what was once looked up is known. */
final class Dictionary
{
    /** The language that ties go to comes first. */
    public const LANGUAGES = ['en_US' => 'English', 'de_DE' => 'German', 'fr_FR' => 'French', 'es_ES' => 'Spanish'];

    /** Suggestions that are kept of a word. */
    private const MOST = 3;

    private const FOLDER = '/usr/share/hunspell';

    /** @var array<string, array<string, list<string>|true>> by language and word: true, or what it may have been meant as */
    private static array $known = [];

    /** @return list<string> languages of which there is a dictionary here */
    public static function languages(): array
    {
        return array_values(array_filter(array_keys(self::LANGUAGES), fn (string $language): bool => is_file(self::FOLDER."/$language.dic")));
    }

    /** Follows the dictionaries that there are, by size and time. */
    public static function fingerprint(): string
    {
        return implode(' ', array_map(function (string $language): string {
            $file = self::FOLDER."/$language.dic";

            return "$language:".filesize($file).':'.filemtime($file);
        }, self::languages()));
    }

    /**
     * The words that a language does not have, and what each may have been meant as.
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
        // A word to a line, each told to be text and no command by the sign before it.
        fwrite($pipes[0], implode('', array_map(fn (string $word): string => "^$word\n", $words)));
        fclose($pipes[0]);
        $answer = (string) stream_get_contents($pipes[1]);
        proc_close($process);
        // After the greeting one block for each word, ended by an empty line.
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
