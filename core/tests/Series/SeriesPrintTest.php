<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Export\BandedPng;
use TallCrow\Measure\Ppi;
use TallCrow\Raster\Composition;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\PictureType;
use TallCrow\Render\Frame;
use TallCrow\Series\Differing;
use TallCrow\Series\Filling;
use TallCrow\Series\Pattern;
use TallCrow\Tests\Fixtures;

/** A disc, a worn bar, a name and a year on a sheet 3 × 4 in. */
function shirts(array $more = []): Artwork
{
    return Fixtures::artwork([
        Fixtures::shape('disc', 'ellipse', 1.4, '#d9a441', ['placement' => ['y' => 2.4, 'height' => 1.4]]),
        Fixtures::words('name', 'Wren', 2.4, ['placement' => ['y' => 0.8], 'effects' => [1 => ['kind' => 'outline', 'width' => 0.05, 'colour' => '#b33a1f']]]),
        Fixtures::words('year', '1931', 0.8, ['placement' => ['y' => 3.7]]),
    ], $more);
}

function shirt_slots(): Pattern
{
    return Pattern::data(['format' => Pattern::FORMAT, 'title' => '{Name} {Year}', 'slots' => [['name' => 'Name', 'places' => ['name/source/text'], 'fit' => ['keep' => 'box', 'least' => 0.2]], ['name' => 'Year', 'places' => ['year/source/text']]]]);
}

it('writes a PNG in bands that other readers read, the same pixels as a plain one', function (): void {
    $picture = Fixtures::render(shirts(), 100);
    $file = Fixtures::temporary('banded').'/print.png';
    (new BandedPng($picture))->write([], $file, Ppi::of(100), 'Kites');
    expect(Fixtures::run(['pngcheck', '-q', $file]))->toBe('')->and(Fixtures::run(['identify', '-format', '%w %h %[channels] %x', $file]))->toStartWith('300 400 srgba')
        ->and(ImageFile::read(PictureType::Png, $file)->asInk()->alpha()->toBytes())->toBe($picture->alpha()->toBytes());
    $part = Fixtures::render(shirts()->withoutLayer('disc'), 100)->crop(0, 192, 300, 96);
    (new BandedPng($picture))->write([192 => $part], $file, Ppi::of(100), '');
    $read = ImageFile::read(PictureType::Png, $file)->asInk();
    expect($read->crop(0, 192, 300, 96)->alpha()->toBytes())->toBe($part->alpha()->toBytes())->and($read->crop(0, 0, 300, 192)->alpha()->toBytes())->toBe($picture->crop(0, 0, 300, 192)->alpha()->toBytes())
        ->and(Fixtures::run(['pngcheck', '-q', $file]))->toBe('');
});

it('draws anew only where rows differ', function (): void {
    $renderer = Fixtures::renderer();
    $sheet = Frame::sheet(shirts()->sheet, 300);
    $windows = function (Artwork $pattern, array ...$rows) use ($renderer, $sheet): array {
        $differing = new Differing($pattern, $renderer->placer);
        foreach ($rows as $row) {
            $differing->add((new Filling($pattern, shirt_slots(), $renderer->placer))->row($row)->artwork);
        }

        return array_map(fn (Frame $one): array => [$one->top, $one->top + $one->height], $differing->windows($sheet));
    };
    expect($windows(shirts(), ['Name' => 'Wren']))->toBe([])->and($windows(shirts(), ['Year' => '1932']))->toHaveCount(1)->and($windows(shirts(), ['Year' => '1932'])[0][0])->toBeGreaterThan(900);
    $both = $windows(shirts(), ['Name' => 'Rook', 'Year' => '1932'], ['Name' => 'Featherstone']);
    expect($both)->toHaveCount(2)->and($both[0][0])->toBeLessThanOrEqual(96)->and($both[1][1])->toBe(1200)->and($both[0][1] % 96)->toBe(0)->and($both[0][1])->toBeLessThan($both[1][0]);
    // What is worn along its edges is changed further about.
    $chipped = shirts(['distress' => [['texture' => 'chipped-edges', 'amount' => 0.2, 'scale' => 1, 'seed' => 3]]]);
    expect($windows($chipped, ['Name' => 'Rook'])[0][1])->toBeGreaterThan($windows(shirts(), ['Name' => 'Rook'])[0][1]);
});

it('prints a series as its rows are printed one by one, and tells what is wrong by row', function (int $workers): void {
    $folder = Fixtures::temporary('series');
    $artwork = shirts(['distress' => [['texture' => 'speckle', 'amount' => 0.1, 'scale' => 1, 'seed' => 3]]]);
    file_put_contents("$folder/sheet.json", json_encode($artwork->toArray()));
    file_put_contents("$folder/slots.json", json_encode(shirt_slots()->toArray()));
    file_put_contents("$folder/list.csv", "name,year,town\nRook,1932,x\nMoth,,y\nFeatherstonehaughs-of-the-long-road,1934,z\nKite,1935,x\nWren,1936,x\n");
    exec(implode(' ', array_map(escapeshellarg(...), [dirname(__DIR__, 3).'/bin/crow', 'series', "$folder/sheet.json", '--pattern', "$folder/slots.json", '--rows', "$folder/list.csv", '--out', "$folder/out", '--workers', (string) $workers, '--shelf', Fixtures::assets()])), $said, $code);
    $out = implode("\n", $said);
    expect($code)->toBe(1)->and($out)->toContain('Row 3, column year: is empty.')->toContain('row 4, Featherstonehaughs-of-the-long-road 1934: ')->toContain('0.20 in is the least')->toContain('small beside the others')->toContain('row 2, Rook 1932: made')
        ->and(array_map(basename(...), glob("$folder/out/*") ?: []))->toBe(['0001-rook-1932.png', '0002-featherstonehaughs-of-the-long-road-1934.png', '0003-kite-1935.png', '0004-wren-1936.png']);
    $alone = (new Filling($artwork, shirt_slots(), Fixtures::renderer()->placer))->row(['Name' => 'Kite', 'Year' => '1935'])->artwork;
    $theirs = ImageFile::read(PictureType::Png, "$folder/out/0003-kite-1935.png")->asInk();
    expect(Composition::withoutHiddenColour(Fixtures::renderer(pattern: $artwork)->picture($alone, Frame::sheet($alone->sheet, 300))->settled())->minus($theirs)->operation('abs')->settled()->range()[1])->toBeLessThanOrEqual(2.0);
    [$code, $out] = Fixtures::crow('series', "$folder/sheet.json", '--rows', "$folder/list.csv", '--out', "$folder/out");
    expect($code)->toBe(2);
})->with([1, 2]);

it('checks every row at print size where it is asked to, names of the list spelt as they are', function (): void {
    $folder = Fixtures::temporary('series');
    file_put_contents("$folder/sheet.json", json_encode(shirts()->toArray()));
    file_put_contents("$folder/slots.json", json_encode(shirt_slots()->toArray()));
    file_put_contents("$folder/list.csv", "Name,Year\nXqvtrwz,1932\n");
    $run = fn (string ...$more): string => Fixtures::crow('series', "$folder/sheet.json", '--pattern', "$folder/slots.json", '--rows', "$folder/list.csv", '--out', "$folder/out", '--shelf', Fixtures::assets(), ...$more)[1];
    expect($run())->toContain('made')->and($run('--check'))->not->toContain('Spelling');
});
