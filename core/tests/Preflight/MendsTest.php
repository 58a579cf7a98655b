<?php

declare(strict_types=1);

use TallCrow\Artwork\ArtworkReader;
use TallCrow\Asset\FolderShelf;
use TallCrow\Asset\ManyShelves;
use TallCrow\Cli\Materials;
use TallCrow\Edit\Operations;
use TallCrow\Preflight\Finding;
use TallCrow\Preflight\Preflight;
use TallCrow\Preflight\Report;
use TallCrow\Preflight\Verdict;
use TallCrow\Render\FolderPictures;
use TallCrow\Render\Renderer;
use TallCrow\Tests\Fixtures;

/** @return array<string, string> what does not hold, by key */
function faults_of(Report $report): array
{
    $faults = array_filter($report->findings, fn (Finding $finding): bool => $finding->verdict !== Verdict::Pass);

    return array_combine(array_map(fn (Finding $finding): string => $finding->key, $faults), array_map(fn (Finding $finding): string => $finding->figure, $faults));
}

it('mends what it says, and brings no other fault', function (string $file): void {
    $case = json_decode((string) file_get_contents(__DIR__."/trial/$file"), true, flags: JSON_THROW_ON_ERROR);
    $shelf = new ManyShelves([new FolderShelf(__DIR__.'/trial'), new FolderShelf(Fixtures::assets())]);
    $artwork = ArtworkReader::data($case['sheet']);
    // What a mend leaves as it was is drawn once, as on the bench.
    $renderer = new Renderer($shelf, new FolderPictures(Fixtures::temporary('mends'), materials: Materials::kept()));
    $before = Preflight::artwork($artwork, $renderer, $shelf);
    foreach ($before->findings as $finding) {
        foreach ($finding->verdict === Verdict::Pass ? [] : $finding->mends as $mend) {
            $after = faults_of(Preflight::artwork(Operations::apply($mend->operations, $artwork, $renderer->placer)->artwork, $renderer, $shelf));
            expect($after)->not->toHaveKey($finding->key, $mend->says)
                ->and(array_diff_key($after, faults_of($before)))->toBe([], $mend->says);
        }
    }
    expect($before->findings)->not->toBe([]);
})->with(function (): array {
    $cases = array_map(basename(...), glob(__DIR__.'/trial/*.json') ?: []);

    return array_values(array_filter($cases, function (string $file): bool {
        $case = json_decode((string) file_get_contents(__DIR__."/trial/$file"), true);

        return isset($case['sheet']) && $case['faults'] !== [];
    }));
});
