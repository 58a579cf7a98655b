<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Export\FileKind;
use TallCrow\Export\OutlineSvg;
use TallCrow\Export\PackedPng;
use TallCrow\Export\PrintForm;
use TallCrow\Measure\Ppi;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\PictureType;
use TallCrow\Render\FlatSheet;
use TallCrow\Render\NoPictures;
use TallCrow\Render\NotFlat;
use TallCrow\Tests\Fixtures;

/** Words with two rings and a gap, a solid shadow, and a disc that a bar takes a gap from. */
function cutter_sheet(): Artwork
{
    return Fixtures::artwork([
        Fixtures::shape('disc', 'ellipse', 3.2, '#b33a1f', ['placement' => ['x' => 2, 'y' => 2.6, 'height' => 1.2]]),
        Fixtures::words('kites', 'Kites', 3.0, ['placement' => ['x' => 2, 'y' => 1.1], 'effects' => [1 => ['kind' => 'outline', 'width' => 0.04, 'colour' => '#22333b'], ['kind' => 'gap', 'width' => 0.05], ['kind' => 'outline', 'width' => 0.05, 'colour' => '#d9a441'], ['kind' => 'shadow', 'angle' => 135, 'distance' => 0.1, 'colour' => '#000000', 'as' => 'solid']]]),
        Fixtures::shape('bar', 'rectangle', 2.0, '#f3ead7', ['placement' => ['x' => 2, 'y' => 2.6, 'height' => 0.2], 'role' => ['kind' => 'knockout', 'gap' => 0.08, 'sets' => true]]),
    ], ['sheet' => ['width' => 1200, 'height' => 1200, 'ppi' => 300]]);
}

function crow_print(Artwork $artwork, string $kind, string ...$more): string
{
    $folder = Fixtures::temporary('open-forms');
    file_put_contents("$folder/sheet.json", json_encode($artwork->toArray()));
    [$code, , $error] = Fixtures::crow('print', "$folder/sheet.json", '--out', "$folder/print.$kind", '--scratch', "$folder/scratch", '--kind', $kind, '--shelf', Fixtures::assets(), ...$more);
    expect($error)->toBe('')->and($code)->toBe(0);

    return "$folder/print.$kind";
}

it('writes OpenRaster whose layers, laid by ImageMagick, are the print', function (): void {
    $file = crow_print(cutter_sheet(), 'ora');
    $zip = new ZipArchive;
    $zip->open($file);
    // OpenRaster: the first entry is the MIME type, not packed.
    expect($zip->getNameIndex(0))->toBe('mimetype')->and($zip->statIndex(0)['comp_method'])->toBe(ZipArchive::CM_STORE)->and($zip->getFromName('mimetype'))->toBe('image/openraster');
    $stack = simplexml_load_string((string) $zip->getFromName('stack.xml')) ?: throw new RuntimeException('No stack.');
    expect((string) $stack['w'])->toBe('1200')->and((string) $stack['xres'])->toBe('300');
    $folder = dirname($file).'/unpacked';
    $zip->extractTo($folder);
    $command = ['convert', '-size', '1200x1200', 'xc:none'];
    // The first layer of a stack is the uppermost.
    $layers = array_reverse(iterator_to_array($stack->stack->layer, false));
    expect($layers)->toHaveCount(3)->and((string) $layers[0]['name'])->toBe('Ellipse')->and((string) $layers[0]['composite-op'])->toBe('svg:src-over');
    foreach ($layers as $layer) {
        array_push($command, "$folder/{$layer['src']}", '-geometry', sprintf('+%d+%d', (int) $layer['x'], (int) $layer['y']), '-compose', 'Over', '-composite');
    }
    Fixtures::run([...$command, "$folder/laid.png"]);
    $whole = ImageFile::read(PictureType::Png, "$folder/mergedimage.png")->asInk();
    $laid = ImageFile::read(PictureType::Png, "$folder/laid.png")->asInk();
    expect($whole->alpha()->minus($laid->alpha())->operation('abs')->settled()->range()[1])->toBeLessThanOrEqual(2.0);
    [$width, $height] = getimagesize("$folder/Thumbnails/thumbnail.png") ?: [0, 0];
    expect(max($width, $height))->toBe(256);
});

it('writes outlines that librsvg paints as the print, at true size', function (): void {
    $artwork = cutter_sheet();
    $svg = (string) file_get_contents(crow_print($artwork, 'svg', '--cut', '0.125'));
    expect($svg)->toContain('width="4.000000in"')->toContain('id="cut"');
    $painted = ImageFile::drawing((string) preg_replace(['~ <path id="cut".*?/>~s', '~width="4.0+in" height="4.0+in"~'], ['', 'width="1200" height="1200"'], $svg));
    $print = Fixtures::render($artwork);
    // Where two areas end at one edge, it is covered twice: a line one pixel wide differs there, and nothing broader does.
    $folder = Fixtures::temporary('differs');
    ImageFile::writePng($painted->alpha()->minus($print->alpha())->operation('abs')->settled()->isMore(10.0), "$folder/differs.png");
    expect((float) Fixtures::run(['convert', "$folder/differs.png", '-morphology', 'Erode', 'Square:1', '-format', '%[fx:mean]', 'info:']))->toBeLessThan(3e-6);
    foreach ([[600, 780], [600, 700], [330, 330], [600, 330]] as [$x, $y]) {
        expect(Fixtures::pixel($painted, $x, $y))->toBe(Fixtures::pixel($print, $x, $y));
    }
});

