<?php

declare(strict_types=1);

namespace App\Rights;

/** Reads a sales report from CSV (RFC 4180; also with semicolons or tabs, and with a byte order mark) and matches its columns by name. */
final readonly class SalesTable
{
    private const MOST_ROWS = 100_000;

    /** Headings that are recognised automatically, in lower case (common practice). */
    private const USUAL = [
        'title' => ['title', 'design', 'product', 'item', 'name', 'listing', 'product title', 'item name'],
        'units' => ['units', 'quantity', 'qty', 'sold', 'units sold', 'count', 'quantity sold'],
        'date' => ['date', 'day', 'sold on', 'order date', 'sale date', 'created at'],
    ];

    /**
     * @param  list<string>  $headings
     * @param  array<int, list<string>>  $rows  by line of the file, the first row of data is 2
     */
    private function __construct(
        public array $headings,
        public array $rows,
    ) {}

    /** @throws SalesRefused */
    public static function read(string $path): self
    {
        $text = (string) file_get_contents($path);
        $text = str_starts_with($text, "\xEF\xBB\xBF") ? substr($text, 3) : $text;
        $text = mb_check_encoding($text, 'UTF-8') ? $text : mb_convert_encoding($text, 'UTF-8', 'ISO-8859-1');
        if (trim($text) === '' || str_contains($text, "\0")) {
            throw SalesRefused::noTable();
        }
        $first = strtok($text, "\r\n") ?: '';
        $counts = array_map(fn (string $mark): int => substr_count($first, $mark), [',' => ',', ';' => ';', "\t" => "\t"]);
        arsort($counts);
        $mark = (string) array_key_first($counts);
        $stream = fopen('php://temp', 'w+b') ?: throw SalesRefused::noTable();
        fwrite($stream, $text);
        rewind($stream);
        $rows = [];
        for ($line = 1; ($row = fgetcsv($stream, null, $mark, '"', '')) !== false; $line++) {
            if ($row !== [null]) {
                $rows[$line] = array_map(fn (?string $cell): string => trim((string) $cell), $row);
            }
            if (count($rows) > self::MOST_ROWS) {
                throw SalesRefused::tooLong(self::MOST_ROWS);
            }
        }
        fclose($stream);
        $headings = array_shift($rows) ?? [];
        if (count($headings) < 2 || $rows === []) {
            throw SalesRefused::noTable();
        }

        return new self($headings, array_combine(range(2, count($rows) + 1), $rows));
    }

    /**
     * Which columns hold what: as asked, as kept from the last report, or by their usual names.
     *
     * @param  array<string, string>  $asked  heading by "title", "units", "date"
     * @param  array<string, string>  $kept
     * @return array<string, int> place by "title", "units", "date"
     *
     * @throws SalesRefused
     */
    public function columns(array $asked, array $kept): array
    {
        $places = [];
        $small = array_map(mb_strtolower(...), $this->headings);
        foreach (self::USUAL as $what => $usual) {
            $wanted = array_map(mb_strtolower(...), array_filter([$asked[$what] ?? '', $kept[$what] ?? '', ...($asked[$what] ?? '') === '' ? $usual : []]));
            foreach ($wanted as $heading) {
                $at = array_search($heading, $small, true);
                if ($at !== false) {
                    $places[$what] = $at;
                    break;
                }
            }
            $places[$what] ?? throw SalesRefused::column($what, $this->headings);
        }

        return $places;
    }
}
