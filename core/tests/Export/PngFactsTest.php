<?php

declare(strict_types=1);

use TallCrow\Export\PngBroken;
use TallCrow\Export\PngFacts;
use TallCrow\Tests\Fixtures;

/** A PNG file of chunks, put together by hand (PNG Specification, Third Edition, 5.3). @param  list<array{string, string}>  $chunks */
function chunked(array $chunks): string
{
    $chunk = fn (string $type, string $data): string => pack('N', strlen($data)).$type.$data.pack('N', crc32($type.$data));
    $head = $chunk('IHDR', pack('NNCCCCC', 4, 4, 8, 6, 0, 0, 0));
    $rows = $chunk('IDAT', (string) gzcompress(str_repeat("\0".str_repeat("\x80\x90\xa0\xff", 4), 4)));
    $path = Fixtures::temporary('png-facts').'/of.png';
    file_put_contents($path, "\x89PNG\r\n\x1a\n".$head.implode('', array_map(fn (array $one): string => $chunk(...$one), $chunks)).$rows.$chunk('IEND', ''));

    return $path;
}

/** A profile with a copyright and then a description (ICC.1:2022, 7.2 and 7.3). */
function icc(?string $description): string
{
    $tags = ['cprt' => "text\0\0\0\0None\0"] + ($description === null ? [] : ['desc' => $description]);
    $at = 132 + 12 * count($tags);
    [$table, $data] = [pack('N', count($tags)), ''];
    foreach ($tags as $name => $tag) {
        $table .= $name.pack('NN', $at + strlen($data), strlen($tag));
        $data .= str_pad($tag, (strlen($tag) + 3) & ~3, "\0");
    }
    $head = pack('N', 128 + strlen($table.$data))."\0\0\0\0\x02\x40\0\0mntrRGB XYZ ".str_repeat("\0", 12).'acsp';

    return str_pad($head, 128, "\0").$table.$data;
}

/** As profiles of version 2 hold it (ICC.1:2001-04, 6.5.17). */
function said_plainly(string $text): string
{
    return "desc\0\0\0\0".pack('N', strlen($text) + 1).$text."\0".str_repeat("\0", 78);
}

/** As profiles of version 4 do (ICC.1:2022, 10.15). */
function said_in_languages(string $text): string
{
    $wide = mb_convert_encoding($text, 'UTF-16BE', 'UTF-8');

    return "mluc\0\0\0\0".pack('NN', 1, 12).'enUS'.pack('NN', strlen($wide), 28).$wide;
}

it('names the profile of a file by what it calls itself, and none that is sRGB', function (string $named, string|false $profile, ?string $told): void {
    $packed = $profile === false ? 'not packed' : (string) gzcompress($profile);
    $path = chunked([['iCCP', "$named\0\0$packed"]]);
    expect(Fixtures::silently(fn (): PngFacts => PngFacts::of($path))->profile)->toBe($told);
    // ImageMagick reads the same name out of it, in its own way beyond ASCII.
    $told === null || $profile === false || ! str_contains($profile, 'desc') || ! mb_check_encoding($told, 'ASCII') || expect(Fixtures::run(['identify', '-quiet', '-format', '%[profile:icc]', $path]))->toBe($told);
})->with([
    'version 2' => ['icc', icc(said_plainly('Quarry Wide 3')), 'Quarry Wide 3'],
    'version 4' => ['icc', icc(said_in_languages('Quarry Wide 4')), 'Quarry Wide 4'],
    'with letters beyond ASCII' => ['icc', icc(said_in_languages('Möwe RGB')), 'Möwe RGB'],
    'sRGB by its description' => ['icc', icc(said_plainly('sRGB IEC61966-2.1')), null],
    'sRGB by its name' => ['sRGB built-in', icc(said_plainly('Built in')), null],
    'nothing described' => ['Tower', icc(null), 'Tower'],
    'nothing described or named' => ['', icc(null), 'a profile'],
    'broken' => ['Tower', false, 'Tower'],
]);

it('names code points that are not those of sRGB', function (string $data, ?string $told): void {
    expect(PngFacts::of(chunked([['cICP', $data]]))->profile)->toBe($told);
})->with([["\x01\x0d\0\x01", null], ["\x09\x10\0\x01", 'code points 9, 16'], ["\x01\x01\0\x01", 'code points 1, 1'], ["\x0c\x0d\0\x01", 'code points 12, 13'], ["\x09\x10", null]]);

it('reads pixels to the inch where they are told by the metre', function (string $data, ?float $ppi): void {
    expect(PngFacts::of(chunked([['pHYs', $data]]))->ppi)->toBe($ppi);
})->with([
    [pack('NNC', 11811, 11811, 1), 300.0], [pack('NNC', 3780, 3780, 1), 96.01], [pack('NNC', 2834, 2834, 1), 71.98],
    'of no unit' => [pack('NNC', 11811, 11811, 0), null], 'none' => [pack('NNC', 0, 0, 1), null], 'cut short' => ["\0\0\x2e", null],
]);

// Files that ImageMagick writes.
it('tells how the pixels of a file are held', function (array $how, string $form, array $facts): void {
    $path = Fixtures::temporary('png-facts').'/of.png';
    Fixtures::run(['convert', '-size', '30x20', 'gradient:#204060-#c0a080', ...$how, "$form:$path"]);
    $found = PngFacts::of($path);
    expect([$found->width, $found->height, $found->depth, $found->isPalette, $found->isGrey, $found->isInterlaced, $found->bytes])->toBe([30, 20, ...$facts, filesize($path)]);
})->with([
    'colours' => [[], 'PNG24', [8, false, false, false]],
    'colours and alpha' => [[], 'PNG32', [8, false, false, false]],
    'sixteen bits' => [[], 'PNG48', [16, false, false, false]],
    'a palette' => [[], 'PNG8', [8, true, false, false]],
    'greys' => [['-colorspace', 'Gray', '-define', 'png:color-type=0', '-define', 'png:bit-depth=8'], 'PNG', [8, false, true, false]],
    'greys and alpha' => [['-alpha', 'set', '-colorspace', 'Gray', '-define', 'png:color-type=4', '-define', 'png:bit-depth=8'], 'PNG', [8, false, true, false]],
    'interlaced' => [['-interlace', 'PNG'], 'PNG24', [8, false, false, true]],
]);

it('refuses what is no PNG, and one that ends too soon', function (): void {
    $path = chunked([]);
    file_put_contents("$path.txt", 'kites');
    file_put_contents("$path.cut", substr((string) file_get_contents($path), 0, -14));
    expect(fn () => PngFacts::of("$path.txt"))->toThrow(PngBroken::class)->and(fn () => PngFacts::of("$path.cut"))->toThrow(PngBroken::class);
});
