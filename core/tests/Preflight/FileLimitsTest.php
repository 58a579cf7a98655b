<?php

declare(strict_types=1);

use TallCrow\Artwork\Garment;
use TallCrow\Artwork\PrintMethod;
use TallCrow\Colour\Srgb;
use TallCrow\Export\PngFacts;
use TallCrow\Measure\HouseRule;
use TallCrow\Measure\Ppi;
use TallCrow\Measure\PrintArea;
use TallCrow\Preflight\BackgroundOfFile;
use TallCrow\Preflight\Dictionary;
use TallCrow\Preflight\FileFacts;
use TallCrow\Preflight\FileSize;
use TallCrow\Preflight\Finding;
use TallCrow\Preflight\FineDetail;
use TallCrow\Preflight\Method;
use TallCrow\Preflight\PictureSubject;
use TallCrow\Preflight\Preflight;
use TallCrow\Preflight\Verdict;
use TallCrow\Raster\Image;
use TallCrow\Tests\Fixtures;

/** A finished picture of one ink. */
function finished(Image $alpha, float $ppi = 300): PictureSubject
{
    return new PictureSubject(Image::flat(Srgb::of(20, 30, 40), $alpha)->settled(), $ppi, [], HouseRule::Strict300, PrintArea::pixels('file', $alpha->width(), $alpha->height(), Ppi::of($ppi)));
}

/** A band of full ink, as many pixels wide and high, at a place of a clear one. @param  list<array{int, int, int, int}>  $blocks left, top, width, height */
function blocks(int $width, int $height, array $blocks, int $level = 255, ?Image $on = null): Image
{
    return array_reduce($blocks, fn (Image $all, array $block): Image => $all->insert(Image::empty($block[2], $block[3], 1)->linearByte(1, $level), $block[0], $block[1]), $on ?? Image::empty($width, $height, 1))->settled();
}

/** @return array<string, Finding> */
function told_of_file(PngFacts $facts, ?Image $pixels = null, ?PrintArea $area = null): array
{
    $found = FileFacts::of($facts, $pixels ?? Image::flat(Srgb::of(0, 0, 0), blocks(40, 40, [[10, 10, 20, 20]]))->settled(), HouseRule::Strict300, 300.0, $area);

    return array_combine(array_map(fn (Finding $finding): string => $finding->key, $found), $found);
}

/** A file's head as its chunks tell it (PNG Specification, Third Edition), and as many bytes as are asked for. */
function png_facts(array $more = []): PngFacts
{
    $of = array_replace(['width' => 40, 'height' => 40, 'depth' => 8, 'type' => 6, 'interlace' => 0, 'ppi' => 300.0, 'profile' => null, 'bytes' => 0], $more);
    $chunk = fn (string $type, string $data): string => pack('N', strlen($data)).$type.$data.pack('N', crc32($type.$data));
    $file = "\x89PNG\r\n\x1a\n".$chunk('IHDR', pack('NNCCCCC', $of['width'], $of['height'], $of['depth'], $of['type'], 0, 0, $of['interlace']))
        .($of['profile'] === null ? '' : $chunk('iCCP', $of['profile']."\0\0".gzcompress('profile')))
        .($of['ppi'] === null ? '' : $chunk('pHYs', pack('NNC', (int) round($of['ppi'] / 0.0254), (int) round($of['ppi'] / 0.0254), 1)))
        .$chunk('IDAT', (string) gzcompress('')).$chunk('IEND', '');
    $path = Fixtures::temporary('facts').'/of.png';
    file_put_contents($path, $file);
    if ($of['bytes'] > 0) {
        $stream = fopen($path, 'r+b');
        assert($stream !== false);
        ftruncate($stream, $of['bytes']);
    }

    return PngFacts::of($path);
}

it('judges what a file states, each fact by its own limit', function (array $facts, string $key, Verdict $verdict, string $figure): void {
    $finding = told_of_file(png_facts($facts))[$key];
    expect($finding->verdict)->toBe($verdict)->and($finding->figure)->toStartWith($figure);
})->with([
    [['ppi' => 299.02], 'file-ppi', Verdict::Pass, '299'], [['ppi' => 298.9], 'file-ppi', Verdict::Warn, '298.'], [['ppi' => null], 'file-ppi', Verdict::Warn, 'none'],
    [['depth' => 8], 'file-depth', Verdict::Pass, '8 bit'], [['depth' => 16], 'file-depth', Verdict::Fail, '16 bit'], [['type' => 3], 'file-palette', Verdict::Warn, 'palette'], [['interlace' => 1], 'file-interlace', Verdict::Warn, 'interlaced'],
    [['profile' => 'Wide'], 'file-profile', Verdict::Fail, 'Wide'], [['bytes' => 100_000_000], 'file-bytes', Verdict::Pass, '100.0 MB'], [['bytes' => 100_200_000], 'file-bytes', Verdict::Warn, '100.2 MB'],
]);

