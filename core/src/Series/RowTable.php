<?php

declare(strict_types=1);

namespace TallCrow\Series;

/** Reads the values for a pattern's slots from a table with headings. */
final class RowTable
{
    public const MOST_ROWS = 2000;

    private const LONGEST = 300;

    /**
     * @param  list<list<string>>  $cells  the headings first
     * @param  list<Slot>  $slots
     * @param  array<string, string>  $columns  heading by slot, for slots whose column has another name
     * @return array{rows: list<array<string, string>>, numbers: list<int>, problems: list<string>} values by slot, the row of the table that each stands in, and
     *                                                                                              what was wrong by row and column; a bad row is left, the
     * rest stands
     */
    public static function read(array $cells, array $slots, array $columns = []): array
    {
        $headings = array_map(fn (string $one): string => mb_strtolower(trim($one)), $cells[0] ?? []);
        $at = [];
        foreach ($slots as $slot) {
            $found = array_search(mb_strtolower(trim($columns[$slot->name] ?? $slot->name)), $headings, true);
            if ($found !== false) {
                $at[$slot->name] = (int) $found;
            }
        }
        if ($at === []) {
            return ['rows' => [], 'numbers' => [], 'problems' => [sprintf('Row 1: no column is called as a slot is. Slots are %s; the table has %s.', implode(', ', array_map(fn (Slot $slot): string => $slot->name, $slots)), implode(', ', $cells[0] ?? []))]];
        }
        [$rows, $numbers, $problems] = [[], [], []];
        foreach (array_slice($cells, 1, preserve_keys: true) as $i => $row) {
            $number = $i + 1;
            if (trim(implode('', $row)) === '') {
                continue;
            }
            if (count($rows) >= self::MOST_ROWS) {
                $problems[] = sprintf('Row %d and those after it are left out: %d rows are the most.', $number, self::MOST_ROWS);
                break;
            }
            $values = [];
            foreach ($at as $name => $column) {
                $value = trim($row[$column] ?? '');
                $problem = match (true) {
                    $value === '' => 'is empty',
                    mb_strlen($value) > self::LONGEST => sprintf('is longer than %d letters', self::LONGEST),
                    preg_match('/[\x00-\x08\x0b\x0c\x0e-\x1f\x7f]/', $value) === 1 => 'has characters that nothing can print',
                    default => null,
                };
                if ($problem !== null) {
                    $problems[] = sprintf('Row %d, column %s: %s.', $number, $cells[0][$column], $problem);

                    continue 2;
                }
                $values[$name] = $value;
            }
            $rows[] = $values;
            $numbers[] = $number;
        }

        return ['rows' => $rows, 'numbers' => $numbers, 'problems' => $problems];
    }

    /**
     * Parses a table by RFC 4180, or separated by tabs or semicolons as copied from a spreadsheet.
     *
     * @return list<list<string>>
     */
    public static function cells(string $text): array
    {
        $text = str_starts_with($text, "\xEF\xBB\xBF") ? substr($text, 3) : $text;
        $first = strtok($text, "\r\n");
        $counts = array_map(fn (string $mark): int => substr_count((string) $first, $mark), [',' => ',', "\t" => "\t", ';' => ';']);
        arsort($counts);
        $stream = fopen('php://temp', 'w+b') ?: throw new \RuntimeException('No memory for a table.');
        fwrite($stream, mb_check_encoding($text, 'UTF-8') ? $text : mb_convert_encoding($text, 'UTF-8', 'Windows-1252'));
        rewind($stream);
        $rows = [];
        while (($cells = fgetcsv($stream, separator: (string) array_key_first($counts), escape: '')) !== false) {
            $rows[] = array_map(strval(...), $cells);
        }

        return $rows;
    }
}