it('writes hollow words with the line that they are, and what they take away', function (array $more, bool $takes): void {
    $lines = [['kind' => 'fill', 'colour' => '#b33a1f'], ['kind' => 'hollow', 'width' => 0.05, 'colour' => '#2f6f73'], ...$more];
    $words = Fixtures::words('w', 'OX', 2.4, ['effects' => $lines, 'placement' => ['x' => 1.5, 'y' => 1.5, 'width' => 2.4]]);
    $plate = Fixtures::shape('p', 'rectangle', 2.8, '#22333b', ['placement' => ['x' => 1.5, 'y' => 1.5, 'height' => 2.8]]);
    $layers = $takes ? [$plate, ['role' => ['kind' => 'knockout', 'gap' => 0.06]] + $words] : [$words];
    $artwork = Fixtures::artwork($layers, ['sheet' => ['width' => 900, 'height' => 900, 'ppi' => 300]]);
    $file = Fixtures::temporary('hollow').'/words.svg';
    OutlineSvg::write($artwork, new FlatSheet(Fixtures::renderer()->placer, new NoPictures), $file, null, false);
    $svg = preg_replace('~width="3.0+in" height="3.0+in"~', 'width="900" height="900"', (string) file_get_contents($file));
    $painted = ImageFile::drawing((string) $svg)->alpha()->settled();
    $print = Fixtures::render($artwork)->alpha()->settled();
    expect($print->area())->toBeGreaterThan(5000.0)->and($painted->area() / $print->area())->toEqualWithDelta(1.0, 0.01)
        ->and($painted->minus($print)->operation('abs')->isMore(128.0)->mean() / 255)->toBeLessThan(0.0002);
})->with(['alone' => [[]], 'in a ring' => [[['kind' => 'outline', 'width' => 0.04]]]])->with(['printed' => false, 'knocked out' => true]);

it('writes copies of what is repeated as outlines, too', function (array $repeat, bool $takes): void {
    $star = Fixtures::shape('s', 'star', 0.8, '#b33a1f', ['placement' => ['x' => 1.1, 'y' => 0.8, 'height' => 0.8, 'turn' => 20], 'repeat' => $repeat + ['x' => 1.5, 'y' => 1.5]]);
    $star['effects'][] = ['kind' => 'outline', 'width' => 0.04, 'colour' => '#1d2740', 'join' => 'mitre'];
    $plate = Fixtures::shape('p', 'rectangle', 2.9, '#d9a441', ['placement' => ['x' => 1.5, 'y' => 1.5, 'height' => 2.9]]);
    $layers = $takes ? [$plate, ['role' => ['kind' => 'knockout', 'gap' => 0.03]] + $star] : [$star];
    $artwork = Fixtures::artwork($layers, ['sheet' => ['width' => 900, 'height' => 900, 'ppi' => 300]]);
    $file = Fixtures::temporary('copies').'/copies.svg';
    OutlineSvg::write($artwork, new FlatSheet(Fixtures::renderer()->placer, new NoPictures), $file, null, false);
    $painted = ImageFile::drawing((string) preg_replace('~width="3.0+in" height="3.0+in"~', 'width="900" height="900"', (string) file_get_contents($file)))->settled();
    $print = Fixtures::render($artwork)->settled();
    expect($print->alpha()->area())->toBeGreaterThan(20_000.0)->and($painted->alpha()->area() / $print->alpha()->area())->toEqualWithDelta(1.0, 0.003);
    foreach ([$painted->alpha()->minus($print->alpha()), $painted->band(0)->minus($print->band(0))] as $off) {
        $solid = $print->alpha()->isMore(250.0)->both($painted->alpha()->isMore(250.0))->either($print->alpha()->isLess(5.0)->both($painted->alpha()->isMore(5.0)));
        expect($off->operation('abs')->isMore(128.0)->both($solid)->mean() / 255)->toBeLessThan(0.0003);
    }
})->with([
    'mirrored' => [['kind' => 'mirror-across']],
    'in four' => [['kind' => 'quadrants']],
    'about a centre, every second mirrored' => [['kind' => 'radial', 'count' => 6, 'facing' => 'every-second-mirrored']],
    'upright, one of another colour' => [['kind' => 'radial', 'count' => 5, 'facing' => 'upright', 'changed' => 2, 'as' => 'another-colour', 'colour' => '#2f6f73']],
    'a stack, one of them hollow' => [['kind' => 'stack', 'count' => 3, 'stepX' => 0.3, 'stepY' => 0.6, 'size' => 0.8, 'changed' => 2, 'as' => 'hollow', 'colour' => '#2f6f73']],
])->with(['printed' => false, 'knocked out' => true]);

