<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Layer;
use TallCrow\Asset\AssetUnusable;
use TallCrow\Compose\Weight;
use TallCrow\Edit\Scale;
use TallCrow\Geometry\Box;
use TallCrow\Type\FontRefused;
use TallCrow\Type\Letter;
use TallCrow\Type\MissingGlyphs;

/** Words too small to print: their x-height and stroke width against the limits of the method. */
final class SmallWords implements ChecksSheet
{
    public function sheet(SheetSubject $subject): array
    {
        $method = $subject->demands->method;
        $small = [];
        $words = 0;
        foreach ($subject->artwork->everyLayer() as $layer) {
            $measured = $subject->isRead($layer) ? self::measured($layer, $subject) : null;
            if ($measured === null) {
                continue;
            }
            [$height, $stroke, $box] = $measured;
            $words++;
            // The strokes of knocked-out letters are gaps.
            [$stroke, $least] = $layer->role->prints() ? [$stroke, $method->line] : [$stroke + 2 * $layer->role->gap, $method->gap];
            if ($height < $method->xHeight || $stroke < $least) {
                // One per cent more than needed, for rounding.
                $small[] = [$layer, $height, $stroke, $box, round(1.01 * max($method->xHeight / max(1e-6, $height), $least / max(1e-6, $stroke)), 3)];
            }
        }
        if ($words === 0) {
            return [];
        }
        $named = implode(', ', array_map(fn (array $one): string => $one[0]->called(), $small));

        return [Finding::of(
            Group::Detail, 'small', 'Small words', $small === [] ? Verdict::Pass : Verdict::Fail,
            $small === [] ? 'large enough' : sprintf('%.2f in · %.3f in', $small[0][1], $small[0][2]), sprintf('%.2f in · %.3f in', $method->xHeight, $method->line),
            $small === [] ? 'Every word is large enough to print.' : sprintf('%s: small letters of %.2f in with strokes of %.3f in are under what this method holds.', $named, $small[0][1], $small[0][2]),
        )->about(...array_map(fn (array $one): string => $one[0]->id, $small))->at(array_map(fn (array $one): Box => $one[3], $small))->mendedBy(...array_map(
            fn (array $one): Mend => Mend::by(sprintf('Set %s %d %% larger', $one[0]->called(), round(($one[4] - 1) * 100)), new Scale([$one[0]->id], $one[4])),
            array_slice(array_values(array_filter($small, fn (array $one): bool => $subject->hasRoom($one[0]->id, $one[4]))), 0, 3),
        ))];
    }

    /** @return array{float, float, Box}|null x-height and stroke width in inches, and the place of the words */
    public static function measured(Layer $layer, SheetSubject $subject): ?array
    {
        try {
            $letters = $subject->renderer->placer->place($layer)->letters ?? [];
        } catch (AssetUnusable|MissingGlyphs|FontRefused) {
            return null;
        }
        // Only letters and digits; for each line the median of their heights.
        $lines = [];
        foreach ($letters as $letter) {
            if (preg_match('/[\p{L}\p{N}]/u', $letter->characters) === 1) {
                $lines[$letter->line][] = $letter->height();
            }
        }
        $smallest = null;
        foreach ($lines as $line => $heights) {
            sort($heights);
            $height = $heights[intdiv(count($heights), 2)];
            $of = array_values(array_filter($letters, fn (Letter $letter): bool => $letter->line === $line));
            $stroke = Weight::of(Letter::together($of)) + 2 * $subject->renderer->placer->inking($layer)->reach();
            if ($smallest === null || $height < $smallest[0]) {
                $smallest = [$height, $stroke, Letter::together($of)->bounds()];
            }
        }

        return $smallest;
    }
}
