<?php

declare(strict_types=1);

namespace TallCrow\Cli;

use TallCrow\Artwork\Artwork;
use TallCrow\Asset\Shelf;
use TallCrow\Export\BandedPng;
use TallCrow\Export\PrintPng;
use TallCrow\Preflight\Preflight;
use TallCrow\Preflight\Verdict;
use TallCrow\Raster\Image;
use TallCrow\Render\FolderPictures;
use TallCrow\Render\Frame;
use TallCrow\Render\FrozenPictures;
use TallCrow\Render\LayerTrouble;
use TallCrow\Render\Renderer;
use TallCrow\Series\Differing;
use TallCrow\Series\Evenness;
use TallCrow\Series\Filling;
use TallCrow\Series\Pattern;
use TallCrow\Series\PatternInvalid;
use TallCrow\Series\RowNote;
use TallCrow\Series\RowTable;

/**
 * Exports a whole series: the pattern's sheet filled with each row of a list. Parts that do not change between rows are drawn and compressed once; several
 * workers share them. A row that fails is reported, and the others are still made.
 */
final class SeriesCommand
{
    private const MOST_WORKERS = 16;

    /** Number of rows after which a worker replaces its renderer to free memory. */
    private const ANEW = 25;

    /** @param  resource  $out */
    public static function run(Arguments $arguments, mixed $out): int
    {
        [$artwork, $shelf] = OpenedJob::from($arguments);
        $pattern = self::pattern($arguments);
        $folder = $arguments->folder('out');
        $list = $arguments->option('rows') ?? throw UnusableCall::missing('--rows LIST.csv');
        $table = RowTable::read(RowTable::cells(is_file($list) ? (string) file_get_contents($list) : throw UnusableCall::file($list)), $pattern->slots);
        [$share, $workers] = self::workers($arguments);
        if ($share === 0) {
            foreach ($table['problems'] as $problem) {
                fwrite($out, "$problem\n");
            }
        }
        $kept = $arguments->option('pieces') ?? sys_get_temp_dir().'/tall-crow-series-'.getmypid();
        $others = $share === 0 ? self::others($arguments, $workers, $kept) : [];
        try {
            $failed = self::share($artwork, $pattern, $shelf, $table, $folder, $kept, $share, $workers, $arguments->flag('check'), $out);
            foreach ($others as [$process, $pipe]) {
                stream_copy_to_stream($pipe, $out);
                $failed += proc_close($process) === Crow::FINE ? 0 : 1;
            }
        } finally {
            if ($share === 0) {
                array_map(unlink(...), glob("$kept/*") ?: []);
                @rmdir($kept);
            }
        }

        return $failed === 0 && $table['problems'] === [] ? Crow::FINE : Crow::FAILED;
    }

    /** @return array{int, int} this worker's index, from 0, and the number of workers */
    private static function workers(Arguments $arguments): array
    {
        $share = explode('/', $arguments->option('share') ?? '');
        $all = max(1, min(self::MOST_WORKERS, (int) ($share[1] ?? $arguments->option('workers') ?? 1)));

        return [min($all - 1, max(0, (int) $share[0])), $all];
    }

    /**
     * Starts the other workers, each as a separate process.
     *
     * @return list<array{resource, resource}> with its output stream
     */
    private static function others(Arguments $arguments, int $workers, string $kept): array
    {
        $others = [];
        for ($share = 1; $share < $workers; $share++) {
            $words = [PHP_BINARY, '-d', 'ffi.enable=true', dirname(__DIR__, 3).'/bin/crow', 'series', $arguments->operand('a job'), '--pieces', $kept, '--share', "$share/$workers"];
            foreach (['pattern', 'rows', 'out'] as $name) {
                array_push($words, "--$name", $arguments->option($name) ?? '');
            }
            foreach ($arguments->options('shelf') as $folder) {
                array_push($words, '--shelf', $folder);
            }
            $process = proc_open([...$words, ...($arguments->flag('check') ? ['--check'] : [])], [1 => ['pipe', 'w'], 2 => ['file', '/dev/null', 'w']], $pipes);
            if (is_resource($process)) {
                $others[] = [$process, $pipes[1]];
            }
        }

        return $others;
    }

    private static function pattern(Arguments $arguments): Pattern
    {
        $file = $arguments->option('pattern') ?? throw UnusableCall::missing('--pattern SLOTS.json');
        is_file($file) || throw UnusableCall::file($file);

        return Pattern::json((string) file_get_contents($file));
    }

