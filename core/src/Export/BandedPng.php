<?php

declare(strict_types=1);

namespace TallCrow\Export;

use TallCrow\Measure\Ppi;
use TallCrow\Raster\Composition;
use TallCrow\Raster\Image;

/**
 * Writes prints that have much in common, as the rows of a series: each picture in bands, each band packed by itself (deflate blocks that end
 * on a whole byte, RFC 1951; zlib's full flush). Bands that a print shares with the first one are neither drawn nor packed again. The files are
 * those of PrintPng: 8-bit RGBA, not interlaced, density and colour space declared; only the blocks of the stream are cut elsewhere.
 */
final class BandedPng
{
    /** Rows of a band. */
    public const ROWS = 96;

    private const ADLER = 65521;

    /** @var list<array{string, int, int, string}> of the first print: packed bytes, checksum, length unpacked, what it holds */
    private array $bands = [];

    private readonly int $width;

    private readonly int $height;

    /** @param  Image  $first  that the others are like */
    public function __construct(Image $first)
    {
        [$this->width, $this->height] = [$first->width(), $first->height()];
        $this->bands = $this->packed($first, 0);
    }

    /**
     * Written aside and renamed, so that a file of this name is always whole.
     *
     * @param  array<int, Image>  $parts  where this print differs from the first, as wide as that, each by the row at which it lies: a multiple of ROWS
     *
     * @throws PngBroken
     */
    public function write(array $parts, string $path, Ppi $ppi, string $title): void
    {
        $bands = $this->bands;
        foreach ($parts as $top => $part) {
            $own = $this->packed($part, intdiv($top, self::ROWS));
            array_splice($bands, intdiv($top, self::ROWS), count($own), $own);
        }
        $out = @fopen("$path.part", 'wb') ?: throw PngBroken::unwritable($path);
        $put = function (PngChunk $chunk) use ($out, $path): void {
            $bytes = $chunk->bytes();
            fwrite($out, $bytes) === strlen($bytes) || throw PngBroken::unwritable($path);
        };
        fwrite($out, PngFile::SIGNATURE);
        $put(new PngChunk('IHDR', pack('NNCCCCC', $this->width, $this->height, 8, 6, 0, 0, 0)));
        $put(PngChunk::srgb());
        $put(PngChunk::density($ppi->perMetre()));
        $title === '' || $put(PngChunk::text('Title', $title));
        $put(PngChunk::text('Software', PrintPng::SOFTWARE));
        // RFC 1950: deflate with a window of 32 kB, no dictionary.
        $put(new PngChunk('IDAT', "\x78\x5e"));
        $sum = 1;
        foreach ($bands as [$packed, $adler, $length]) {
            $put(new PngChunk('IDAT', $packed));
            $sum = self::combined($sum, $adler, $length);
        }
        // An empty last block, then the checksum of all rows.
        $put(new PngChunk('IDAT', "\x03\x00".pack('N', $sum)));
        $put(new PngChunk('IEND', ''));
        fclose($out) && rename("$path.part", $path) || throw PngBroken::unwritable($path);
    }

    /** @return list<array{string, int, int, string}> those of a picture, the first of which has that number */
    private function packed(Image $picture, int $number): array
    {
        $picture = Composition::withoutHiddenColour($picture->settled());
        $bands = [];
        for ($top = 0; $top < $picture->height(); $top += self::ROWS) {
            // Rows without a filter: flat art packs best so.
            $rows = $picture->crop(0, $top, $this->width, min(self::ROWS, $picture->height() - $top))->toRows();
            $holds = hash('xxh128', $rows, true);
            $same = $this->bands[$number + count($bands)] ?? null;
            $bands[] = $same !== null && $same[3] === $holds ? $same : [...self::deflated($rows), $holds];
        }

        return $bands;
    }

    /** @return array{string, int, int} */
    private static function deflated(string $rows): array
    {
        $deflate = deflate_init(ZLIB_ENCODING_RAW, ['level' => PrintPng::COMPRESSION]) ?: throw new \RuntimeException('Nothing can be packed.');

        return [(string) deflate_add($deflate, $rows, ZLIB_FULL_FLUSH), (int) hexdec(hash('adler32', $rows)), strlen($rows)];
    }

    /** The Adler-32 sum of two pieces laid one after the other (RFC 1950, 9; zlib's adler32_combine). */
    private static function combined(int $first, int $second, int $length): int
    {
        $rest = $length % self::ADLER;
        [$a1, $b1, $a2, $b2] = [$first & 0xFFFF, $first >> 16, $second & 0xFFFF, $second >> 16];
        $a = ($a1 + $a2 + self::ADLER - 1) % self::ADLER;
        $b = ($rest * $a1 + $b1 + $b2 + self::ADLER - $rest) % self::ADLER;

        return ($b << 16) | $a;
    }
}
