<?php

declare(strict_types=1);

namespace PrintHouse;

/** What the house itself measures of a file, by ImageMagick, which shares no code with whoever made it. */
final readonly class Measured
{
    public function __construct(
        public string $kind,
        public int $width,
        public int $height,
        /** As the file states it; 0 where it states none. */
        public float $stated,
        public bool $transparent,
        public string $colours,
        public int $bytes,
        public string $sha256,
    ) {}

    /** @throws Unreadable */
    public static function of(string $file): self
    {
        $head = (string) file_get_contents($file, false, null, 0, 8);
        $kind = match (true) {
            str_starts_with($head, "\x89PNG") => 'png',
            str_starts_with($head, "II*\0"), str_starts_with($head, "MM\0*") => 'tiff',
            str_starts_with($head, '%PDF-') => 'pdf',
            default => throw new Unreadable('This is no PNG, TIFF or PDF.'),
        };
        $facts = ['kind' => $kind, 'bytes' => (int) filesize($file), 'sha256' => (string) hash_file('sha256', $file)];
        if ($kind === 'pdf') {
            return self::paper($file, ...$facts);
        }
        // The coder is named, so that no file chooses another.
        $said = self::run(['identify', '-units', 'PixelsPerInch', '-format', '%w %h %x %A %[colorspace]', ($kind === 'png' ? 'png' : 'tiff').":{$file}[0]"]);
        if (preg_match('/^(\d+) (\d+) ([\d.]+)\S* (\w+) (\w+)/', $said, $found) !== 1) {
            throw new Unreadable('The picture in it cannot be read.');
        }

        return new self($kind, (int) $found[1], (int) $found[2], round((float) $found[3], 2), ! in_array($found[4], ['Undefined', 'False', 'Off'], true), $found[5], $facts['bytes'], $facts['sha256']);
    }

    /** The largest picture of a paper. */
    private static function paper(string $file, string $kind, int $bytes, string $sha256): self
    {
        $text = (string) file_get_contents($file);
        preg_match_all('~/Width (\d+)~', $text, $widths);
        preg_match_all('~/Height (\d+)~', $text, $heights);
        if ($widths[1] === [] || $heights[1] === []) {
            throw new Unreadable('There is no picture in this PDF.');
        }

        return new self($kind, max(array_map(intval(...), $widths[1])), max(array_map(intval(...), $heights[1])), 0.0, str_contains($text, '/SMask'), str_contains($text, '/DeviceCMYK') ? 'CMYK' : 'sRGB', $bytes, $sha256);
    }

    /** @param  list<string>  $command */
    private static function run(array $command): string
    {
        $process = proc_open(['timeout', '60', ...$command], [1 => ['pipe', 'w'], 2 => ['file', '/dev/null', 'w']], $pipes);
        if (! is_resource($process)) {
            throw new Unreadable('The house cannot measure files now.');
        }
        $said = (string) stream_get_contents($pipes[1]);
        proc_close($process);

        return $said;
    }

    /** @return array<string, mixed> */
    public function at(Place $place): array
    {
        return ['kind' => $this->kind, 'width' => $this->width, 'height' => $this->height, 'statedPpi' => $this->stated, 'ppi' => round($this->width / $place->inches, 2), 'inches' => $place->inches, 'transparent' => $this->transparent, 'colours' => $this->colours, 'bytes' => $this->bytes, 'sha256' => $this->sha256];
    }
}
