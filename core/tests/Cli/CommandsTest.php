<?php

declare(strict_types=1);

use TallCrow\Cli\Crow;
use TallCrow\Export\PngFacts;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\PictureType;
use TallCrow\Series\Pattern;
use TallCrow\Tests\Fixtures;

/**
 * A folder with a sheet of 3 × 4 in, a pattern that fills its words, a list, and a list of films.
 *
 * @param  array<string, mixed>  $more
 */
function small_job(array $more = []): string
{
    $folder = Fixtures::temporary('job');
    file_put_contents("$folder/sheet.json", json_encode(Fixtures::sheet([Fixtures::words('w', 'MOTH NIGHT', 2.4)], $more)));
    file_put_contents("$folder/slots.json", json_encode(['format' => Pattern::FORMAT, 'title' => '{Who}', 'slots' => [['name' => 'Who', 'places' => ['w/source/text']]]]));
    file_put_contents("$folder/list.csv", "Who\nRANGERS\nRINGERS\n");
    file_put_contents("$folder/films.json", json_encode(['film' => ['width' => 10, 'length' => null], 'ppi' => 100, 'mirrored' => false, 'marks' => false, 'pieces' => [['sheet' => "$folder/sheet.json", 'name' => 'Moths', 'width' => 2.0, 'count' => 3]]]));

    return $folder;
}

/** @return array{int, string, string} what a call that names files of a job answers: JOB stands for its folder, SHELF for the demo's fonts and art */
function call(string $line, ?string $job = null): array
{
    $job ??= small_job();
    // Quotes hold words together, as in a shell.
    $words = array_map(fn (string $word): string => str_replace(['JOB', 'SHELF'], [$job, Fixtures::assets()], $word), str_getcsv($line, ' ', '"', ''));

    return Fixtures::crow(...$words);
}

it('names every command that it has where one is not known', function (): void {
    $help = call('--help')[1];
    preg_match_all('~bin/crow (\w+)~', $help, $found);
    $commands = array_unique($found[1]);
    $error = call('polish')[2];
    expect($commands)->toContain('render', 'gang', 'series', 'mend');
    foreach ($commands as $command) {
        expect($error)->toMatch("/\\b$command\\b/");
        // And each is known: alone it asks for what it needs.
        [$code, , $said] = call($command);
        expect($code)->toBe(Crow::UNUSABLE)->and($said)->toStartWith('crow: Missing: ');
    }
});

