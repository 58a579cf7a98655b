<?php

declare(strict_types=1);

namespace TallCrow\Cli;

use TallCrow\Artwork\ArtworkReader;
use TallCrow\Artwork\Garment;
use TallCrow\Asset\FolderShelf;
use TallCrow\Asset\ManyShelves;
use TallCrow\Asset\PictureReader;
use TallCrow\Colour\Srgb;
use TallCrow\Export\PngFacts;
use TallCrow\Measure\HouseRule;
use TallCrow\Measure\Ppi;
use TallCrow\Measure\PrintArea;
use TallCrow\Preflight\Preflight;
use TallCrow\Preflight\Report;
use TallCrow\Preflight\Verdict;
use TallCrow\Render\NoPictures;
use TallCrow\Render\Renderer;

/**
 * Runs the checks over sheets and files of which it is known what is wrong with them, and counts for each check what was found, missed and falsely
 * told. A case is a JSON file: `says`, a `sheet` or a `file` beside it, `faults` (keys, or their beginnings, that must be told) and `fine` (that must not).
 */
final class TrialCommand
{
    /** @param  resource  $out */
    public static function run(Arguments $arguments, mixed $out): int
    {
        $folder = $arguments->operand('a folder of cases');
        $files = glob("$folder/*.json") ?: [];
        if ($files === []) {
            throw is_dir($folder) ? UnusableCall::missing("cases (*.json) in the folder $folder") : UnusableCall::folder($folder);
        }
        $shelf = new ManyShelves(array_map(fn (string $path): FolderShelf => new FolderShelf($path), [$folder, ...$arguments->options('shelf')]));
        $counts = [];
        $wrong = [];
        foreach ($files as $file) {
            /** @var array{says: string, sheet?: array<string, mixed>, file?: string, ppi?: float, on?: list<string>, area?: array{int, int}, faults: list<string>, fine: list<string>} $case */
            $case = json_decode((string) file_get_contents($file), true, flags: JSON_THROW_ON_ERROR);
            $report = self::report($case, $folder, $shelf);
            foreach (['faults' => true, 'fine' => false] as $list => $expected) {
                foreach ($case[$list] as $key) {
                    $told = self::isTold($report, $key);
                    $kind = $expected ? ($told ? 'found' : 'missed') : ($told ? 'false' : 'right');
                    $check = explode(':', $key)[0];
                    $counts[$check][$kind] = ($counts[$check][$kind] ?? 0) + 1;
                    if ($told !== $expected) {
                        $wrong[] = sprintf('%s: %s %s (%s)', basename($file, '.json'), $key, $expected ? 'missed' : 'falsely told', $case['says']);
                    }
                }
            }
        }
        ksort($counts);
        fprintf($out, "%-16s %6s %6s %6s %6s\n", 'check', 'found', 'missed', 'right', 'false');
        $all = ['found' => 0, 'missed' => 0, 'right' => 0, 'false' => 0];
        foreach ($counts as $check => $of) {
            fprintf($out, "%-16s %6d %6d %6d %6d\n", $check, $of['found'] ?? 0, $of['missed'] ?? 0, $of['right'] ?? 0, $of['false'] ?? 0);
            foreach ($all as $kind => $sum) {
                $all[$kind] = $sum + ($of[$kind] ?? 0);
            }
        }
        fprintf($out, "%-16s %6d %6d %6d %6d   of %d cases\n", 'all', $all['found'], $all['missed'], $all['right'], $all['false'], count($files));
        foreach ($wrong as $line) {
            fwrite($out, "$line\n");
        }

        return $all['missed'] === 0 && $all['false'] <= 1 ? Crow::FINE : Crow::FAILED;
    }

    /** @param  array{sheet?: array<string, mixed>, file?: string, ppi?: float, on?: list<string>, area?: array{int, int}}  $case */
    private static function report(array $case, string $folder, ManyShelves $shelf): Report
    {
        $area = isset($case['area']) ? PrintArea::pixels('', $case['area'][0], $case['area'][1], Ppi::of($case['ppi'] ?? 300.0)) : null;
        if (isset($case['sheet'])) {
            return Preflight::artwork(ArtworkReader::data($case['sheet']), new Renderer($shelf, new NoPictures(Materials::kept())), $shelf, $area);
        }
        $file = $folder.'/'.basename($case['file'] ?? '');
        $garments = array_map(fn (string $hex): Garment => new Garment($hex, Srgb::hex($hex)), $case['on'] ?? ['#1f1d1a']);

        return Preflight::picture(PictureReader::check($file)->pixels()->settled(), $case['ppi'] ?? 300.0, $garments, HouseRule::Strict300, PngFacts::of($file), $area);
    }

    private static function isTold(Report $report, string $key): bool
    {
        foreach ($report->findings as $finding) {
            if ($finding->verdict !== Verdict::Pass && ($finding->key === $key || str_starts_with($finding->key, $key.':'))) {
                return true;
            }
        }

        return false;
    }
}
