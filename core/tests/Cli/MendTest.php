<?php

declare(strict_types=1);

use TallCrow\Cli\Crow;
use TallCrow\Export\PngFacts;
use TallCrow\Tests\Fixtures;

it('writes a right file of a wrong one, and finds nothing more to say about it', function (string $as, array $how, array $faults): void {
    $folder = Fixtures::temporary('mend');
    Fixtures::run(['convert', '-size', '600x600', 'xc:none', '-fill', '#b04a2c', '-draw', 'circle 300,300 300,60', ...$how, "$as$folder/wrong.png"]);
    $verdicts = fn (string $file): array => array_column(json_decode(Fixtures::crow('inspect', "$folder/$file", '--width', '2in', '--json')[1], true, flags: JSON_THROW_ON_ERROR)['findings'], 'verdict', 'key');
    foreach ($faults as $key) {
        expect($verdicts('wrong.png')[$key])->not->toBe('pass', $key);
    }
    [$code, $said] = Fixtures::crow('mend', "$folder/wrong.png", '--out', "$folder/right.png", '--width', '2in');
    expect($code)->toBe(Crow::FINE)->and($said)->toContain('600 × 600 px, 300 ppi');
    $after = $verdicts('right.png');
    foreach (['file-ppi', 'file-depth', 'file-palette', 'file-interlace', 'file-profile', 'file-hidden'] as $key) {
        expect($after[$key])->toBe('pass', $key);
    }
    // What ImageMagick and the chunks say: 8-bit, true colour and alpha, not interlaced.
    expect(trim(Fixtures::run(['identify', '-format', '%[png:IHDR.bit-depth-orig] %[png:IHDR.color-type-orig] %[png:IHDR.interlace_method]', "$folder/right.png"])))->toStartWith('8 6 0')
        ->and(PngFacts::of("$folder/right.png")->ppi)->toEqualWithDelta(300.0, 0.02);
})->with([
    'deep and interlaced, at 72' => ['PNG64:', ['-depth', '16', '-interlace', 'PNG', '-units', 'PixelsPerInch', '-density', '72'], ['file-depth', 'file-interlace', 'file-ppi']],
    'a palette, without ppi' => ['PNG8:', [], ['file-palette', 'file-ppi']],
]);

it('knows a profile other than sRGB by what it says of itself', function (): void {
    $folder = Fixtures::temporary('profile');
    Fixtures::run(['convert', '-size', '300x300', 'xc:#b04a2c', "PNG32:$folder/plain.png"]);
    // A profile of version 2 with one tag: its count, its place and size, and the text.
    $profile = fn (string $about): string => str_repeat("\0", 128).pack('N', 1).'desc'.pack('NN', 144, 12 + strlen($about) + 1).'desc'.pack('NN', 0, strlen($about) + 1).$about."\0";
    $chunk = fn (string $name, string $about): TallCrow\Export\PngChunk => new TallCrow\Export\PngChunk('iCCP', "$name\0\0".gzcompress($profile($about)));
    TallCrow\Export\PngFile::withChunks("$folder/plain.png", "$folder/wide.png", [$chunk('icc', 'Wide gamut P3')]);
    TallCrow\Export\PngFile::withChunks("$folder/plain.png", "$folder/usual.png", [$chunk('icc', 'sRGB IEC61966-2.1')]);
    expect(PngFacts::of("$folder/wide.png")->profile)->toBe('Wide gamut P3')->and(PngFacts::of("$folder/usual.png")->profile)->toBeNull()->and(PngFacts::of("$folder/plain.png")->profile)->toBeNull();
    // One of Debian's icc-profiles-free, as ImageMagick writes it into a file.
    Fixtures::run(['convert', "$folder/plain.png", '-profile', '/usr/share/color/icc/LStar-RGB.icc', "PNG32:$folder/star.png"]);
    expect(PngFacts::of("$folder/star.png")->profile)->toContain('RGB')->not->toContain("\0");
});

it('holds a file against the pixels of a print area, and asks for what it needs', function (): void {
    $file = Fixtures::temporary('area').'/plain.png';
    Fixtures::run(['convert', '-size', '300x400', 'xc:none', '-fill', '#b04a2c', '-draw', 'circle 150,200 150,80', "PNG32:$file"]);
    $verdict = fn (string $area): string => array_column(json_decode(Fixtures::crow('inspect', $file, '--width', '1in', '--area', $area, '--json')[1], true, flags: JSON_THROW_ON_ERROR)['findings'], 'verdict', 'key')['file-area'];
    expect($verdict('300,400'))->toBe('pass')->and($verdict('4500,5400'))->toBe('fail')
        ->and(Fixtures::crow('inspect', $file, '--width', '1in', '--area', 'wide')[0])->toBe(Crow::UNUSABLE)
        ->and(Fixtures::crow('mend', $file, '--out', "$file.png")[2])->toContain('--ppi N or --width');
});

it('presses a part of a job on a cloth: opaque, and as large as was asked', function (): void {
    $out = Fixtures::temporary('press').'/press.png';
    [$code, $said] = Fixtures::crow('press', Fixtures::assets().'/kite-day.json', '--on', '#24382c', '--out', $out, '--region', '900,2700,300,200');
    expect($code)->toBe(Crow::FINE)->and($said)->toContain('300 × 200 px as printed on #24382c')->and(array_slice((array) getimagesize($out), 0, 2))->toBe([300, 200])
        ->and(trim(Fixtures::run(['convert', $out, '-format', '%[fx:minima.a]', 'info:'])))->toBe('1')
        ->and(Fixtures::crow('press', Fixtures::assets().'/kite-day.json', '--on', '#24382c', '--out', $out, '--region', 'x')[0])->toBe(Crow::UNUSABLE);
});
