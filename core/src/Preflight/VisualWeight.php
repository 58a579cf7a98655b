<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Layer;
use TallCrow\Asset\AssetUnusable;
use TallCrow\Compose\Weight;
use TallCrow\Edit\AddEffect;
use TallCrow\Edit\Scale;
use TallCrow\Geometry\Region;
use TallCrow\Type\FontRefused;
use TallCrow\Type\Letter;
use TallCrow\Type\MissingGlyphs;

/**
 * Lines of words in one design should have similar visual weight (common practice): compares their mean stroke width with the median of all lines. Small print
 * is meant to be light, so only lines that are far lighter than both the others and their own size suggest are reported, as one finding.
 */
final class VisualWeight implements ChecksSheet
{
    /** Strokes thinner than this share of the median look weak (our choice). */
    private const LEAST = 0.3;

    /** Strokes thinner than this share of the letters' height belong to a light typeface (our choice). */
    private const LIGHT = 0.085;

    /** Lines with smaller letters than this, in inches, are small print. */
    private const SMALL = 0.25;

    private const EVEN = 0.5;

    private const STEPS = 5;

    /** Share of letters that must remain separate after emboldening. */
    private const APART = 0.7;

    public function sheet(SheetSubject $subject): array
    {
        $weights = [];
        foreach ($subject->artwork->everyLayer() as $layer) {
            $weight = $layer->on && $layer->role->prints() && $layer->isWords() ? $this->weight($layer, $subject) : null;
            if ($weight !== null) {
                $weights[] = $weight;
            }
        }
        if (count($weights) < 2) {
            return [];
        }
        $thick = array_column($weights, 'thick');
        sort($thick);
        $middle = $thick[intdiv(count($thick), 2)];
        $weak = array_values(array_filter($weights, fn (array $one): bool => $one['thick'] < $middle * self::LEAST && $one['thick'] < self::LIGHT * $one['height'] && $one['height'] >= self::SMALL));

        return $weak === [] ? [] : [$this->finding($weak, $middle, $subject)];
    }

    /** @return array{layer: Layer, letters: list<Letter>, thick: float, height: float}|null */
    private function weight(Layer $layer, SheetSubject $subject): ?array
    {
        try {
            $letters = $subject->renderer->placer->place($layer)->letters ?? [];
        } catch (AssetUnusable|MissingGlyphs|FontRefused) {
            return null;
        }
        $inking = $subject->renderer->placer->inking($layer);
        $height = max([0.0, ...array_map(fn (Letter $letter): float => $letter->height(), $letters)]);
        $thick = $letters === [] ? 0.0 : Weight::of(Letter::together($letters));
        // For hollow words the line's width counts.
        $hollow = array_filter($layer->effects, fn ($line): bool => $line->on && $line->kind === 'hollow');
        $line = $hollow === [] ? null : (float) array_values($hollow)[count($hollow) - 1]->values->number('width');

        return $thick <= 0 ? null : ['layer' => $layer, 'letters' => $letters, 'thick' => ($line ?? $thick) + 2 * $inking->reach(), 'height' => $height];
    }

    /** @param  non-empty-list<array{layer: Layer, letters: list<Letter>, thick: float, height: float}>  $weak */
    private function finding(array $weak, float $middle, SheetSubject $subject): Finding
    {
        $named = implode(', ', array_map(fn (array $one): string => $one['layer']->called(), $weak));
        $mends = array_map(function (array $one) use ($middle, $subject): ?Mend {
            $by = self::open($one['letters'], ($middle * self::EVEN - $one['thick']) / 2, ($middle * self::LEAST - $one['thick']) / 2 * 1.02);

            return $by > 0
                ? Mend::by(sprintf('Embolden %s by %.3f in', $one['layer']->called(), $by), new AddEffect($one['layer']->id, Lines::of('embolden', ['by' => $by]), first: false))
                : self::larger($one['layer'], $middle * self::LEAST / $one['thick'], $subject);
        }, array_slice($weak, 0, 3));

        return Finding::of(
            Group::Composition, 'weight:'.$weak[0]['layer']->id, 'Weight', Verdict::Warn, sprintf('%.2f in strokes', $weak[0]['thick']), sprintf('%.2f in', $middle * self::LEAST),
            sprintf('%s %s strokes of %.3f in beside %.3f in of the other words, and may look weak there.', $named, count($weak) === 1 ? 'has' : 'have', $weak[0]['thick'], $middle),
        )->about(...array_map(fn (array $one): string => $one['layer']->id, $weak))->mendedBy(...array_filter($mends));
    }

    /** @return array{int, int} number of outer contours, and of holes */
    private static function rings(Region $region): array
    {
        $outers = $holes = 0;
        foreach ($region->path()->contours(0.01) as $contour) {
            $twice = 0.0;
            foreach ($contour as $i => [$x, $y]) {
                [$fromX, $fromY] = $contour[max(0, $i - 1)];
                $twice += $fromX * $y - $x * $fromY;
            }
            // Outer contours and holes have opposite directions.
            $twice > 0 ? $outers++ : $holes++;
        }

        return [$outers, $holes];
    }

    /** Enlarges the layer, as far as the sheet has room. */
    private static function larger(Layer $layer, float $by, SheetSubject $subject): ?Mend
    {
        $by = round($by * 1.03, 3);

        return ! $subject->hasRoom($layer->id, $by) ? null : Mend::by(sprintf('Set %s %d %% larger', $layer->called(), round(($by - 1) * 100)), new Scale([$layer->id], $by));
    }

    /**
     * The largest emboldening that keeps every counter open and letters apart; 0 if there is none.
     *
     * @param  list<Letter>  $letters
     * @param  float  $least  least emboldening, in inches, that would help
     */
    private static function open(array $letters, float $by, float $least): float
    {
        $region = Region::filledBy(Letter::together($letters));
        [$outers, $holes] = self::rings($region);
        for ($step = self::STEPS; $step > 0; $step--) {
            $try = round($by * $step / self::STEPS, 3);
            if ($try < max(0.001, $least)) {
                continue;
            }
            // Test with twice the amount, so that counters remain wide enough to print. Only a few letters may come to touch.
            $left = self::rings($region->moved(2 * $try));
            if ($left[1] === $holes && self::rings($region->moved($try))[0] >= self::APART * $outers) {
                return $try;
            }
        }

        return 0.0;
    }
}