it('holds the pixels of a file against the print area, both ways', function (int $width, int $height, Verdict $verdict): void {
    expect(told_of_file(png_facts(['width' => $width, 'height' => $height]), area: PrintArea::pixels('tee', 3600, 4800, Ppi::of(300)))['file-area']->verdict)->toBe($verdict);
})->with([[3600, 4800, Verdict::Pass], [3601, 4800, Verdict::Fail], [3600, 4799, Verdict::Fail]]);

it('finds colour under clear pixels from one in two thousand on', function (int $coloured, Verdict $verdict): void {
    // 200 × 100 clear pixels, some of which hold red.
    $alpha = Image::empty(200, 100, 1);
    $red = Image::raw(str_pad(str_repeat("\xff", $coloured), 200 * 100, "\0"), 200, 100, 1);
    $pixels = $red->withBand($alpha)->withBand($alpha)->withBand($alpha)->asColours()->settled();
    expect(told_of_file(png_facts(), $pixels)['file-hidden']->verdict)->toBe($verdict);
})->with([[0, Verdict::Pass], [10, Verdict::Pass], [11, Verdict::Warn], [18, Verdict::Warn]]);

it('counts how many pixels an edge is soft over', function (int $soft, int $level, bool $isFringed): void {
    // A band of full ink, and on either side as many pixels of partial ink.
    $alpha = blocks(200, 100, [[60 - $soft, 0, 80 + 2 * $soft, 100]], $level);
    $alpha = blocks(200, 100, [[60, 0, 80, 100]], 255, $alpha);
    expect(told_of_file(png_facts(), Image::flat(Srgb::of(0, 0, 0), $alpha)->settled())['file-fringe']->verdict === Verdict::Warn)->toBe($isFringed);
})->with([
    'sharp' => [0, 128, false], 'two pixels' => [2, 128, false], 'three pixels' => [3, 128, true], 'nearly clear' => [4, 7, false], 'a little above clear' => [4, 9, true], 'nearly full' => [4, 248, false], 'a little below full' => [4, 246, true],
]);

it('takes a file for too coarse that misses the rule by more than half a ppi', function (float $ppi, bool $isLow): void {
    expect(FileSize::isLow($ppi, 300.0))->toBe($isLow);
})->with([[300.0, false], [299.5, false], [299.4, true], [299.1, true], [150.0, true]]);

it('says how many ppi a file has and how many its rule asks for', function (float $ppi, Verdict $verdict, string $figure, string $says): void {
    $finding = (new FileSize)->picture(finished(Image::empty(60, 40, 1), $ppi))[0];
    expect([$finding->verdict, $finding->figure, $finding->limit])->toBe([$verdict, $figure, '300 ppi'])->and($finding->says)->toMatch($says);
})->with([
    [300.0, Verdict::Pass, '60 × 40 px, 300 ppi', '/^The file holds the rule ".+"\.$/'],
    [150.0, Verdict::Fail, '60 × 40 px, 150 ppi', '/^The file has 150 ppi at its printed size; the rule ".+" asks for 300\.$/'],
]);

it('tells three scraps and more, and fails from forty on', function (int $count, Verdict $verdict, string $figure): void {
    // Specks of 3 × 3 px at 300 ppi, a hundredth of an inch, 50 px apart, beside a plate.
    $specks = array_map(fn (int $i): array => [30 + 50 * ($i % 10), 30 + 50 * intdiv($i, 10), 3, 3], range(0, $count - 1));
    $finding = (new FineDetail)->picture(finished(blocks(600, 700, [[50, 400, 400, 250], ...$specks])))[0];
    expect([$finding->verdict, $finding->figure])->toBe([$verdict, $figure]);
})->with([[2, Verdict::Pass, '2'], [3, Verdict::Warn, '3'], [6, Verdict::Warn, '6'], [39, Verdict::Warn, '39'], [40, Verdict::Fail, '40']]);

it('takes for scraps what a square of 0.012 in would hold, ink or hole, that stands apart', function (int $side, int $apart, int $scraps): void {
    // Six specks in a row; at 300 ppi 0.012 in are 3.6 px, and 0.02 in of cloth are 6 px.
    $specks = array_map(fn (int $i): array => [40 + $i * ($side + $apart), 40, $side, $side], range(0, 5));
    $count = fn (Image $alpha): string => (new FineDetail)->picture(finished($alpha))[0]->figure;
    $expected = $scraps === 0 ? 'none' : (string) $scraps;
    expect($count(blocks(500, 200, [[20, 120, 450, 70], ...$specks])))->toBe($expected)
        ->and($count(blocks(500, 200, $specks, 0, blocks(500, 200, [[5, 5, 490, 190]]))))->toBe($expected);
})->with([[3, 40, 6], [4, 40, 0], [5, 40, 0], [3, 24, 6], [3, 1, 0]]);

