<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\Layer;
use TallCrow\Asset\AssetUnusable;
use TallCrow\Compose\Weight;
use TallCrow\Edit\AddEffect;
use TallCrow\Effect\Values;
use TallCrow\Type\FontRefused;
use TallCrow\Type\Letter;
use TallCrow\Type\MissingGlyphs;

/** Lines of words that share a design should carry a like weight (common practice): the mean thickness of their strokes is compared. */
final class VisualWeight implements ChecksSheet
{
    /** A line whose strokes are thinner than this share of the heaviest line's looks weak beside it (our choice). */
    private const LEAST = 0.3;

    private const EVEN = 0.5;

    private const MOST_BY = 0.5;

    public function sheet(SheetSubject $subject): array
    {
        $weights = [];
        foreach ($subject->artwork->everyLayer() as $layer) {
            if ($layer->on && $layer->role->prints() && $layer->isWords()) {
                array_push($weights, ...$this->weights($layer, $subject));
            }
        }
        $most = max([0.0, ...array_column($weights, 'thick')]);
        $findings = [];
        foreach ($weights as $weight) {
            if ($weight['thick'] < $most * self::LEAST && ! isset($findings[$weight['layer']->id])) {
                $findings[$weight['layer']->id] = $this->finding($weight, $most);
            }
        }

        return array_values($findings);
    }

    /** @return list<array{layer: Layer, line: int, thick: float}> */
    private function weights(Layer $layer, SheetSubject $subject): array
    {
        try {
            $letters = $subject->renderer->placer->place($layer)->letters ?? [];
        } catch (AssetUnusable|MissingGlyphs|FontRefused) {
            return [];
        }
        $grown = $subject->renderer->placer->inking($layer)->reach();
        $lines = [];
        foreach ($letters as $letter) {
            $lines[$letter->line][] = $letter;
        }
        $weights = [];
        foreach ($lines as $line => $of) {
            $thick = Weight::of(Letter::together($of));
            if ($thick > 0) {
                $weights[] = ['layer' => $layer, 'line' => $line, 'thick' => $thick + 2 * $grown];
            }
        }

        return $weights;
    }

    /** @param  array{layer: Layer, line: int, thick: float}  $weight */
    private function finding(array $weight, float $most): Finding
    {
        ['layer' => $layer, 'line' => $line, 'thick' => $thick] = $weight;
        $by = min(self::MOST_BY, round(($most * self::EVEN - $thick) / 2, 3));
        $which = $layer->words()?->hasSeveralLines() ? sprintf('Line %d of %s', $line + 1, $layer->called()) : $layer->called();

        return Finding::of(
            Group::Composition, 'weight:'.$layer->id, $layer->called(), Verdict::Warn, sprintf('%.2f in strokes', $thick), sprintf('%.2f in', $most * self::LEAST),
            sprintf('%s has strokes of %.3f in, the heaviest line on the sheet %.3f in. Beside one another the thin one looks weak; emboldened by %.3f in it carries half the weight.', $which, $thick, $most, $by),
        )->about($layer->id)->mendedBy(Mend::by(sprintf('Embolden by %.3f in', $by), new AddEffect($layer->id, new EffectLine('embolden', new Values(['by' => $by]), true), first: false)));
    }
}
