<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Edit\Refit;

/** Pixels and ppi of the sheet against the house's print area. */
final class SheetSize implements ChecksSheet
{
    public function sheet(SheetSubject $subject): array
    {
        [$file, $area] = [$subject->picture->file, $subject->area];
        $same = $file->width === $area->width && $file->height === $area->height;
        $low = FileSize::isLow($file->ppi->value, $subject->artwork->brief->rule->least()->value);
        $finding = Finding::of(
            Group::Sheet, 'sheet', 'Sheet', $low || ! $same ? Verdict::Fail : Verdict::Pass,
            sprintf('%d × %d px, %s ppi', $file->width, $file->height, round($file->ppi->value, 1)),
            sprintf('%d × %d px', $area->width, $area->height),
            match (true) {
                $low => sprintf('The sheet has %s ppi; the rule "%s" asks for %s.', round($file->ppi->value, 1), $subject->artwork->brief->rule->says(), $subject->artwork->brief->rule->least()->value),
                ! $same => sprintf('The sheet is not the print area "%s".', $area->name),
                $area->name === '' => 'The sheet holds the rule of its house.',
                default => sprintf('The sheet is the print area "%s".', $area->name),
            },
        );

        return [$same ? $finding : $finding->mendedBy(Mend::by(sprintf('Refit to %d × %d px', $area->width, $area->height), new Refit($area->width, $area->height, $area->ppi->value)))];
    }
}