    /**
     * Exports this worker's share: every nth row.
     *
     * @param  array{rows: list<array<string, string>>, numbers: list<int>, problems: list<string>}  $table
     * @param  resource  $out
     */
    private static function share(Artwork $artwork, Pattern $pattern, Shelf $shelf, array $table, string $folder, string $kept, int $first, int $every, bool $check, mixed $out): int
    {
        $pictures = new FrozenPictures(new FolderPictures($kept, materials: Materials::kept()));
        $renderer = new Renderer($shelf, $pictures, $artwork);
        $filling = new Filling($artwork, $pattern, $renderer->placer);
        [$windows, $letters] = self::windows($artwork, $filling, $renderer, $table['rows']);
        $png = new BandedPng($renderer->picture($artwork, Frame::sheet($artwork->sheet, $artwork->sheet->ppi->value), fn (LayerTrouble $trouble): null => null));
        // Draw what all rows have in common once and keep it in the cache.
        array_map(fn (Frame $window): Image => $renderer->picture($artwork, $window, fn (LayerTrouble $trouble): null => null)->settled(), $windows);
        $pictures->freeze();
        $failed = $first === 0 ? self::uneven($letters, $table['numbers'], $out) : 0;
        for ($i = $first, $made = 1; $i < count($table['rows']); $i += $every, $made++) {
            if ($made % self::ANEW === 0) {
                // Free what the renderer holds in memory of finished rows.
                $renderer = new Renderer($shelf, $pictures, $artwork);
                $filling = new Filling($artwork, $pattern, $renderer->placer);
            }
            $title = $pattern->called($table['rows'][$i], $artwork->title, $i + 1);
            try {
                $filled = $filling->row($table['rows'][$i], title: $title);
                $file = sprintf('%s/%04d-%s', $folder, $i + 1, PrintPng::fileName($title));
                $parts = array_combine(array_column($windows, 'top'), array_map(fn (Frame $window): Image => $renderer->picture($filled->artwork, $window), $windows));
                $png->write($parts, $file, $artwork->sheet->ppi, $title);
                $faults = array_column(array_filter($filled->notes, fn (RowNote $note): bool => $note->grave), 'says');
                if ($check) {
                    $faults = [...$faults, ...self::faults($filled->artwork, $renderer, $shelf, array_values($table['rows'][$i]))];
                }
            } catch (PatternInvalid|LayerTrouble $trouble) {
                $faults = [$trouble->getMessage()];
            }
            $failed += $faults === [] ? 0 : 1;
            fwrite($out, sprintf("row %d, %s: %s\n", $table['numbers'][$i], $title, $faults === [] ? 'made' : implode(' ', $faults)));
        }

        return $failed;
    }

    /**
     * @param  list<array<string, string>>  $rows
     * @return array{list<Frame>, array<int, array<string, float>>} the parts in which rows differ, and the letter heights of each row
     */
    private static function windows(Artwork $artwork, Filling $filling, Renderer $renderer, array $rows): array
    {
        $differing = new Differing($artwork, $renderer->placer);
        $letters = [];
        foreach ($rows as $i => $row) {
            try {
                $filled = $filling->row($row);
                $differing->add($filled->artwork);
                $letters[$i] = $filled->letters;
            } catch (PatternInvalid) {
                // Reported when the row is exported.
            }
        }

        return [$differing->windows(Frame::sheet($artwork->sheet, $artwork->sheet->ppi->value)), $letters];
    }

    /**
     * @param  list<string>  $words  words of the list, which the spelling check accepts
     * @return list<string>
     */
    private static function faults(Artwork $artwork, Renderer $renderer, Shelf $shelf, array $words): array
    {
        $spelt = array_map(mb_strtolower(...), preg_split('/[^\p{L}\p{M}\'’-]+/u', implode(' ', $words), -1, PREG_SPLIT_NO_EMPTY) ?: []);
        $faults = [];
        foreach (Preflight::artwork($artwork, $renderer, $shelf, words: $spelt)->findings as $finding) {
            if ($finding->verdict === Verdict::Fail && $finding->counts()) {
                $faults[] = "$finding->word: $finding->figure.";
            }
        }

        return $faults;
    }

    /**
     * @param  array<int, array<string, float>>  $letters
     * @param  list<int>  $numbers
     * @param  resource  $out
     */
    private static function uneven(array $letters, array $numbers, mixed $out): int
    {
        $notes = Evenness::notes($letters);
        foreach ($notes as $i => $of) {
            fwrite($out, sprintf("row %d: %s\n", $numbers[$i], implode(' ', array_column($of, 'says'))));
        }

        return count($notes);
    }
}
