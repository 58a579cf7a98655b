<?php

declare(strict_types=1);

namespace App\Files;

/** Writes CSV files for download (RFC 4180). */
final class Csv
{
    /**
     * Writes a row. A cell that a table program would take for a formula is told to be text.
     *
     * @param  resource  $file
     * @param  list<string|int|float>  $cells
     */
    public static function row(mixed $file, array $cells): void
    {
        fputcsv($file, array_map(fn (string|int|float $cell): string => preg_match('/^[=+\-@\t\r]/', (string) $cell) === 1 && ! is_numeric($cell) ? "'$cell" : (string) $cell, $cells), escape: '', eol: "\r\n");
    }
}
