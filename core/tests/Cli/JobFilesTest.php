<?php

declare(strict_types=1);

use TallCrow\Cli\Crow;
use TallCrow\Tests\Fixtures;

/** A sheet alone in a folder, as it lies in demo/artworks. */
function lone_sheet(): string
{
    $path = Fixtures::temporary('sheet').'/badge.json';
    copy(Fixtures::assets().'/rangers-badge.json', $path);

    return $path;
}

it('packs a job, and draws from the file, from its folder and from shelves alike', function (): void {
    $work = Fixtures::temporary('work');
    $sheet = lone_sheet();
    [$code, $said] = Fixtures::crow('pack', $sheet, '--shelf', $work, '--shelf', Fixtures::assets(), '--out', "$work/badge.crow");
    expect($code)->toBe(Crow::FINE)->and($said)->toContain(sprintf('with %d files', count(Fixtures::demo('rangers-badge')->files())));
    expect(Fixtures::crow('unpack', "$work/badge.crow", '--out', "$work/badge")[0])->toBe(Crow::FINE);
    $ways = [[$sheet, '--shelf', Fixtures::assets()], ["$work/badge.crow"], ["$work/badge/artwork.json"]];
    foreach ($ways as $i => $way) {
        expect(Fixtures::crow('render', ...$way, ...['--out', "$work/$i.png", '--ppi', '40'])[0])->toBe(Crow::FINE);
    }
    // ImageMagick says how many pixels differ.
    foreach (['1', '2'] as $other) {
        expect(Fixtures::run(['convert', "$work/0.png", "$work/$other.png", '-metric', 'AE', '-compare', '-format', '%[distortion]', 'info:']))->toBe('0');
    }
    expect(Fixtures::crow('preflight', "$work/badge.crow")[1])->toContain('pass');
});

it('carries the licences that stand beside the files', function (): void {
    $work = Fixtures::temporary('work');
    $name = Fixtures::demo('rangers-badge')->files()[0];
    copy(Fixtures::assets()."/$name", "$work/$name");
    file_put_contents("$work/licences.json", json_encode([$name => ['licence' => 'OFL-1.1', 'author' => 'Quarry Road type']]));
    Fixtures::crow('pack', lone_sheet(), '--shelf', $work, '--shelf', Fixtures::assets(), '--out', "$work/badge.crow");
    Fixtures::crow('unpack', "$work/badge.crow", '--out', "$work/badge");
    expect(json_decode((string) file_get_contents("$work/badge/licences.json"), true)[$name])->toBe(['licence' => 'OFL-1.1', 'author' => 'Quarry Road type', 'url' => '']);
});

it('says what is wrong with a job file, a shelf or a folder', function (Closure $words, string $says): void {
    [$code, , $error] = Fixtures::crow(...$words(Fixtures::temporary('work')));
    expect($code)->toBe(Crow::UNUSABLE)->and($error)->toContain($says);
})->with([
    'a shelf that is not there' => [fn (string $work): array => ['render', lone_sheet(), '--shelf', "$work/none", '--out', "$work/a.png"], 'none'],
    'a font on no shelf' => [fn (string $work): array => ['pack', lone_sheet(), '--out', "$work/a.crow"], 'not'],
    'no job file' => [fn (string $work): array => ['unpack', lone_sheet(), '--out', "$work/a"], 'no zip'],
    'a folder with something in it' => [function (string $work): array {
        touch("$work/kite");

        return ['unpack', lone_sheet(), '--out', $work];
    }, 'empty'],
]);
