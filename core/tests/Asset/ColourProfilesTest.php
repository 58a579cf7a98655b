<?php

declare(strict_types=1);

use TallCrow\Asset\PictureReader;
use TallCrow\Asset\PictureRefused;
use TallCrow\Raster\PngColours;
use TallCrow\Raster\RgbSpace;
use TallCrow\Tests\Fixtures;

const PROFILES = '/usr/share/color/icc/';

/** A folder of this test's own. */
function profileFolder(): string
{
    $folder = sys_get_temp_dir().'/tall-crow-profiles-'.getmypid();
    is_dir($folder) || mkdir($folder);

    return $folder;
}

/** A picture of 9 × 9 × 9 colours in levels of RGB. */
function ladder(): string
{
    $file = profileFolder().'/ladder.png';
    if (! is_file($file)) {
        $bytes = '';
        for ($i = 0; $i < 729; $i++) {
            $bytes .= chr((int) (255 * intdiv($i, 81) / 8)).chr((int) (255 * (intdiv($i, 9) % 9) / 8)).chr((int) (255 * ($i % 9) / 8));
        }
        file_put_contents(profileFolder().'/ladder.rgb', $bytes);
        Fixtures::run(['convert', '-size', '27x27', '-depth', '8', 'rgb:'.profileFolder().'/ladder.rgb', $file]);
    }

    return $file;
}

/** @return list<int> colour samples of a picture as we read it */
function samples(string $file): array
{
    return array_values((array) unpack('C*', PictureReader::check($file)->pixels()->band(0, 3)->toBytes()));
}

/** @return list<int> the ladder's colours as littleCMS's own calculator turns them, within bounds */
function turnedByLittleCms(string $profile): array
{
    $asked = '';
    foreach (array_chunk(array_values((array) unpack('C*', (string) file_get_contents(profileFolder().'/ladder.rgb'))), 3) as $colour) {
        $asked .= implode(' ', $colour)."\n";
    }
    file_put_contents(profileFolder().'/asked.txt', $asked);
    $said = Fixtures::run(['sh', '-c', 'transicc -t1 -b -s "-i$1" "-o*sRGB" < "$2"', 'sh', PROFILES.$profile, profileFolder().'/asked.txt']);
    preg_match_all('/R=(\S+) G=(\S+) B=(\S+)/', $said, $found, PREG_SET_ORDER);

    return array_merge(...array_map(fn (array $one): array => [(int) round((float) $one[1]), (int) round((float) $one[2]), (int) round((float) $one[3])], $found));
}

/**
 * @param  list<int>  $a
 * @param  list<int>  $b
 */
function farthest(array $a, array $b): int
{
    expect(count($a))->toBe(count($b));

    return max(array_map(fn (int $x, int $y): int => abs($x - $y), $a, $b));
}

afterAll(function (): void {
    array_map(unlink(...), glob(profileFolder().'/*') ?: []);
    @rmdir(profileFolder());
});

// Outside reference: transicc of littleCMS, relative colorimetric (-t1) with black point compensation (-b).
it('brings pictures with a profile into sRGB as littleCMS does', function (string $profile): void {
    $folder = profileFolder();
    Fixtures::run(['convert', ladder(), '-profile', PROFILES.$profile, "$folder/in.png"]);
    $ours = samples("$folder/in.png");
    expect(farthest($ours, turnedByLittleCms($profile)))->toBeLessThanOrEqual(2)
        ->and(farthest($ours, samples(ladder())))->toBeGreaterThan(10);
})->with(['compatibleWithAdobeRGB1998.icc', 'LStar-RGB.icc']);

it('leaves a picture alone whose profile is sRGB', function (): void {
    Fixtures::run(['convert', ladder(), '-profile', PROFILES.'sRGB.icc', profileFolder().'/srgb.png']);
    expect(samples(profileFolder().'/srgb.png'))->toBe(samples(ladder()));
});

