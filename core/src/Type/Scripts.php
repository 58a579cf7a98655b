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
        $functions = FreeType::hb('hb_unicode_funcs_get_default');
        $scripts = $opened = [];
        [$at, $script] = [0, null];
        foreach (mb_str_split($text) as $character) {
            $own = FreeType::hb('hb_unicode_script', $functions, (int) mb_ord($character));
            $script = is_int($own) && ! in_array($own, self::ANY, true) ? $own : $script;
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
