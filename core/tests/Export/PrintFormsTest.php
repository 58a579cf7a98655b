<?php

declare(strict_types=1);

use TallCrow\Export\PrintPdf;
use TallCrow\Export\PrintTiff;
use TallCrow\Measure\Ppi;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\PictureType;
use TallCrow\Tests\Fixtures;

/** A picture with soft edges and two colours, drawn by ImageMagick. */
function soft_picture(string $folder): Image
{
    exec('convert -size 600x450 xc:none -fill "#b04a2c" -draw "circle 200,220 200,60" -fill "#2f6f73cc" -draw "roundrectangle 260,120 560,360 40,40" -blur 0x2 PNG32:'.escapeshellarg("$folder/art.png"));

    return ImageFile::read(PictureType::Png, "$folder/art.png")->asInk()->settled();
}

/** Greatest difference of any sample between two pictures, by ImageMagick. */
function worst_difference(string $one, string $other): float
{
    exec('compare -metric PAE '.escapeshellarg($one).' '.escapeshellarg($other).' null: 2>&1', $lines);

    return (float) (preg_match('/\(([\d.e-]+)\)/', implode($lines), $found) === 1 ? $found[1] : 1) * 255;
}

// pdfinfo, pdfimages and pdftoppm are of poppler (Debian's poppler-utils), a reader that is not ours.
it('writes a PDF at true size whose picture and soft mask a reader finds whole', function (): void {
    $folder = Fixtures::temporary('forms');
    $picture = soft_picture($folder);
    PrintPdf::write($picture, "$folder/art.pdf", Ppi::of(150), 'Kite (day) ü');
    exec('pdfinfo '.escapeshellarg("$folder/art.pdf"), $info);
    exec('pdfimages -list '.escapeshellarg("$folder/art.pdf"), $list);
    exec('pdfimages -png '.escapeshellarg("$folder/art.pdf").' '.escapeshellarg("$folder/out"));
    exec('convert '.escapeshellarg("$folder/out-000.png").' '.escapeshellarg("$folder/out-001.png").' -alpha off -compose CopyOpacity -composite PNG32:'.escapeshellarg("$folder/joined.png"));

    expect(implode("\n", $info))->toContain('Page size:       288 x 216 pts')->toContain('Kite (day) ü')->toContain('JavaScript:      no')
        ->and(implode("\n", $list))->toMatch('/0 image\s+600\s+450\s+rgb\s+3\s+8/')->toMatch('/1 smask\s+600\s+450\s+gray\s+1\s+8/')->toContain('150   150');
    ImageFile::writePng($picture, "$folder/ours.png");
    expect(worst_difference("$folder/ours.png", "$folder/joined.png"))->toBeLessThan(1.0);
});

// PDF 1.7 (ISO 32000-1), 7.5: readers may mend a table of places, so each is looked up here.
it('writes a PDF whose table tells where each object begins and how long each stream is', function (int $height): void {
    $path = Fixtures::temporary('forms').'/art.pdf';
    PrintPdf::write(Image::raw(str_repeat("\x20\x40\x60\x80", 30 * $height), 30, $height, 4), $path, Ppi::of(300), 'Kites');
    $pdf = (string) file_get_contents($path);
    preg_match('/startxref\n(\d+)\n%%EOF\n$/', $pdf, $begins);
    expect(preg_match('/^xref\n0 (\d+)\n0000000000 65535 f \n((?:\d{10} 00000 n \n)+)trailer\n<< \/Size (\d+)/', substr($pdf, (int) ($begins[1] ?? 0)), $table))->toBe(1);
    $places = array_map(intval(...), array_filter(explode(" 00000 n \n", $table[2]), fn (string $place): bool => $place !== ''));
    expect([(int) $table[1], (int) $table[3]])->toBe([count($places) + 1, count($places) + 1]);
    foreach ($places as $i => $place) {
        expect(substr($pdf, $place, 8))->toStartWith(($i + 1).' 0 obj');
    }
    foreach ([[5, 6, 3], [7, 8, 1]] as [$stream, $length, $bands]) {
        $from = (int) strpos($pdf, "stream\n", $places[$stream - 1]) + 7;
        sscanf(substr($pdf, $places[$length - 1], 30), "$length 0 obj %d endobj", $bytes);
        expect(substr($pdf, $from + $bytes, 10))->toBe("\nendstream")->and(strlen((string) gzuncompress(substr($pdf, $from, $bytes))))->toBe(30 * $height * $bands);
    }
})->with([40, 256, 700]);

it('writes a TIFF with alpha and its density, that ImageMagick reads as it was', function (): void {
    $folder = Fixtures::temporary('forms');
    $picture = soft_picture($folder);
    PrintTiff::write($picture, "$folder/art.tif", Ppi::of(300));
    exec('identify -units PixelsPerInch -format "%w %h %x %z %[channels] %C" '.escapeshellarg("$folder/art.tif"), $told);
    ImageFile::writePng($picture, "$folder/ours.png");
    exec('convert '.escapeshellarg("$folder/art.tif").' PNG32:'.escapeshellarg("$folder/back.png"));

    expect($told[0])->toStartWith('600 450 300 8 srgba')->toContain('LZW')->and(worst_difference("$folder/ours.png", "$folder/back.png"))->toBeLessThan(1.0);
});

it('mirrors the whole sheet', function (): void {
    $folder = Fixtures::temporary('forms');
    $picture = soft_picture($folder);
    ImageFile::writePng($picture->mirroredAcross(), "$folder/mirrored.png");
    exec('convert '.escapeshellarg("$folder/art.png").' -flop PNG32:'.escapeshellarg("$folder/flopped.png"));
    expect(worst_difference("$folder/mirrored.png", "$folder/flopped.png"))->toBeLessThan(3.0);
});
