<?php

declare(strict_types=1);

namespace TallCrow\Type;

use FFI;
use FFI\CData;

/**
 * Splits a line of mixed direction into runs of one direction, in visual order: the Unicode Bidirectional Algorithm
 * (UAX #9), with levels from FriBidi. The base direction is that of the first strong character.
 */
final class Bidi
{
    private const DECLARATIONS = <<<'C'
        void fribidi_get_bidi_types(const uint32_t *text, int length, uint32_t *types);
        void fribidi_get_bracket_types(const uint32_t *text, int length, const uint32_t *types, uint32_t *brackets);
        signed char fribidi_get_par_embedding_levels_ex(const uint32_t *types, const uint32_t *brackets, int length, uint32_t *direction, signed char *levels);
        C;

    /** FriBidi's FRIBIDI_PAR_ON: base direction from the text. */
    private const BY_ITSELF = 0x40;

    private static ?FFI $library = null;

    /** @return list<Run> in visual order, left to right */
    public static function runs(string $line): array
    {
        // No character before the Hebrew block is right-to-left or changes direction.
        if (preg_match('/[^\x00-\x{058F}]/u', $line) !== 1) {
            return $line === '' ? [] : [new Run(0, strlen($line), false)];
        }
        $levels = self::levels($line);
        $runs = [];
        $from = $at = 0;
        foreach ($levels as $i => [$character, $level]) {
            $at += strlen($character);
            if ($level !== ($levels[$i + 1][1] ?? null)) {
                $runs[] = [$from, $at - $from, $level];
                $from = $at;
            }
        }

        return array_map(fn (array $run): Run => new Run($run[0], $run[1], $run[2] % 2 === 1), self::ordered($runs));
    }

    /**
     * Rule L2: from the highest level down to the lowest odd one, reverse each sequence of runs at that level or higher.
     *
     * @param  list<array{int, int, int}>  $runs  start, bytes, level
     * @return list<array{int, int, int}>
     */
    private static function ordered(array $runs): array
    {
        for ($level = max([0, ...array_column($runs, 2)]); $level > 0; $level--) {
            $turned = [];
            $together = [];
            foreach ([...$runs, null] as $run) {
                if ($run !== null && $run[2] >= $level) {
                    array_unshift($together, $run);

                    continue;
                }
                array_push($turned, ...$together, ...($run === null ? [] : [$run]));
                $together = [];
            }
            $runs = $turned;
        }

        return $runs;
    }

    /** @return list<array{string, int}> each character and its level */
    private static function levels(string $line): array
    {
        $characters = mb_str_split($line);
        $count = count($characters);
        $library = self::library();
        [$text, $types, $brackets] = array_map(fn (): CData => FreeType::pointer($library, "uint32_t[$count]"), range(0, 2));
        [$levels, $direction] = [FreeType::pointer($library, "signed char[$count]"), FreeType::pointer($library, 'uint32_t[1]')];
        foreach ($characters as $i => $character) {
            $text[$i] = (int) mb_ord($character);
        }
        $direction[0] = self::BY_ITSELF;
        self::call('fribidi_get_bidi_types', $text, $count, $types);
        self::call('fribidi_get_bracket_types', $text, $count, $types, $brackets);
        self::call('fribidi_get_par_embedding_levels_ex', $types, $brackets, $count, $direction, $levels);
        $base = (int) $direction[0] & 1;
        // Rule L1: trailing whitespace takes the level of the line.
        $inked = mb_strlen(rtrim($line));

        return array_map(fn (string $character, int $i): array => [$character, $i < $inked ? (int) $levels[$i] : $base], $characters, array_keys($characters));
    }

    private static function call(string $function, mixed ...$arguments): void
    {
        self::library()->{$function}(...$arguments);
    }

    private static function library(): FFI
    {
        return self::$library ??= FreeType::load(self::DECLARATIONS, 'libfribidi.so.0', 'libfribidi0');
    }
}
