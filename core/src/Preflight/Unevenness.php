<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Layer;
use TallCrow\Artwork\LetterSize;
use TallCrow\Asset\AssetUnusable;
use TallCrow\Colour\Srgb;
use TallCrow\Edit\SizeBy;
use TallCrow\Type\FontRefused;
use TallCrow\Type\MissingGlyphs;

/** Measures that were probably meant to be equal and differ slightly: cap heights of one typeface, ring widths, colours. Reported as one finding. */
final class Unevenness implements ChecksSheet
{
    /** Relative differences between these bounds are reported: smaller ones are invisible, larger ones count as intended (our choice). */
    private const SAME = 0.008;

    private const MEANT = 0.07;

    /** Largest CIEDE2000 difference of two colours that were probably meant to be equal. */
    private const COLOUR = 4.0;

    private const MOST = 4;

    public function sheet(SheetSubject $subject): array
    {
        $heights = $rings = $colours = [];
        foreach ($subject->artwork->everyLayer() as $layer) {
            if (! $layer->on || ! $layer->role->prints()) {
                continue;
            }
            $height = self::capitals($layer, $subject);
            if ($height !== null) {
                $heights[] = [$layer, $height];
            }
            foreach ($layer->effects as $line) {
                if ($line->on && $line->kind === 'outline') {
                    $rings[] = [$layer, $line->values->number('width')];
                }
                if ($line->on && in_array($line->kind, ['fill', 'outline'], true)) {
                    $colours[$line->values->colour('colour')->toHex()][] = $layer;
                }
            }
        }
        $slips = [...self::slips($heights, 'capitals of %.3f in and %.3f in', true), ...self::slips($rings, 'rings of %.3f in and %.3f in', false), ...self::colours($colours)];
        if ($slips === []) {
            return [];
        }
        $layers = array_values(array_unique(array_merge([], ...array_map(fn (array $slip): array => $slip['layers'], $slips))));

        return [Finding::of(
            Group::Composition, 'uneven', 'Uneven', Verdict::Warn, sprintf('%d %s', count($slips), count($slips) === 1 ? 'slip' : 'slips'), 'alike, or clearly not',
            sprintf('Nearly alike, and not quite: %s.', implode('; ', array_map(fn (array $slip): string => $slip['says'], array_slice($slips, 0, self::MOST)))),
        )->about(...$layers)->mendedBy(...array_slice(array_values(array_filter(array_map(fn (array $slip): ?Mend => $slip['mend'], $slips))), 0, 3))];
    }

    private static function capitals(Layer $layer, SheetSubject $subject): ?float
    {
        try {
            $em = $layer->isWords() ? $subject->renderer->placer->em($layer) : null;

            return $em === null ? null : $em * $subject->renderer->placer->capital($layer);
        } catch (AssetUnusable|MissingGlyphs|FontRefused) {
            return null;
        }
    }

    /**
     * @param  list<array{Layer, float}>  $measured
     * @return list<array{says: string, layers: list<string>, mend: ?Mend}>
     */
    private static function slips(array $measured, string $says, bool $areLetters): array
    {
        $slips = [];
        foreach ($measured as $i => [$one, $a]) {
            foreach (array_slice($measured, $i + 1) as [$other, $b]) {
                $off = abs($a - $b) / max(1e-9, $a, $b);
                // Only compare letters of the same typeface.
                if ($off > self::SAME && $off < self::MEANT && $one !== $other && (! $areLetters || self::face($one) === self::face($other))) {
                    $slips[] = [
                        'says' => sprintf("%s and %s have $says", $one->called(), $other->called(), $a, $b), 'layers' => [$one->id, $other->id],
                        'mend' => $areLetters ? Mend::by(sprintf('Set %s to the capitals of %s', $other->called(), $one->called()), new SizeBy([$other->id], LetterSize::Capitals, round($a, 4))) : null,
                    ];
                }
            }
        }

        return $slips;
    }

    private static function face(Layer $layer): string
    {
        return $layer->words()->font ?? '';
    }

    /**
     * @param  array<string, list<Layer>>  $colours
     * @return list<array{says: string, layers: list<string>, mend: ?Mend}>
     */
    private static function colours(array $colours): array
    {
        $slips = [];
        $hexes = array_keys($colours);
        foreach ($hexes as $i => $one) {
            foreach (array_slice($hexes, $i + 1) as $other) {
                if (Srgb::hex($one)->toLab()->difference(Srgb::hex($other)->toLab()) < self::COLOUR) {
                    $slips[] = ['says' => "two inks of one colour, $one and $other", 'layers' => array_map(fn (Layer $layer): string => $layer->id, [$colours[$one][0], $colours[$other][0]]), 'mend' => null];
                }
            }
        }

        return $slips;
    }
}
