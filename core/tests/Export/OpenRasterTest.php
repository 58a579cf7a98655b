<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Export\Exported;
use TallCrow\Export\Exporter;
use TallCrow\Export\ExportProgress;
use TallCrow\Export\ExportStage;
use TallCrow\Export\FileKind;
use TallCrow\Export\PrintForm;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\PictureType;
use TallCrow\Render\FolderPictures;
use TallCrow\Tests\Fixtures;

/** Counts the layers that are drawn. */
final class Watching implements ExportProgress
{
    public int $drawn = 0;

    public function layer(int $number, int $of, string $name): void
    {
        $this->drawn++;
    }

    public function line(int $number, int $of, string $kind): void {}

    public function stage(ExportStage $stage): void {}
}

/** A tall sheet: a plate, a moth that is off, words multiplied on the plate, a bar that takes a gap from the plate alone, one that is off and would take all, a clear line. */
function layered_sheet(): Artwork
{
    $bar = fn (string $id, float $y, array $role, bool $on = true): array => Fixtures::shape($id, 'rectangle', 2.4, '#2f6f73', ['on' => $on, 'name' => "Bar \"$id\" & <more>", 'placement' => ['x' => 1.6, 'y' => $y, 'width' => 2.4, 'height' => 0.2], 'role' => ['kind' => 'knockout', 'sets' => true] + $role]);

    return Fixtures::artwork([
        Fixtures::shape('plate', 'ellipse', 2.0, '#d9a441', ['placement' => ['x' => 1.3, 'y' => 2.2, 'width' => 2.0, 'height' => 3.0]]),
        Fixtures::shape('moth', 'star', 2.8, '#000000', ['on' => false, 'placement' => ['x' => 1.5, 'y' => 2.0]]),
        Fixtures::words('words', 'Ring', 1.8, ['blend' => 'multiply', 'opacity' => 0.8, 'placement' => ['x' => 1.7, 'y' => 1.8], 'effects' => [['kind' => 'fill', 'colour' => '#b33a1f']]]),
        $bar('gap', 2.6, ['gap' => 0.1, 'from' => ['plate']]),
        $bar('off', 3.2, ['gap' => 0.3], false),
        Fixtures::shape('clear', 'rectangle', 1.0, '#ffffff', ['opacity' => 0.0, 'placement' => ['x' => 1.5, 'y' => 4.0, 'height' => 0.2]]),
    ], ['sheet' => ['width' => 300, 'height' => 450, 'ppi' => 99.5]]);
}

/** @return array{string, SimpleXMLElement} a folder with all that a file of OpenRaster holds, and its stack */
function opened(PrintForm $form): array
{
    $folder = Fixtures::temporary('ora');
    mkdir("$folder/scratch");
    Exporter::export(layered_sheet(), Fixtures::shelf(), "$folder/print.ora", "$folder/scratch", new Watching, form: $form);
    $zip = new ZipArchive;
    $zip->open("$folder/print.ora");
    $zip->extractTo("$folder/open");

    return ["$folder/open", simplexml_load_string((string) $zip->getFromName('stack.xml')) ?: throw new RuntimeException('No stack.')];
}

// OpenRaster's stack is laid by ImageMagick: each picture at its place, the lowest first, blended as it says.
it('holds the layers that print, each where it lies and as it is blended, mirrored or not', function (bool $mirrored): void {
    [$folder, $stack] = opened(new PrintForm(FileKind::OpenRaster, mirrored: $mirrored));
    $layers = array_reverse(iterator_to_array($stack->stack->layer, false));
    expect(array_map(fn (SimpleXMLElement $layer): string => "{$layer['name']}: {$layer['composite-op']}", $layers))->toBe(['Ellipse: svg:src-over', 'Ring: svg:multiply', 'Bar "gap" & <more>: svg:src-over'])
        ->and([(string) $stack['w'], (string) $stack['h'], (string) $stack['xres']])->toBe(['300', '450', '100']);
    $command = ['convert', '-size', '300x450', 'xc:none'];
    foreach ($layers as $layer) {
        array_push($command, "$folder/{$layer['src']}", '-geometry', sprintf('+%d+%d', (int) $layer['x'], (int) $layer['y']), '-compose', (string) $layer['composite-op'] === 'svg:multiply' ? 'Multiply' : 'Over', '-composite');
    }
    Fixtures::run([...$command, '-depth', '8', "PNG32:$folder/laid.png"]);
    $print = Fixtures::render(layered_sheet(), 99.5);
    $print = ($mirrored ? $print->mirroredAcross() : $print)->settled();
    foreach (['laid', 'mergedimage'] as $name) {
        $read = ImageFile::read(PictureType::Png, "$folder/$name.png")->asInk()->settled();
        $solid = $print->alpha()->isMore(127.0);
        expect($read->alpha()->minus($print->alpha())->operation('abs')->range()[1])->toBeLessThanOrEqual(2.0);
        foreach ([0, 1, 2] as $band) {
            expect($read->band($band)->minus($print->band($band))->operation('abs')->linearByte(1)->both($solid)->range()[1])->toBeLessThanOrEqual(4.0);
        }
    }
    // No colour is left under clear pixels.
    foreach (glob("$folder/data/*.png") ?: [] as $layer) {
        $read = ImageFile::read(PictureType::Png, $layer)->asInk()->settled();
        expect($read->band(0)->both($read->alpha()->isLess(1.0))->range()[1])->toBe(0.0);
    }
    expect(array_slice(getimagesize("$folder/Thumbnails/thumbnail.png") ?: [], 0, 2))->toBe([171, 256]);
})->with([false, true]);

it('draws a sheet that is kept for another form once, and tells a file that is larger than a house takes', function (): void {
    $folder = Fixtures::temporary('forms');
    $kept = new FolderPictures("$folder/kept");
    $watching = new Watching;
    $export = function (PrintForm $form, string $name) use ($folder, $watching, $kept): Exported {
        mkdir("$folder/scratch");

        return Exporter::export(layered_sheet(), Fixtures::shelf(), "$folder/$name", "$folder/scratch", $watching, form: $form, pieces: $kept);
    };
    $whole = $export(new PrintForm, 'print.png');
    expect($watching->drawn)->toBeGreaterThan(2);
    $watching->drawn = 0;
    // Now it is kept, and nothing is drawn for the TIFF.
    $tiff = $export(new PrintForm(FileKind::Tiff, mostBytes: 1000), 'print.tif');
    $exactly = $export(new PrintForm(FileKind::Tiff, mostBytes: $tiff->bytes), 'print.tif');
    expect($tiff->bytes)->toBe(filesize("$folder/print.tif"))->and($tiff->packing)->toContain('larger than this house takes')->and($exactly->packing)->toBe('')
        ->and($export(new PrintForm(FileKind::Tiff, mostBytes: $tiff->bytes - 1), 'print.tif')->packing)->toContain('larger')
        ->and($whole->toArray()['inches'])->toEqualWithDelta([300 / 99.5, 450 / 99.5], 1e-9)
        ->and($watching->drawn)->toBe(0)
        // Mirrored for the press, it is judged as it will be read.
        ->and($export(new PrintForm(FileKind::Pdf, mirrored: true), 'print.pdf')->report->toArray())->toBe($export(new PrintForm(FileKind::Pdf), 'print.pdf')->report->toArray());
});
