<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\Layer;

/**
 * The finest dots of each halftone: a round dot of a tone t at L lines to the inch is √(4 t / π) / L in across, so that the tones whose dots are
 * finer than the method holds drop out (common practice: 35 to 55 lines on cloth).
 */
final class HalftoneDots implements ChecksSheet
{
    private const KINDS = ['halftone', 'halftone-inks'];

    /** Tone up to which dots may drop out (our choice). */
    private const WARN = 0.25;

    /** Pixels of the print to a cell, below which a screen has hardly a tone. */
    private const CELL = 4.0;

    public function sheet(SheetSubject $subject): array
    {
        $dot = $subject->demands->method->dot;
        $findings = [];
        foreach ($subject->artwork->everyLayer() as $layer) {
            $lines = $layer->on && $layer->role->prints() ? array_filter($layer->effects, fn (EffectLine $line): bool => $line->on && in_array($line->kind, self::KINDS, true)) : [];
            foreach ($lines as $line) {
                $lpi = $line->values->number('lpi');
                $findings[] = self::finding($layer, $lpi, self::smallest($lpi, $dot), $dot, $subject->artwork->sheet->ppi->value);
            }
        }

        return $findings;
    }

    /** Share of ink in the lightest tone whose dots hold. */
    public static function smallest(float $lpi, float $dot): float
    {
        return M_PI / 4 * ($lpi * $dot) ** 2;
    }

    private static function finding(Layer $layer, float $lpi, float $tone, float $dot, float $ppi): Finding
    {
        $isCoarse = $ppi / $lpi < self::CELL;
        $most = floor(min(sqrt(4 * self::WARN / M_PI) / $dot, $ppi / self::CELL) / 5) * 5;

        return Finding::of(
            Group::Detail, 'dots:'.$layer->id, $layer->called().', dots', $tone > self::WARN || $isCoarse ? Verdict::Warn : Verdict::Pass,
            sprintf('%.0f lpi · from %d %%', $lpi, round($tone * 100)), sprintf('%.0f lpi', $most),
            $tone > self::WARN || $isCoarse
                ? sprintf('At %.0f lines to the inch the dots of tones under %d %% are finer than %.3f in and drop out%s. %.0f lines or fewer hold.', $lpi, round($tone * 100), $dot, $isCoarse ? sprintf(', and a cell is only %.1f px of the print', $ppi / $lpi) : '', $most)
                : sprintf('Tones from %d %% on have dots of %.3f in or more.', round($tone * 100), $dot),
        )->about($layer->id);
    }
}
