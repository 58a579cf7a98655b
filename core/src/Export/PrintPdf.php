<?php

declare(strict_types=1);

namespace TallCrow\Export;

use TallCrow\Measure\Ppi;
use TallCrow\Raster\Composition;
use TallCrow\Raster\Image;

/**
 * Writes a print as PDF 1.4 at its true size: one page that is as large as the sheet, on it one picture of 8-bit RGB whose
 * transparency is a soft mask (ISO 32000-1, 8.9.5 and 11.6.5.3). Nothing else is on the page and nothing runs.
 */
final class PrintPdf
{
    private const POINTS = 72.0;

    /** Rows that are packed at a time, so that memory does not follow the size of the sheet. */
    private const ROWS = 256;

    private int $at = 0;

    /** @var array<int, int> places of objects in the file, by number */
    private array $places = [];

    /** @param  resource  $file */
    private function __construct(private readonly mixed $file) {}

    /** @throws PngBroken when the file cannot be written */
    public static function write(Image $picture, string $path, Ppi $ppi, string $title): void
    {
        $file = @fopen("$path.part", 'w+b') ?: throw PngBroken::unwritable($path);
        $picture = Composition::withoutHiddenColour($picture);
        $pdf = new self($file);
        $pdf->say("%PDF-1.4\n%\xe2\xe3\xcf\xd3\n");
        [$width, $height] = [$picture->width(), $picture->height()];
        $size = [$width / $ppi->value * self::POINTS, $height / $ppi->value * self::POINTS];
        $pdf->object(1, '<< /Type /Catalog /Pages 2 0 R >>');
        $pdf->object(2, '<< /Type /Pages /Kids [3 0 R] /Count 1 >>');
        $pdf->object(3, sprintf('<< /Type /Page /Parent 2 0 R /MediaBox [0 0 %.4F %.4F] /Resources << /XObject << /Art 5 0 R >> >> /Contents 4 0 R >>', ...$size));
        $draw = sprintf('q %.4F 0 0 %.4F 0 0 cm /Art Do Q', ...$size);
        $pdf->object(4, sprintf("<< /Length %d >>\nstream\n%s\nendstream", strlen($draw), $draw));
        $dictionary = '<< /Type /XObject /Subtype /Image /Width %d /Height %d /ColorSpace /%s /BitsPerComponent 8 /Filter /FlateDecode /Length %d 0 R%s >>';
        $pdf->pixels(5, 6, sprintf($dictionary, $width, $height, 'DeviceRGB', 6, ' /SMask 7 0 R'), $picture->band(0, 3));
        $pdf->pixels(7, 8, sprintf($dictionary, $width, $height, 'DeviceGray', 8, ''), $picture->alpha());
        $pdf->object(9, sprintf('<< /Title <feff%s> /Producer (%s) >>', bin2hex(mb_convert_encoding($title, 'UTF-16BE', 'UTF-8')), PrintPng::SOFTWARE));
        $pdf->end();
        fclose($file);
        rename("$path.part", $path) || throw PngBroken::unwritable($path);
    }

    private function object(int $number, string $body): void
    {
        $this->places[$number] = $this->at;
        $this->say("$number 0 obj\n$body\nendobj\n");
    }

    /** A stream of packed rows; its length is known only after it, and stands in an object of its own. */
    private function pixels(int $number, int $length, string $dictionary, Image $image): void
    {
        $this->places[$number] = $this->at;
        $this->say("$number 0 obj\n$dictionary\nstream\n");
        $begin = $this->at;
        $packer = deflate_init(ZLIB_ENCODING_DEFLATE, ['level' => 6]);
        assert($packer !== false);
        for ($top = 0; $top < $image->height(); $top += self::ROWS) {
            $rows = $image->crop(0, $top, $image->width(), min(self::ROWS, $image->height() - $top))->toBytes();
            $this->say((string) deflate_add($packer, $rows, ZLIB_NO_FLUSH));
        }
        $this->say((string) deflate_add($packer, '', ZLIB_FINISH));
        $bytes = $this->at - $begin;
        $this->say("\nendstream\nendobj\n");
        $this->object($length, (string) $bytes);
    }

    private function end(): void
    {
        ksort($this->places);
        $table = $this->at;
        $this->say(sprintf("xref\n0 %d\n0000000000 65535 f \n", count($this->places) + 1));
        foreach ($this->places as $place) {
            $this->say(sprintf("%010d 00000 n \n", $place));
        }
        $this->say(sprintf("trailer\n<< /Size %d /Root 1 0 R /Info 9 0 R >>\nstartxref\n%d\n%%%%EOF\n", count($this->places) + 1, $table));
    }

    private function say(string $bytes): void
    {
        $this->at += (int) fwrite($this->file, $bytes);
    }
}
