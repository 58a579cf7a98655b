<?php

declare(strict_types=1);

namespace TallCrow\Series;

/** Compares the rows of a series: reports letters that are much smaller than in the other rows. */
final class Evenness
{
    /** Fraction of the median letter height below which a row counts as small (our choice). */
    private const SMALL = 0.6;

    private const FEW = 3;

    /**
     * @param  array<int, array<string, float>>  $letters  heights by slot, of each row
     * @return array<int, list<RowNote>> keyed by row, only rows with a note
     */
    public static function notes(array $letters): array
    {
        $bySlot = [];
        foreach ($letters as $row => $heights) {
            foreach ($heights as $slot => $height) {
                $bySlot[$slot][$row] = $height;
            }
        }
        $notes = [];
        foreach ($bySlot as $slot => $heights) {
            $sorted = array_values($heights);
            sort($sorted);
            $middle = $sorted[intdiv(count($sorted), 2)];
            foreach (count($sorted) < self::FEW ? [] : $heights as $row => $height) {
                if ($height < self::SMALL * $middle) {
                    $notes[$row][] = new RowNote(false, sprintf('%s: letters of %.2f in beside %.2f in of most rows: small beside the others.', $slot, $height, $middle));
                }
            }
        }

        return $notes;
    }
}