it('runs the cut line at its distance about all ink, as ImageMagick widens it', function (): void {
    $artwork = Fixtures::artwork([Fixtures::shape('a', 'star', 1.5, '#000000', ['placement' => ['x' => 1.2, 'y' => 2]]), Fixtures::shape('b', 'ellipse', 1.0, '#b33a1f', ['placement' => ['x' => 2.9, 'y' => 2, 'height' => 1.0]])], ['sheet' => ['width' => 400, 'height' => 400, 'ppi' => 100]]);
    $file = Fixtures::temporary('cut').'/cut.svg';
    OutlineSvg::write($artwork, new FlatSheet(Fixtures::renderer()->placer, new NoPictures), $file, 0.1, false);
    preg_match('~id="cut".* d="([^"]+)"~', (string) file_get_contents($file), $found);
    $within = ImageFile::drawing("<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"400\" height=\"400\" viewBox=\"0 0 4 4\"><path d=\"{$found[1]}\"/></svg>")->alpha();
    $folder = dirname($file);
    ImageFile::writePng(Fixtures::render($artwork, 100), "$folder/print.png");
    Fixtures::run(['convert', "$folder/print.png", '-alpha', 'extract', '-morphology', 'Dilate', 'Disk:10.4', "$folder/wide.png"]);
    $wide = ImageFile::read(PictureType::Png, "$folder/wide.png")->band(0);

    expect(abs($within->mean() - $wide->mean()) / $wide->mean())->toBeLessThan(0.01)->and(substr_count($found[1], 'M'))->toBe(2);
});

it('says which line keeps a sheet from being all outlines', function (array $layer, string $says): void {
    $artwork = Fixtures::artwork([$layer]);
    expect(fn () => (new FlatSheet(Fixtures::renderer()->placer, new NoPictures))->inks($artwork))->toThrow(NotFlat::class, $says);
})->with([
    'half-transparent' => [Fixtures::shape('a', 'rectangle', 1, '#000000', ['opacity' => 0.5]), 'half-transparent'],
    'a look' => [Fixtures::shape('a', 'rectangle', 1, '#000000', ['effects' => [['kind' => 'fill', 'colour' => '#000000'], ['kind' => 'hue', 'by' => 90, 'vivid' => 1]]]), 'a look'],
    'a gradient' => [Fixtures::shape('a', 'rectangle', 1, '#000000', ['effects' => [1 => ['kind' => 'gradient', 'colours' => ['#000000', '#ffffff'], 'angle' => 0]]]), 'one colour'],
    'nothing' => [Fixtures::shape('a', 'rectangle', 1, '#000000', ['on' => false]), 'nothing on this sheet'],
]);

it('packs harder before it takes colours, takes them only if it may, and says so', function (): void {
    $folder = Fixtures::temporary('packed');
    $picture = Fixtures::render(Fixtures::artwork([Fixtures::shape('a', 'ellipse', 3.5, '#000000', ['effects' => [1 => ['kind' => 'gradient', 'colours' => ['#b33a1f', '#22333b'], 'angle' => 30]]])], ['sheet' => ['width' => 900, 'height' => 900, 'ppi' => 225]]), 225);
    $size = function (PrintForm $form) use ($folder, $picture): array {
        $packing = PackedPng::write($picture, "$folder/print.png", Ppi::of(225), 'Kites', $form);

        return [$packing, (int) filesize("$folder/print.png"), (int) Fixtures::run(['identify', '-format', '%k', "$folder/print.png"])];
    };
    [, $plain, $all] = $size(new PrintForm);
    [$hard, $harder] = $size(new PrintForm(mostBytes: $plain - 1));
    expect($hard->level)->toBe(9)->and($hard->colours)->toBeNull()->and($harder)->toBeLessThan($plain)->and($hard->said())->toBe('');
    [$refused, $same] = $size(new PrintForm(mostBytes: intdiv($harder, 2)));
    expect($refused->over)->toBeTrue()->and($same)->toBe($harder)->and($refused->said())->toContain('larger than this house takes');
    [$fewer, $small, $left] = $size(new PrintForm(mostBytes: intdiv($harder, 2), fewerColours: true));
    expect($fewer->colours)->not->toBeNull()->and($small)->toBeLessThanOrEqual(intdiv($harder, 2))->and($left)->toBeLessThanOrEqual($fewer->colours)->and($all)->toBeGreaterThan(500)->and($fewer->said())->toContain("$fewer->colours colours")
        ->and(FileKind::ofEnding('tif'))->toBe(FileKind::Tiff);
});
