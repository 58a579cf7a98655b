<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Artwork;

/** Pixels and ppi of the file against the print area that the house asks for. */
final class SheetSize implements Check
{
    public function run(Subject $subject): array
    {
        [$file, $area] = [$subject->file, $subject->area];
        $figure = sprintf('%d × %d px, %s ppi', $file->width, $file->height, round($file->ppi->value, 1));
        $least = $subject->rule->least()->value;
        $low = $file->ppi->value < $least - 0.5;
        if ($area === null) {
            return [new Finding('sheet', 'Sheet', $low ? Verdict::Fail : Verdict::Pass, $figure, sprintf('%s ppi', $least), $low
                ? sprintf('The file has %s ppi at its printed size; the rule "%s" asks for %s.', round($file->ppi->value, 1), $subject->rule->says(), $least)
                : sprintf('The file holds the rule "%s".', $subject->rule->says()))];
        }
        $same = $file->width === $area->width && $file->height === $area->height;

        return [new Finding(
            'sheet', 'Sheet', $low || ! $same ? Verdict::Fail : Verdict::Pass, $figure,
            sprintf('%d × %d px', $area->width, $area->height),
            $same ? sprintf('The sheet is the print area "%s".', $area->name) : sprintf('The sheet is not the print area "%s".', $area->name),
            mends: $same ? [] : [new Mend(sprintf('Refit to %d × %d px', $area->width, $area->height), fn (Artwork $a): Artwork => $a->refitted($area))],
        )];
    }
}