it('says in one line what is amiss in a call, and makes nothing', function (string $line, string $says): void {
    $job = small_job();
    $before = glob("$job/*");
    [$code, $out, $error] = call($line, $job);
    expect($code)->toBe(Crow::UNUSABLE, $out)->and($error)->toStartWith('crow: ')->toContain($says)->and(substr_count($error, "\n"))->toBe(1)
        ->and(array_diff(glob("$job/*") ?: [], $before ?: [], ["$job/scratch", "$job/out"]))->toBe([]);
})->with([
    ['render JOB/sheet.json --shelf SHELF --out JOB/none/a.png', 'could not be written'],
    ['render JOB/sheet.json --shelf SHELF --out JOB/a.png --ppi 0', 'is outside 1 to 2400'],
    ['render JOB/sheet.json --shelf SHELF --out JOB/a.png --ppi 9000', 'is outside 1 to 2400'],
    ['render JOB/sheet.json --shelf SHELF --out JOB/a.png --region 1,2,3', 'not X,Y,W,H within 900 × 1200 pixels'],
    ['render JOB/sheet.json --shelf SHELF --out JOB/a.png --region a,b,c,d', 'not X,Y,W,H within'],
    ['render JOB/sheet.json --shelf SHELF --out JOB/a.png --ppi 100 --region 300,0,5,5', 'within 300 × 400 pixels'],
    ['render JOB/sheet.json --out JOB/a.png', 'alfa-slab-one.woff2'],
    ['render JOB/list.csv --out JOB/a.png', 'list.csv: '],
    ['print JOB/sheet.json --shelf SHELF --out JOB/a.png', 'Missing: --scratch FOLDER'],
    ['print JOB/sheet.json --shelf SHELF --scratch JOB/scratch', 'Missing: --out FILE'],
    ['print JOB/sheet.json --shelf SHELF --scratch JOB/scratch --out JOB/a.gif --kind gif', 'png, tiff, pdf, ora or svg'],
    ['print JOB/sheet.json --shelf SHELF --scratch JOB/scratch --out JOB/a.png --area 900,1200', 'is not WIDTH,HEIGHT,PPI,NAME'],
    ['print JOB/sheet.json --shelf SHELF --scratch JOB/scratch --out JOB/a.png --area wide,1200,300,Tee', 'is not WIDTH,HEIGHT,PPI,NAME'],
    ['print JOB/sheet.json --shelf SHELF --scratch JOB/scratch --out JOB/a.png --house JOB/none.json', '--house FILE.json that can be read'],
    ['print JOB/sheet.json --shelf SHELF --scratch JOB/scratch --out JOB/none/a.png', 'could not be written'],
    ['preflight JOB/sheet.json --shelf SHELF --area 0,5', 'is not WIDTH,HEIGHT'],
    ['preflight JOB/none.json', 'no file that can be read'],
    ['listing JOB/sheet.json --shelf SHELF --out JOB/a.jpg --scene moon', '--scene, one of '],
    ['listing JOB/sheet.json --shelf SHELF --out JOB/a.jpg --on mud', 'is not a colour'],
    ['listing JOB/sheet.json --shelf SHELF --out JOB/none/a.jpg', 'could not be written'],
    ['press JOB/sheet.json --shelf SHELF --out JOB/a.png --on mud', 'is not a colour'],
    ['press JOB/sheet.json --shelf SHELF --out JOB/a.png --region 5000,5000,9,9', 'not X,Y,W,H within 900 × 1200 pixels'],
    ['press JOB/sheet.json --shelf SHELF --out JOB/none/a.png', 'could not be written'],
    ['series JOB/sheet.json --shelf SHELF --out JOB/out --rows JOB/list.csv', 'Missing: --pattern SLOTS.json'],
    ['series JOB/sheet.json --shelf SHELF --out JOB/out --rows JOB/list.csv --pattern JOB/none.json', 'no file that can be read'],
    ['series JOB/sheet.json --shelf SHELF --out JOB/out --pattern JOB/slots.json', 'Missing: --rows LIST.csv'],
    ['series JOB/sheet.json --shelf SHELF --out JOB/out --pattern JOB/slots.json --rows JOB/none.csv', 'no file that can be read'],
    ['series JOB/sheet.json --shelf SHELF --out JOB/sheet.json/out --pattern JOB/slots.json --rows JOB/list.csv', 'is no folder'],
    ['gang JOB/films.json --scratch JOB/scratch --shelf SHELF', 'Missing: --out FOLDER'],
    ['gang JOB/films.json --out JOB/out --scratch JOB/scratch', 'Missing: --shelf FOLDER'],
    ['gang JOB/none.json --out JOB/out --scratch JOB/scratch --shelf SHELF', 'no file that can be read'],
    ['gang JOB/list.csv --out JOB/out --scratch JOB/scratch --shelf SHELF', 'film'],
    ['gang JOB/films.json --out JOB/sheet.json/out --scratch JOB/scratch --shelf SHELF', 'is no folder'],
    ['mend SHELF/night-sky.png --out JOB/a.png', '--ppi N or --width 10in'],
    ['mend SHELF/night-sky.png --ppi 300', 'Missing: --out FILE.png'],
    ['mend SHELF/night-sky.png --ppi 300 --out JOB/none/a.png', 'could not be written'],
    ['mend SHELF/raven.svg --ppi 300 --out JOB/a.png', 'is not a PNG file'],
    ['inspect SHELF/night-sky.png --width 3in --rule loose', 'Known are strict-300 and accept-200'],
    ['schema --out JOB/none/schema.json', 'could not be written'],
    ['pack JOB/sheet.json --shelf SHELF --out JOB/none/a.crow', 'could not be written'],
    ['unpack JOB/sheet.json --out JOB/sheet.json/out', 'is no folder'],
    ['trial JOB/none', 'is no folder'],
]);

