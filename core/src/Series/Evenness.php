<?php

declare(strict_types=1);

namespace TallCrow\Series;

/** How the rows of a series look beside one another: letters far smaller than those of the others are told. */
final class Evenness
{
    /** Share of the middle height below which a row looks small beside the others (our choice). */
    private const SMALL = 0.6;

    private const FEW = 3;

    /**
     * @param  array<int, array<string, float>>  $letters  heights by slot, of each row
     * @return array<int, list<RowNote>> of the rows of which something is to be told
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
