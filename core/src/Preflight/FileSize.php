<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

/** Ppi of a file at its print size against the house's rule. */
final class FileSize implements ChecksPicture
{
    /** Tolerance for rounding, in ppi. */
    private const ROUNDING = 0.5;

    public function picture(PictureSubject $subject): array
    {
        $ppi = $subject->file->ppi->value;
        $least = $subject->rule->least()->value;
        $low = self::isLow($ppi, $least);

        return [Finding::of(
            Group::Sheet, 'sheet', 'Sheet', $low ? Verdict::Fail : Verdict::Pass,
            sprintf('%d × %d px, %s ppi', $subject->file->width, $subject->file->height, round($ppi, 1)), sprintf('%s ppi', $least),
            $low
                ? sprintf('The file has %s ppi at its printed size; the rule "%s" asks for %s.', round($ppi, 1), $subject->rule->says(), $least)
                : sprintf('The file holds the rule "%s".', $subject->rule->says()),
        )];
    }

    public static function isLow(float $ppi, float $least): bool
    {
        return $ppi < $least - self::ROUNDING;
    }
}
