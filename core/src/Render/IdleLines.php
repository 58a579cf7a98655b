<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\Layer;
use TallCrow\Effect\Inks;
use TallCrow\Effect\SetsType;
use TallCrow\Effect\Stage;
use TallCrow\Effect\Words\Feature;
use TallCrow\Effect\Words\LetterSpacing;
use TallCrow\Effect\Words\Variation;
use TallCrow\Type\Alignment;
use TallCrow\Type\Scripts;
use TallCrow\Type\Setting;

/** Finds the effects of a layer that change nothing where they stand in the list, and says why. */
final readonly class IdleLines
{
    public function __construct(private Placer $placer) {}

    /** @return array<int, string> the reason, by the effect's index in the layer's list */
    public function of(Layer $layer): array
    {
        $idle = [];
        foreach ($layer->effects as $i => $line) {
            $why = $line->on ? $this->why($layer, $line, $i) : null;
            if ($why !== null) {
                $idle[$i] = $why;
            }
        }

        return $idle;
    }

    private function why(Layer $layer, EffectLine $line, int $at): ?string
    {
        $stage = Stage::of($line->is());
        if ($stage->isForRasters()) {
            $art = $layer->picture();

            return $art !== null && ! $this->placer->retoucher->picture($art)->isVector() ? null : 'Does nothing here: it works on the pixels of a photo or scan, and there is none.';
        }
        if (! $stage->isForAny() && ! $layer->isWords()) {
            return 'Does nothing here: it sets letters, and there are no words.';
        }
        $effects = $layer->effects;
        unset($effects[$at]);
        $without = $layer->withEffects(array_values($effects));
        $effect = $line->effect();

        return match (true) {
            // Inside a group every child is inked separately.
            $effect instanceof Inks && $layer->children() !== [] => null,
            $effect instanceof Inks && serialize($this->placer->inking($layer)) === serialize($this->placer->inking($without)) => 'Does nothing here: a line below it has the last word.',
            $effect instanceof LetterSpacing && Scripts::joinThroughout(str_replace("\n", '', (string) $layer->words()?->text)) => 'Does nothing here: these letters join, and room between them would tear them apart. Type ـ (tatweel) between two letters to lengthen the stroke that joins them.',
            $effect instanceof Feature && $this->letters($layer) === $this->letters($without) => 'Does nothing here: the font has no such feature, or draws nothing else for these letters.',
            $effect instanceof Variation && $this->letters($layer) === $this->letters($without) => 'Does nothing here: this font does not vary so, or another line has the last word.',
            $effect instanceof SetsType && serialize(self::setting($layer)) === serialize(self::setting($without)) => 'Does nothing as it is set: the letters stand the same without it.',
            default => null,
        };
    }

    /** The outlines of its letters as they lie. */
    private function letters(Layer $layer): string
    {
        return serialize($this->placer->place($layer)->letters ?? []);
    }

    private static function setting(Layer $layer): Setting
    {
        $setting = new Setting(Alignment::Centre, 1.0);
        foreach ($layer->liveEffects() as $effect) {
            if ($effect instanceof SetsType) {
                $setting = $effect->set($setting);
            }
        }

        return $setting;
    }
}