it('says of a film list which piece has no sheet, and what in it is odd', function (array $list, string $says): void {
    $job = small_job();
    file_put_contents("$job/films.json", json_encode($list + json_decode((string) file_get_contents("$job/films.json"), true)));
    [$code, , $error] = call('gang JOB/films.json --out JOB/out --scratch JOB/scratch --shelf SHELF', $job);
    expect($code)->toBe(Crow::UNUSABLE)->and($error)->toContain($says)->and(glob("$job/out/*.png"))->toBe([]);
})->with([
    'a sheet that is gone' => [['pieces' => [['sheet' => '/nowhere/moth.json', 'name' => 'Moths', 'width' => 2, 'count' => 1]]], '/nowhere/moth.json'],
    'no width' => [['film' => ['length' => null]], 'film.width'],
    'a film of no width' => [['film' => ['width' => 0, 'length' => null]], 'film.width'],
    'too many of a piece' => [['pieces' => [['sheet' => 'a', 'width' => 2, 'count' => 1_000_000]]], 'count'],
    'an odd field' => [['glossy' => true], 'glossy'],
    'too few dots' => [['ppi' => 10], 'ppi'],
]);

it('lays three of a piece on film at the ppi and side that are asked', function (): void {
    $job = small_job();
    [$code, $out] = call('gang JOB/films.json --out JOB/out --scratch JOB/scratch --shelf SHELF', $job);
    $lines = array_map(fn (string $line): array => json_decode($line, true), array_filter(explode("\n", $out)));
    $done = end($lines)['done'];
    expect($code)->toBe(Crow::FINE)->and($lines[0])->toBe(['piece' => 1, 'of' => 1, 'name' => 'Moths'])->and($done['sheets'])->toHaveCount(1)
        ->and($done['sheets'][0]['width'])->toBe(1000)->and($done['sheets'][0]['sha256'])->toBe(hash_file('sha256', "$job/out/film-1.png"));
    // Three words of 2 in beside one another on film of 10 in: one row, with the gaps about it.
    $film = ImageFile::read(PictureType::Png, "$job/out/film-1.png")->alpha();
    $box = $film->isMore(127.0)->inkBox();
    expect($box[2])->toEqualWithDelta(3 * 200 + 2 * 25, 4)->and($film->height())->toBeLessThan(130);
    // Once more in a mirror: the same ink.
    file_put_contents("$job/films.json", json_encode(['mirrored' => true] + json_decode((string) file_get_contents("$job/films.json"), true)));
    call('gang JOB/films.json --out JOB/mirrored --scratch JOB/scratch --shelf SHELF', $job);
    $mirrored = ImageFile::read(PictureType::Png, "$job/mirrored/film-1.png");
    expect(md5($mirrored->mirroredAcross()->toBytes()))->toBe(md5(ImageFile::read(PictureType::Png, "$job/out/film-1.png")->toBytes()));
});

it('fills each row of a list, says what it made, and tells of a row in trouble', function (): void {
    $job = small_job();
    file_put_contents("$job/list.csv", "Who\nRANGERS\nжук\n");
    [$code, $out] = call('series JOB/sheet.json --pattern JOB/slots.json --rows JOB/list.csv --out JOB/out --shelf SHELF', $job);
    $files = glob("$job/out/*.png") ?: [];
    expect($code)->toBe(Crow::FAILED)->and($out)->toMatch('/^row 2, .*: made$/m')->toMatch('/^row 3, .*ж/m')->and($files)->toHaveCount(1)->and(basename($files[0]))->toStartWith('0001-')
        ->and(PngFacts::of($files[0])->ppi)->toEqualWithDelta(300.0, 0.01);
    // As the sheet is drawn with those words.
    $sheet = json_decode((string) file_get_contents("$job/sheet.json"), true);
    $sheet['layers'][0]['source']['text'] = 'RANGERS';
    file_put_contents("$job/rangers.json", json_encode($sheet));
    call('render JOB/rangers.json --shelf SHELF --out JOB/rangers.png', $job);
    expect(Fixtures::run(['convert', $files[0], "$job/rangers.png", '-metric', 'AE', '-compare', '-format', '%[distortion]', 'info:']))->toBe('0');
});

