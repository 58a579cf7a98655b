<?php

declare(strict_types=1);

namespace TallCrow\Cli;

use TallCrow\Asset\FolderShelf;
use TallCrow\Asset\ManyShelves;
use TallCrow\Render\NoPictures;
use TallCrow\Render\Renderer;

/** Runs the checks over the cases of a folder and counts, for each check, faults found, faults missed and false reports. */
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
        foreach (array_map(TrialCase::read(...), $files) as $case) {
            foreach ($case->judged($case->report(new Renderer($shelf, new NoPictures(Materials::kept())), $shelf)) as [$key, $expected, $told]) {
                $kind = $expected ? ($told ? 'found' : 'missed') : ($told ? 'false' : 'right');
                $check = explode(':', $key)[0];
                $counts[$check][$kind] = ($counts[$check][$kind] ?? 0) + 1;
                if ($told !== $expected) {
                    $wrong[] = sprintf('%s: %s %s (%s)', $case->name, $key, $expected ? 'missed' : 'falsely told', $case->says);
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
}
