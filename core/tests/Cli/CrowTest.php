<?php

declare(strict_types=1);

use TallCrow\Cli\Crow;
use TallCrow\Tests\Fixtures;

it('renders at any ppi and any region, with assets found beside the artwork', function (): void {
    $out = Fixtures::temporary('crow').'/out.png';
    expect(Fixtures::crow('render', Fixtures::assets().'/rangers-badge.json', '--out', $out, '--ppi', '50')[0])->toBe(Crow::FINE)
        ->and(array_slice((array) getimagesize($out), 0, 2))->toBe([600, 600]);
    [$code, $said] = Fixtures::crow('render', Fixtures::assets().'/rangers-badge.json', "--out=$out", '--region=1500,1200,320,200');
    expect($code)->toBe(Crow::FINE)->and($said)->toContain('320 × 200 px, 300 ppi')->and(array_slice((array) getimagesize($out), 0, 2))->toBe([320, 200]);
});

it('answers preflight in words and in JSON, and with its exit code', function (): void {
    $folder = Fixtures::temporary('crow');
    foreach (['fine' => '#b04a2c', 'lost' => '#e4d9c3'] as $name => $colour) {
        file_put_contents("$folder/$name.json", json_encode(Fixtures::sheet([Fixtures::shape('disc', 'ellipse', 2.0, $colour)])));
    }
    [$code, $json] = Fixtures::crow('preflight', "$folder/fine.json", '--json');
    $report = json_decode($json, true, flags: JSON_THROW_ON_ERROR);
    expect($code)->toBe(Crow::FINE)->and($report['verdict'])->toBe('pass')->and(array_column($report['findings'], 'key'))->toContain('sheet', 'edge', 'haze', 'vanish:Slate');
    // Oat on oat.
    [$code, $words] = Fixtures::crow('preflight', "$folder/lost.json");
    expect($code)->toBe(Crow::FAILED)->and($words)->toContain('fail On Oat')->toContain('pass Edges');
});

it('inspects any PNG, also one that was made elsewhere', function (): void {
    $file = Fixtures::temporary('crow').'/other.png';
    Fixtures::run(['convert', '-size', '1200x900', 'xc:white', '-fill', '#1d2b1f', '-draw', 'circle 600,450 600,100', '-units', 'PixelsPerInch', '-density', '72', $file]);
    [$code, $json] = Fixtures::crow('inspect', $file, '--width', '10in', '--on', '#1d2b1f', '--rule', 'accept-200', '--json');
    $report = json_decode($json, true, flags: JSON_THROW_ON_ERROR);
    $verdicts = array_column($report['findings'], 'verdict', 'key');
    expect($code)->toBe(Crow::FAILED)->and($report['effective_ppi'])->toEqual(120)->and($report['stated_ppi'])->toEqualWithDelta(72, 0.02)
        ->and($verdicts['sheet'])->toBe('fail')->and($verdicts['background'])->toBe('fail')->and($verdicts['edge'])->toBe('fail')
        // The disc is of the cloth's colour, and stands in white all round.
        ->and($verdicts['vanish:#1d2b1f'])->toBe('pass')->and($verdicts['file-ppi'])->toBe('warn');
    expect(Fixtures::crow('inspect', $file, '--width', '3in')[1])->toContain('effective ppi: 400');
});

it('answers unusable input with 2 and one line', function (array $words, string $says): void {
    [$code, , $error] = Fixtures::crow(...array_map(fn (string $w): string => str_replace('{demo}', Fixtures::assets(), $w), $words));
    expect($code)->toBe(Crow::UNUSABLE)->and($error)->toStartWith('crow: ')->toContain($says)->and(substr_count($error, "\n"))->toBe(1);
})->with([
    [['polish'], 'is no command'], [['render'], 'Missing: an artwork'], [['render', '/nowhere.json', '--out', 'x.png'], 'no file that can be read'],
    [['render', '{demo}/kite-day.json'], 'Missing: --out'], [['render', '{demo}/kite-day.json', '--out', '/tmp/x.png', '--ppi', 'many'], 'is outside 1 to 2400'],
    [['render', '{demo}/kite-day.json', '--out', '/tmp/x.png', '--region', '9000,9000,5,5'], 'not X,Y,W,H within'],
    [['render', '{demo}/kite-day.json', '--glossy'], 'not known'], [['preflight', '{demo}/raven.svg'], 'is not JSON'], [['inspect', '{demo}/raven.svg'], 'is not a PNG file'],
    [['inspect', '{demo}/night-sky.png', '--width', 'wide'], 'is not a length'], [['inspect', '{demo}/night-sky.png', '--width', '3in', '--on', 'mud'], 'is not a colour'],
    [['render', 'a', 'b', 'c'], 'one word too many'], [['render', '--out'], 'a value for --out'],
]);

it('helps when asked', function (): void {
    expect(Fixtures::crow('--help'))->toMatchArray([0 => Crow::FINE, 2 => ''])->and(Fixtures::crow()[1])->toContain('bin/crow inspect');
});

it('runs from the shell', function (): void {
    exec('php '.escapeshellarg(dirname(__DIR__, 3).'/bin/crow').' inspect /nowhere.png 2>&1', $lines, $code);
    expect($code)->toBe(2)->and($lines)->toHaveCount(1);
});