it('reads CMYK by its own profile or, without one, as coated paper', function (): void {
    $folder = profileFolder();
    $cmyk = '';
    foreach ([[255, 0, 0, 0], [0, 255, 0, 0], [0, 0, 255, 0], [0, 0, 0, 255], [0, 0, 0, 0], [128, 64, 32, 16]] as $ink) {
        $cmyk .= pack('C4', ...$ink);
    }
    file_put_contents("$folder/ink.cmyk", str_repeat($cmyk, 8));
    Fixtures::run(['convert', '-size', '6x8', '-depth', '8', "cmyk:$folder/ink.cmyk", '-sampling-factor', '1x1', '-quality', '100', "$folder/ink.jpg"]);
    $seen = samples("$folder/ink.jpg");
    // Cyan, magenta, yellow, black and paper look like themselves: as of coated paper, from memory of proofs, not exact.
    expect($seen[0])->toBeLessThan(60)->and($seen[1])->toBeGreaterThan(120)->and($seen[3])->toBeGreaterThan(180)->and($seen[4])->toBeLessThan(90)
        ->and($seen[6])->toBeGreaterThan(220)->and($seen[8])->toBeLessThan(90)->and($seen[9])->toBeLessThan(70)->and(min(array_slice($seen, 12, 3)))->toBeGreaterThan(235);
});

/** @param  array<string, string>  $chunks */
function withPngChunks(string $from, string $to, array $chunks): void
{
    $png = (string) file_get_contents($from);
    $more = '';
    foreach ($chunks as $type => $data) {
        $more .= pack('N', strlen($data)).$type.$data.pack('N', crc32($type.$data));
    }
    file_put_contents($to, substr($png, 0, 33).$more.substr($png, 33));
}

// Worked example: red of Display P3 lies at (1.0930, −0.2267, −0.1501) of linear extended sRGB, so it is cut to (255, 0, 0); P3's
// level (200, 60, 60) is (217, 42, 52) of sRGB, by the npm package culori 4.0.2.
it('follows cICP, gAMA and cHRM of a PNG', function (): void {
    $folder = profileFolder();
    Fixtures::run(['convert', '-size', '4x4', 'xc:rgb(200,60,60)', '-define', 'png:exclude-chunks=all', "PNG24:$folder/flat.png"]);
    withPngChunks("$folder/flat.png", "$folder/p3.png", ['cICP' => "\x0c\x0d\x00\x01"]);
    expect(farthest(array_slice(samples("$folder/p3.png"), 0, 3), [217, 42, 52]))->toBeLessThanOrEqual(1);

    withPngChunks("$folder/flat.png", "$folder/linear.png", ['gAMA' => pack('N', 100_000)]);
    // Linear light: IEC 61966-2-1 gives 229 for 200/255 and 132 for 60/255.
    expect(farthest(array_slice(samples("$folder/linear.png"), 0, 3), [228, 132, 132]))->toBeLessThanOrEqual(1);

    withPngChunks("$folder/flat.png", "$folder/usual.png", ['gAMA' => pack('N', 45_455), 'cHRM' => pack('N8', 31270, 32900, 64000, 33000, 30000, 60000, 15000, 6000)]);
    expect(array_slice(samples("$folder/usual.png"), 0, 3))->toBe([200, 60, 60]);

    withPngChunks("$folder/flat.png", "$folder/hdr.png", ['cICP' => "\x09\x10\x00\x01"]);
    expect(fn () => PictureReader::check("$folder/hdr.png")->pixels())->toThrow(PictureRefused::class, 'high dynamic range');
});

it('lets cICP count before a profile, and sRGB before gamma', function (): void {
    $folder = profileFolder();
    Fixtures::run(['convert', '-size', '4x4', 'xc:rgb(200,60,60)', '-define', 'png:exclude-chunks=all', "PNG24:$folder/flat.png"]);
    withPngChunks("$folder/flat.png", "$folder/both.png", ['cICP' => "\x01\x0d\x00\x01", 'gAMA' => pack('N', 100_000)]);
    withPngChunks("$folder/flat.png", "$folder/srgb.png", ['sRGB' => "\0", 'gAMA' => pack('N', 100_000)]);
    expect(PngColours::read("$folder/both.png")->isSrgb)->toBeTrue()->and(array_slice(samples("$folder/srgb.png"), 0, 3))->toBe([200, 60, 60]);
});

// http://www.brucelindbloom.com: RGB/XYZ matrices of sRGB and Adobe RGB (1998), D65.
it('computes the way from one RGB space to another', function (): void {
    $adobe = (new RgbSpace([0.64, 0.33, 0.21, 0.71, 0.15, 0.06, 0.3127, 0.3290], 2.2))->toSrgb();
    foreach ([[1.3983557, -0.3983557, 0.0], [0.0, 1.0, 0.0], [0.0, -0.0429289, 1.0429289]] as $i => $row) {
        foreach ($row as $j => $value) {
            expect($adobe[$i][$j])->toEqualWithDelta($value, 0.001);
        }
    }
});