it('tells scraps of ink and of cloth apart, and of few that they are few', function (): void {
    $says = function (int $specks, int $holes): string {
        $ink = blocks(700, 700, [[100, 400, 500, 250], ...array_map(fn (int $i): array => [60 + 60 * $i, 100, 2, 2], range(0, $specks - 1))]);
        $all = $holes === 0 ? $ink : blocks(700, 700, array_map(fn (int $i): array => [160 + 60 * $i, 500, 2, 2], range(0, $holes - 1)), 0, $ink);

        return (new FineDetail)->picture(finished($all))[0]->says;
    };
    expect($says(1, 4))->toStartWith('1 stray speck and 4 pinholes under')->toContain('dirt')->and($says(5, 1))->toStartWith('5 stray specks and 1 pinhole under')
        ->and($says(2, 0))->toStartWith('2 stray specks under')->toContain('too few');
});

it('tells fine lines and gaps that are a third of an inch long and more', function (float $inches, int $pixels, bool $isTold): void {
    $method = Method::of(PrintMethod::DirectToGarment);
    expect(min($method->line, $method->gap) * 600)->toBeGreaterThan(3.0);
    // At 600 ppi, so that the picture is fine enough by itself.
    $long = (int) ($inches * 600);
    [, $line] = (new FineDetail)->picture(finished(blocks(900, 600, [[100, 100, 700, 300], [100, 450, $long, $pixels]]), 600));
    [, , $gap] = (new FineDetail)->picture(finished(blocks(900, 600, [[100, 250, $long, $pixels]], 0, blocks(900, 600, [[50, 100, 800, 400]])), 600));
    expect($line->verdict === Verdict::Warn)->toBe($isTold, 'line')->and($gap->verdict === Verdict::Warn)->toBe($isTold, 'gap');
})->with([[1.0, 3, true], [0.7, 3, true], [0.15, 3, false], [1.0, 20, false]]);

it('looks at fine detail from 140 ppi on', function (float $ppi, int $found): void {
    expect((new FineDetail)->picture(finished(blocks(100, 100, [[20, 20, 50, 50]]), $ppi)))->toHaveCount($found);
})->with([[139.0, 0], [140.0, 3], [300.0, 3]]);

it('takes a block of paper for a background from an inch on', function (int $side, Verdict $verdict): void {
    // A page with a dark figure on it, in the middle of a clear sheet.
    $alpha = blocks(400, 400, [[50, 50, $side, $side]]);
    $white = blocks(400, 400, [[50, 50, $side, $side]]);
    $page = blocks(400, 400, [[50 + intdiv($side, 4), 50 + intdiv($side, 4), intdiv($side, 2), intdiv($side, 2)]], 30, $white);
    $picture = $page->withBand($page)->withBand($page)->withBand($alpha)->asColours()->settled();
    expect((new BackgroundOfFile)->picture(new PictureSubject($picture, 100, [], HouseRule::Strict300, PrintArea::pixels('file', 400, 400, Ppi::of(100))))[0]->verdict)->toBe($verdict);
})->with([[90, Verdict::Pass], [100, Verdict::Pass], [101, Verdict::Fail], [250, Verdict::Fail]]);

it('keeps three of what a word may have been meant as', function (): void {
    $meant = Dictionary::unknown(['lantren', 'lantern', 'kiet'], 'en_US');
    expect(array_keys($meant))->toBe(['lantren', 'kiet'])->and(count($meant['kiet']))->toBe(3)->and($meant['lantren'])->toContain('lantern');
});

it('examines a picture of a pixel, a row or a column', function (int $width, int $height): void {
    $picture = Image::raw(str_repeat("\xc8\x1e\x1e\xe6", $width * $height), $width, $height, 4);
    $cloth = new Garment('Slate', Srgb::hex('#3d4a57'));
    foreach ([72.0, 150.0, 300.0] as $ppi) {
        $keys = array_map(fn (Finding $finding): string => $finding->key, Preflight::picture($picture, $ppi, [$cloth], HouseRule::Strict300)->findings);
        expect(array_intersect(['blank', 'edge', 'haze', 'vanish:Slate', 'centre'], $keys))->toHaveCount(5);
    }
})->with([[1, 1], [2, 2], [1, 3], [3, 1], [5, 2], [3000, 1], [1, 3000], [30, 2], [4, 4]]);