it('prints every kind of file, at the ppi and size of its sheet', function (string $kind, Closure $size): void {
    $job = small_job();
    [$code, $out, $error] = call("print JOB/sheet.json --shelf SHELF --scratch JOB/scratch --out JOB/a.$kind --kind $kind", $job);
    $lines = array_filter(explode("\n", $out));
    $done = json_decode((string) end($lines), true)['done'];
    expect($error)->toBe('')->and($code)->toBe(Crow::FINE)->and($done['bytes'])->toBe(filesize("$job/a.$kind"))->and($done['sha256'])->toBe(hash_file('sha256', "$job/a.$kind"))
        ->and($size("$job/a.$kind"))->toEqualWithDelta([3.0, 4.0], 0.01);
})->with([
    // Each by a reader of its own: ImageMagick, Poppler, and librsvg's page in pixels of CSS, 96 to the inch.
    'png' => ['png', fn (string $file): array => array_map(fn (string $n): float => (float) $n, explode(' ', Fixtures::run(['identify', '-units', 'PixelsPerInch', '-format', '%[fx:w/resolution.x] %[fx:h/resolution.y]', $file])))],
    'tiff' => ['tiff', fn (string $file): array => array_map(fn (string $n): float => (float) $n, explode(' ', Fixtures::run(['identify', '-units', 'PixelsPerInch', '-format', '%[fx:w/resolution.x] %[fx:h/resolution.y]', $file])))],
    'pdf' => ['pdf', fn (string $file): array => preg_match('/Page size: +([\d.]+) x ([\d.]+) pts/', Fixtures::run(['pdfinfo', $file]), $found) === 1 ? [$found[1] / 72, $found[2] / 72] : []],
    'svg' => ['svg', fn (string $file): array => preg_match('/width="([\d.]+)in" height="([\d.]+)in"/', (string) file_get_contents($file), $found) === 1 ? [(float) $found[1], (float) $found[2]] : []],
]);

it('draws a listing picture on the cloth that is asked, the same for the same seed', function (): void {
    $job = small_job();
    [$code, $out] = call('listing JOB/sheet.json --shelf SHELF --out JOB/a.jpg --on #203a2c --seed 4', $job);
    call('listing JOB/sheet.json --shelf SHELF --out JOB/b.jpg --on #203a2c --seed 4', $job);
    call('listing JOB/sheet.json --shelf SHELF --out JOB/c.jpg --on #e4d9c3 --seed 4', $job);
    $light = fn (string $name): float => (float) Fixtures::run(['convert', "$job/$name.jpg", '-gravity', 'center', '-crop', '50%x50%+0+0', '-colorspace', 'Gray', '-format', '%[fx:mean]', 'info:']);
    expect($code)->toBe(Crow::FINE)->and($out)->toContain('tee on #203a2c')->and(md5_file("$job/a.jpg"))->toBe(md5_file("$job/b.jpg"))
        ->and($light('c'))->toBeGreaterThan($light('a') + 0.3);
});

it('shows a part of a press as the whole has it', function (): void {
    $job = small_job();
    call('press JOB/sheet.json --shelf SHELF --out JOB/whole.png --on #1d2b1f', $job);
    [$code, $out] = call('press JOB/sheet.json --shelf SHELF --out JOB/part.png --on #1d2b1f --region 200,500,300,200', $job);
    expect($code)->toBe(Crow::FINE)->and($out)->toContain('300 × 200 px as printed on #1d2b1f')
        ->and(Fixtures::run(['convert', '(', "$job/whole.png", '-crop', '300x200+200+500', '+repage', ')', "$job/part.png", '-metric', 'AE', '-fuzz', '1%', '-compare', '-format', '%[distortion]', 'info:']))->toBe('0');
});
