<?php

declare(strict_types=1);

namespace TallCrow\Type;

/**
 * Splits the runs of a line by script (UAX #24, by the script property that HarfBuzz holds), since letters are shaped by the rules of one script at
 * a time: in "Moth हिन्दी" the second word needs those of Devanagari. What belongs to no script, such as spaces, figures and marks, goes with the
 * letters before it, at the beginning of a run with those behind it; a bracket that closes goes as the one that opened.
 */
final class Scripts
{
    /** The script tags "Zyyy" (common) and "Zinh" (inherited). */
    private const ANY = [0x5A797979, 0x5A696E68];

    /** The scripts whose letters join (Unicode, ArabicShaping.txt): "Adlm", "Arab", "Mand", "Mani", "Mong", "Nkoo", "Phag", "Rohg", "Syrc". */
    private const JOINED = [0x41646C6D, 0x41726162, 0x4D616E64, 0x4D616E69, 0x4D6F6E67, 0x4E6B6F6F, 0x50686167, 0x526F6867, 0x53797263];

    /** The stroke by which writers lengthen the join between two letters; it is common to all such scripts. */
    private const TATWEEL = "\u{0640}";

    private const CLOSED_BY = ['(' => ')', '[' => ']', '{' => '}', '«' => '»', '“' => '”', '‘' => '’'];

    /**
     * @param  list<Run>  $runs  of one direction each, in visual order
     * @return list<Run> of one direction and one script each, in visual order
     */
    public static function split(string $line, array $runs): array
    {
        // No character before the Greek block is of another script than Latin.
        if (preg_match('/[^\x00-\x{036F}]/u', $line) !== 1) {
            return $runs;
        }

        return array_merge(...array_map(fn (Run $run): array => self::parts($run, self::ofBytes(substr($line, $run->start, $run->length))), $runs));
    }

    /**
     * Whether no room may be put between two letters, since those of their script join and would be torn apart (CSS Text 3, 8.3.1: spacing is not
     * applied between letters of a cursive script unless the strokes between them are drawn out).
     */
    public static function join(string $one, string $other): bool
    {
        return self::isJoined($one) && self::isJoined($other);
    }

    /** Whether all letters of a text join one another, so that it has no place for room between them. */
    public static function joinThroughout(string $text): bool
    {
        $letters = mb_str_split((string) preg_replace('/\p{M}/u', '', $text));

        return array_filter($letters, fn (string $letter): bool => ! self::isJoined($letter)) === [];
    }

    private static function isJoined(string $character): bool
    {
        return $character === self::TATWEEL || preg_match('/[^\x00-\x{036F}]/u', $character) === 1 && preg_match('/^\p{L}/u', $character) === 1 && in_array(self::of($character), self::JOINED, true);
    }

    private static function of(string $character): ?int
    {
        $script = FreeType::hb('hb_unicode_script', FreeType::hb('hb_unicode_funcs_get_default'), (int) mb_ord($character));

        return is_int($script) && ! in_array($script, self::ANY, true) ? $script : null;
    }

    /**
     * @param  array<int, int>  $scripts
     * @return list<Run>
     */
    private static function parts(Run $run, array $scripts): array
    {
        $parts = [];
        $from = 0;
        foreach ($scripts as $at => $script) {
            if ($script !== $scripts[$from]) {
                $parts[] = new Run($run->start + $from, $at - $from, $run->rightToLeft);
                $from = $at;
            }
        }
        $parts[] = new Run($run->start + $from, $run->length - $from, $run->rightToLeft);

        return $run->rightToLeft ? array_reverse($parts) : $parts;
    }

    /** @return array<int, int> the script tag of each character, by its byte offset */
    private static function ofBytes(string $text): array
    {
        $scripts = $opened = [];
        [$at, $script] = [0, null];
        foreach (mb_str_split($text) as $character) {
            $script = self::of($character) ?? $script;
            if (isset(self::CLOSED_BY[$character])) {
                $opened[] = [self::CLOSED_BY[$character], $script];
            } elseif ($opened !== [] && $opened[count($opened) - 1][0] === $character) {
                $script = array_pop($opened)[1] ?? $script;
            }
            $scripts[$at] = $script;
            $at += strlen($character);
        }
        $first = current(array_filter($scripts, is_int(...)));

        return array_map(fn (?int $script): int => $script ?? ($first === false ? self::ANY[0] : $first), $scripts);
    }
}
