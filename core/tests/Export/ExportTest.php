<?php

declare(strict_types=1);

use TallCrow\Colour\Srgb;
use TallCrow\Export\Exporter;
use TallCrow\Export\ExportProgress;
use TallCrow\Export\ExportStage;
use TallCrow\Export\PngBroken;
use TallCrow\Export\PngChunk;
use TallCrow\Export\PngFile;
use TallCrow\Export\PrintPng;
use TallCrow\Measure\Ppi;
use TallCrow\Preflight\Verdict;
use TallCrow\Raster\Image;
use TallCrow\Tests\Fixtures;

/** Notes the stages, and ends the export at one of them if told to. */
function progress(?string $endAt = null): ExportProgress
{
    return new class($endAt) implements ExportProgress {
        /** @var list<string> */
        public array $seen = [];

        public function __construct(private readonly ?string $endAt) {}

        public function layer(int $number, int $of, string $name): void
        {
            $this->note("layer $number of $of");
        }

        public function line(int $number, int $of, string $kind): void
        {
            $this->note("line $number of $of, $kind");
        }

        public function stage(ExportStage $stage): void
        {
            $this->note($stage->value);
        }

        private function note(string $what): void
        {
            $this->seen[] = $what;
            if ($what === $this->endAt) {
                throw new RuntimeException('ended');
            }
        }
    };
}

// PNG Specification, Third Edition, and Debian's pngcheck as its reader.
it('writes the file that a print house takes', function (): void {
    $path = Fixtures::temporary('export').'/kite-day.png';
    $artwork = Fixtures::artwork([Fixtures::words('w', 'BELLS', 2.4, ['opacity' => 0.9]), Fixtures::shape('s', 'ellipse', 1)], ['title' => 'Bell ringers’ night']);
    $progress = progress();
    $done = Exporter::export($artwork, Fixtures::shelf(), $path, dirname($path).'/scratch', $progress);

    $check = Fixtures::run(['pngcheck', '-v', $path]);
    expect($check)->toContain('900 x 1200 image, 32-bit RGB+alpha, non-interlaced')
        ->toContain('11811x11811 pixels/meter (300 dpi)')->toContain('chunk sRGB')->toContain('keyword: Title')->toContain('keyword: Software')
        ->toContain('No errors detected');
    expect(Fixtures::run(['identify', '-format', '%w %h %z %[channels] %x %U', $path]))->toContain('900 1200 8')->toMatch('/118\.1\d* PixelsPerCentimeter/');

    // Colour under full transparency is cleared: ImageMagick counts what is left of it.
    $ghosts = (int) Fixtures::run(['convert', $path, '-alpha', 'extract', '-threshold', '0', '-negate', '(', $path, '-alpha', 'off', ')', '-compose', 'Multiply', '-composite', '-format', '%[fx:maxima*255]', 'info:']);
    expect($ghosts)->toBe(0);
    expect($done->bytes)->toBe(filesize($path))->and($done->sha256)->toBe(hash_file('sha256', $path))->and([$done->width, $done->height])->toBe([900, 1200])
        ->and($progress->seen)->toBe(['layer 0 of 2', 'layer 1 of 2', 'write', 'check'])
        ->and($done->report->finding('sheet')?->verdict)->toBe(Verdict::Pass)
        ->and(glob(dirname($path).'/*'))->toBe([$path]);
});

it('leaves no half file behind when it is ended', function (string $stage, int $files): void {
    $folder = Fixtures::temporary('export');
    $artwork = Fixtures::artwork([Fixtures::shape('a', 'ellipse', 1), Fixtures::shape('b', 'ellipse', 1)]);
    expect(fn () => Exporter::export($artwork, Fixtures::shelf(), "$folder/out.png", "$folder/scratch", progress($stage)))->toThrow(RuntimeException::class, 'ended');
    expect(glob("$folder/*"))->toHaveCount($files);
})->with([['layer 1 of 2', 0], ['write', 0], ['check', 1]]);

it('writes chunks as the standard lays them out', function (): void {
    // The CRC of an empty IEND chunk is AE426082 in every PNG file.
    expect(bin2hex((new PngChunk('IEND', ''))->bytes()))->toBe('0000000049454e44ae426082')
        ->and(PngChunk::density(Ppi::of(300)->perMetre())->data)->toBe("\0\0\x2e\x23\0\0\x2e\x23\1");
});

it('says what is wrong with a broken file', function (string $bytes, string $says): void {
    $path = Fixtures::temporary('png').'/x.png';
    file_put_contents($path, $bytes);
    expect(fn () => PngFile::chunks($path))->toThrow(PngBroken::class, $says);
})->with([['GIF89a', 'is not a PNG file'], ["\x89PNG\r\n\x1a\n", 'cut short'], ["\x89PNG\r\n\x1a\n\xff\xff\xff\xffIHDR", 'cut short']]);

it('names files for the design', function (string $title, string $file): void {
    expect(PrintPng::fileName($title))->toBe($file);
})->with([
    ['Quarry Road kite day', 'quarry-road-kite-day.png'], ['Café / Night: "№ 9"', 'cafe-night-no-9.png'], ['../../etc/passwd', 'etc-passwd.png'], ['鳥', 'design.png'],
]);

it('leaves nothing under what is clear', function (): void {
    $path = Fixtures::temporary('export').'/clear.png';
    // Rust everywhere, but seen on the left half alone.
    $alpha = Image::empty(40, 20, 1)->insert(Image::empty(20, 20, 1)->inverted(), 0, 0);
    PrintPng::write(Image::flat(Srgb::of(176, 74, 44), $alpha)->settled(), $path, Ppi::of(300), '');
    // ImageMagick reads the colours as they stand in the file.
    $raw = Fixtures::run(['convert', $path, '-depth', '8', 'rgba:-']);
    expect(strlen($raw))->toBe(3200)->and(array_unique(array_map(fn (string $row): string => substr($row, 0, 80), str_split($raw, 160))))->toBe([str_repeat("\xb0\x4a\x2c\xff", 20)])
        ->and(array_unique(array_map(fn (string $row): string => substr($row, 80), str_split($raw, 160))))->toBe([str_repeat("\0", 80)]);
});
