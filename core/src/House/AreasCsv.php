<?php

declare(strict_types=1);

namespace TallCrow\House;

use TallCrow\Measure\Length;
use TallCrow\Measure\Ppi;
use TallCrow\Measure\PrintArea;
use TallCrow\Measure\UnreadableLength;
use TallCrow\Measure\UnusableMeasure;

/**
 * Reads the print places of a house from a CSV table (RFC 4180) with the columns product, place, width, height, ppi, least ppi and margin. Lengths carry
 * their unit: px, in or mm.
 */
final class AreasCsv
{
    private const HEADINGS = ['product', 'place', 'width', 'height', 'ppi', 'least', 'margin'];

    public static function write(House $house): string
    {
        $stream = fopen('php://temp', 'w+b') ?: throw new \RuntimeException('No memory for a table.');
        fputcsv($stream, self::HEADINGS, escape: '', eol: "\r\n");
        foreach ($house->places as $place) {
            fputcsv($stream, [$place->product, $place->place, "{$place->area->width} px", "{$place->area->height} px", $place->area->ppi->value, $place->least, round($place->margin, 4).' in'], escape: '', eol: "\r\n");
        }

        return (string) stream_get_contents($stream, offset: 0);
    }

    /**
     * @return array{list<HousePlace>, list<string>} the places, and the errors by row and column; a row with an error is skipped
     */
    public static function read(string $csv): array
    {
        $stream = fopen('php://temp', 'w+b') ?: throw new \RuntimeException('No memory for a table.');
        fwrite($stream, str_starts_with($csv, "\xEF\xBB\xBF") ? substr($csv, 3) : $csv);
        rewind($stream);
        $headings = array_map(fn (?string $one): string => strtolower(trim((string) $one)), fgetcsv($stream, escape: '') ?: []);
        $missing = array_diff(['product', 'place', 'width', 'height'], $headings);
        if ($missing !== []) {
            return [[], [sprintf('Row 1: the headings %s are missing. A table has: %s.', implode(', ', $missing), implode(', ', self::HEADINGS))]];
        }
        [$places, $wrong] = [[], []];
        for ($row = 2; ($cells = fgetcsv($stream, escape: '')) !== false && $row < House::MOST_PLACES + 2; $row++) {
            if ($cells === [null]) {
                continue;
            }
            $cell = fn (string $name): string => in_array($name, $headings, true) ? trim((string) ($cells[(int) array_search($name, $headings, true)] ?? '')) : '';
            $column = 'ppi';
            try {
                $ppi = Ppi::of($cell('ppi') === '' ? 300.0 : (float) $cell('ppi'));
                $ppi->value >= House::LEAST_PPI || throw UnusableMeasure::ppi($ppi->value);
                $column = 'width';
                $width = Length::parse($cell('width'), $ppi)->toPixels($ppi);
                $column = 'height';
                $height = Length::parse($cell('height'), $ppi)->toPixels($ppi);
                $column = 'margin';
                $margin = $cell('margin') === '' ? 0.0 : Length::parse($cell('margin'), $ppi)->inches;
                $column = 'product';
                $cell('product') !== '' && $cell('place') !== '' || throw UnreadableLength::of('');
                $places[] = new HousePlace($cell('product'), $cell('place'), PrintArea::pixels("{$cell('product')}, {$cell('place')}", (int) round($width), (int) round($height), $ppi), $cell('least') === '' ? 200.0 : (float) $cell('least'), $margin);
            } catch (UnreadableLength|UnusableMeasure $unusable) {
                $wrong[] = sprintf('Row %d, column %s: %s', $row, $column, $column === 'product' ? 'product and place are needed.' : $unusable->getMessage());
            }
        }

        return [$places, $wrong];
    }
}
