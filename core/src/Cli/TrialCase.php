<?php

declare(strict_types=1);

namespace TallCrow\Cli;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\ArtworkReader;
use TallCrow\Artwork\Garment;
use TallCrow\Asset\PictureReader;
use TallCrow\Asset\Shelf;
use TallCrow\Colour\Srgb;
use TallCrow\Export\PngFacts;
use TallCrow\Measure\HouseRule;
use TallCrow\Measure\Ppi;
use TallCrow\Measure\PrintArea;
use TallCrow\Preflight\Preflight;
use TallCrow\Preflight\Report;
use TallCrow\Preflight\Verdict;
use TallCrow\Render\Renderer;

/**
 * A test case for the checks: a sheet or file with known faults. In JSON: `says`, a `sheet` or a `file` beside it, `faults` (keys, or prefixes of keys,
 * that must be reported) and `fine` (that must not); for a file, `ppi` and the cloths `on` which it lies; `area`, the pixels that a house asks for.
 */
final readonly class TrialCase
{
    private const PPI = 300.0;

    /**
     * @param  list<string>  $cloths  for a file, as #rrggbb
     * @param  list<string>  $faults
     * @param  list<string>  $fine
     */
    private function __construct(
        public string $name,
        public string $says,
        public ?Artwork $artwork,
        public string $file,
        public float $ppi,
        public array $cloths,
        public ?PrintArea $area,
        public array $faults,
        public array $fine,
    ) {}

    public static function read(string $path): self
    {
        /** @var array{says: string, sheet?: array<string, mixed>, file?: string, ppi?: float, on?: list<string>, area?: array{int, int}, faults: list<string>, fine: list<string>} $case */
        $case = json_decode((string) file_get_contents($path), true, flags: JSON_THROW_ON_ERROR);
        $ppi = $case['ppi'] ?? self::PPI;

        return new self(
            basename($path, '.json'), $case['says'], isset($case['sheet']) ? ArtworkReader::data($case['sheet']) : null,
            dirname($path).'/'.basename($case['file'] ?? ''), $ppi, $case['on'] ?? ['#1f1d1a'],
            isset($case['area']) ? PrintArea::pixels('', $case['area'][0], $case['area'][1], Ppi::of($ppi)) : null, $case['faults'], $case['fine'],
        );
    }

    public function report(Renderer $renderer, Shelf $shelf): Report
    {
        if ($this->artwork !== null) {
            return Preflight::artwork($this->artwork, $renderer, $shelf, $this->area);
        }
        $garments = array_map(fn (string $hex): Garment => new Garment($hex, Srgb::hex($hex)), $this->cloths);

        return Preflight::picture(PictureReader::check($this->file)->pixels()->settled(), $this->ppi, $garments, HouseRule::Strict300, PngFacts::of($this->file), $this->area);
    }

    /**
     * Compares a report with the known faults.
     *
     * @return list<array{string, bool, bool}> key, whether it must be reported, whether it was
     */
    public function judged(Report $report): array
    {
        return [
            ...array_map(fn (string $key): array => [$key, true, self::isTold($report, $key)], $this->faults),
            ...array_map(fn (string $key): array => [$key, false, self::isTold($report, $key)], $this->fine),
        ];
    }

    private static function isTold(Report $report, string $key): bool
    {
        foreach ($report->findings as $finding) {
            if ($finding->verdict !== Verdict::Pass && ($finding->key === $key || str_starts_with($finding->key, $key.':'))) {
                return true;
            }
        }

        return false;
    }
}
