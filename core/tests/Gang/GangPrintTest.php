<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Cli\Crow;
use TallCrow\Gang\GangCut;
use TallCrow\Gang\GangRefused;
use TallCrow\Measure\Ppi;
use TallCrow\Tests\Fixtures;

/** @return list<array<string, mixed>> what the command says, line by line */
function gang(array $list, string $folder): array
{
    file_put_contents("$folder/list.json", json_encode($list));
    $out = fopen('php://temp', 'w+b');
    $error = fopen('php://temp', 'w+b');
    $code = Crow::run(['gang', "$folder/list.json", '--out', "$folder/film", '--scratch', "$folder/scratch", '--shelf', Fixtures::assets()], $out, $error);
    expect($code)->toBe(0, (string) stream_get_contents($error, offset: 0));

    return array_map(fn (string $line): array => json_decode($line, true), explode("\n", trim((string) stream_get_contents($out, offset: 0))));
}

/** A red plate of 2 × 1 in with a hole of cloth at its left, so that turning and mirroring show. */
function holed_plate(): Artwork
{
    return Fixtures::artwork([
        Fixtures::shape('plate', 'rectangle', 2, '#ff0000', ['placement' => ['x' => 1.5, 'y' => 1.25, 'height' => 1.0]]),
        Fixtures::shape('hole', 'rectangle', 0.5, more: ['placement' => ['x' => 0.85, 'y' => 1.25, 'height' => 0.5], 'role' => ['kind' => 'knockout', 'gap' => 0]]),
    ]);
}

/** Of one pixel, as ImageMagick reads it. */
function pixel_at(string $file, int $x, int $y): string
{
    exec('convert '.escapeshellarg($file)." -format '%[hex:u.p{{$x},{$y}}]' info:", $lines);

    return $lines[0] ?? '';
}

it('cuts a design to its ink at the width that is asked for', function (): void {
    $renderer = Fixtures::renderer();
    $cut = GangCut::of(holed_plate(), 4.0, Ppi::of(100), $renderer);

    expect([$cut->sheet->width, $cut->sheet->height])->toBe([400, 200])->and($cut->layer('plate')?->placement)->toMatchObject(['x' => 2.0, 'y' => 1.0, 'width' => 4.0])
        ->and(GangCut::of(holed_plate(), null, Ppi::of(100), $renderer)->sheet->width)->toBe(200)->and(fn () => GangCut::of(Fixtures::artwork([]), null, Ppi::of(100), $renderer))->toThrow(GangRefused::class, 'has no ink');
});

it('lays copies on film where the layout says, mirrored at the end, with ticks in the gap', function (bool $mirrored): void {
    $folder = Fixtures::temporary('gang');
    file_put_contents("$folder/plate.json", json_encode(holed_plate()->toArray()));
    $said = gang(['film' => ['width' => 5, 'length' => 4, 'gap' => 0.5, 'margin' => 0.25], 'ppi' => 100, 'mirrored' => $mirrored, 'marks' => true, 'pieces' => [['sheet' => "$folder/plate.json", 'name' => 'Plate', 'width' => null, 'count' => 4, 'turns' => false]]], $folder);
    $done = end($said)['done'];
    $at = fn (int $x, int $y): string => pixel_at("$folder/film/film-1.png", $mirrored ? 499 - $x : $x, $y);

    // Two across, two down: from 0.25 in, 2 × 1 in each, half an inch apart.
    expect($done['sheets'])->toHaveCount(1)->and($done['sheets'][0])->toMatchArray(['width' => 500, 'height' => 400, 'sha256' => hash_file('sha256', "$folder/film/film-1.png")])->and($done['bound'])->toEqualWithDelta(8.0, 1e-6)->and($done['waste'])->toEqualWithDelta(0.6, 1e-6)
        ->and($at(200, 75))->toBe('FF0000FF')->and($at(60, 75))->toEndWith('00')->and($at(280, 75))->toBe('FF0000FF')->and($at(310, 75))->toEndWith('00')->and($at(400, 225))->toBe('FF0000FF')->and($at(250, 75))->toEndWith('00')
        // A tick right of the first copy, at its top.
        ->and($at(227, 25))->toBe('000000FF')->and($at(225, 127))->not->toBe('FF0000FF');
})->with([false, true]);

it('turns a copy by a quarter where it lies so', function (): void {
    $folder = Fixtures::temporary('gang');
    file_put_contents("$folder/plate.json", json_encode(holed_plate()->toArray()));
    $said = gang(['film' => ['width' => 1.5, 'length' => null, 'gap' => 0, 'margin' => 0.25], 'ppi' => 100, 'mirrored' => false, 'marks' => false, 'pieces' => [['sheet' => "$folder/plate.json", 'name' => 'Plate', 'width' => null, 'count' => 1, 'turns' => true]]], $folder);

    // The hole at its left lies at its top now.
    expect(end($said)['done']['sheets'][0])->toMatchArray(['width' => 150, 'height' => 250])->and(pixel_at("$folder/film/film-1.png", 75, 60))->toEndWith('00')->and(pixel_at("$folder/film/film-1.png", 75, 200))->toBe('FF0000FF');
});
