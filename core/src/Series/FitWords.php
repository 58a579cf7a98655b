<?php

declare(strict_types=1);

namespace TallCrow\Series;

use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\EffectReader;
use TallCrow\Artwork\Faults;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\LetterSize;
use TallCrow\Artwork\Node;
use TallCrow\Artwork\TextSource;
use TallCrow\Render\Placer;

/**
 * Fits words into the place of the pattern's words: reduces tracking first, then breaks lines, then changes the font; reports constraints that cannot be
 * met.
 */
final readonly class FitWords
{
    private const TRACKING = 'letter-spacing';

    private const ROUNDS = 8;

    private const NEAR = 2e-4;

    /** Fraction of a layer's width that words within it may take. */
    private const INSIDE = 0.98;

    public function __construct(private Placer $placer) {}

    /**
     * @param  Layer  $was  the pattern's layer
     * @param  Layer  $is  the same layer with the row's words
     * @param  ?float  $room  width in inches of the layer that limits them
     */
    public function fit(Layer $was, Layer $is, Slot $slot, ?float $room): FittedWords
    {
        $rule = $slot->fit;
        $notes = [];
        if ($rule === null || $is == $was || ! $is->source instanceof TextSource || trim($is->source->text) === '') {
            return new FittedWords($is, $this->letters($is), []);
        }
        if ($rule->instead !== '' && $this->placer->missing($is) !== null) {
            $is = self::inFont($is, $rule->instead);
            $notes[] = new RowNote(false, sprintf('%s is set in another font: the pattern\'s lacks some of its letters.', self::quoted($is)));
        }
        $widest = min($rule->widest ?? INF, $room === null ? INF : $room * self::INSIDE);
        $best = null;
        $told = '';
        foreach ($this->settings($is, $rule) as $says => $set) {
            $sized = $this->sized($was, $set, $rule, $widest);
            $letters = $this->letters($sized);
            if ($best === null || $letters > $best[1] + 1e-6) {
                [$best, $told] = [[$sized, $letters], $says];
            }
            if ($letters >= $rule->least - 1e-6) {
                [$best, $told] = [[$sized, $letters], $says];
                break;
            }
        }
        assert($best !== null);
        if ($told !== '') {
            $notes[] = new RowNote(false, sprintf('%s is set %s to fit.', self::quoted($is), $told));
        }
        if ($best[1] < $rule->least - 1e-6) {
            $notes[] = new RowNote(true, sprintf('%s: letters of %.2f in, and %.2f in is the least. Shorten it, or let it break into more lines.', self::quoted($is), $best[1], $rule->least));
        }

        return new FittedWords($best[0], $best[1], $notes);
    }

    /** Cap height of a layer's words, in inches; 0 if it has no letters. */
    public function letters(Layer $layer): float
    {
        return ($this->placer->em($layer) ?? 0.0) * $this->placer->capital($layer);
    }

    /** @return iterable<string, Layer> the change and the words set that way, from the smallest change to the largest */
    private function settings(Layer $layer, FitRule $rule): iterable
    {
        yield '' => $layer;
        if ($rule->tighter > 0) {
            yield 'a little tighter' => self::tighter($layer, $rule->tighter / 2);
            yield 'tighter' => self::tighter($layer, $rule->tighter);
        }
        for ($lines = 2; $lines <= $rule->lines; $lines++) {
            $broken = self::broken($layer, $lines);
            if ($broken !== null) {
                yield "in $lines lines" => $broken;
                if ($rule->tighter > 0) {
                    yield "in $lines lines, tighter" => self::tighter($broken, $rule->tighter);
                }
            }
        }
        if ($rule->long !== '') {
            yield 'in the font for long words' => $long = self::inFont($layer, $rule->long);
            for ($lines = 2; $lines <= $rule->lines; $lines++) {
                $broken = self::broken($long, $lines);
                if ($broken !== null) {
                    yield "in the font for long words, in $lines lines" => $broken;
                }
            }
        }
    }

    /**
     * Scales words by iteration, since with a warp the width need not be proportional to the letter size. Words that are sized by their letters stay so: around a
     * circle one width may stand for two sizes.
     */
    private function sized(Layer $was, Layer $is, FitRule $rule, float $widest): Layer
    {
        $placement = $is->placement;
        $box = $this->placer->place($was);
        if ($placement === null || $box === null) {
            return $is;
        }
        $height = $this->letters($was);
        // Not as measured, since a shaken first letter does not tell the size of all.
        $capitals = $was->placement?->letters === LetterSize::Capitals ? $was->placement->letterSize : $height;
        $as = fn (float $width, float $capitals): Layer => $is->withPlacement($was->placement?->letters === null
            ? $placement->sized(round($width, 5), null)
            : $placement->lettered(LetterSize::Capitals, round($capitals, 5)));
        $sized = $as($box->width, $capitals);
        // Around a circle words lie in a band, which higher letters would leave.
        $highest = min($rule->most ?? INF, $box->hasCentre() ? $height : INF);
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $placed = $this->placer->place($sized);
            $letters = $this->letters($sized);
            if ($placed === null || $letters <= 0.0) {
                return $sized;
            }
            $by = min(
                $rule->keep === Keep::Letters ? $height / $letters : ($round === 0 && $was->placement?->letters === null ? 1.0 : $box->width / $placed->width),
                $rule->keep === Keep::Box ? $box->height / $placed->height : INF, $widest / $placed->width, $highest / $letters,
            );
            if (abs($by - 1) < self::NEAR) {
                break;
            }
            $capitals *= $by;
            $sized = $as($placed->width * $by, $capitals);
        }

        return $sized;
    }

    private static function tighter(Layer $layer, float $by): Layer
    {
        $lines = $layer->effects;
        foreach ($lines as $i => $line) {
            if ($line->on && $line->kind === self::TRACKING) {
                $lines[$i] = self::tracking($line->values->number('by') - $by);

                return $layer->withEffects($lines);
            }
        }

        return $layer->withEffects([self::tracking(-$by), ...$lines]);
    }

    /** @param  float  $by  thousandths of an em */
    private static function tracking(float $by): EffectLine
    {
        return EffectReader::ofAnySwatch()->line(Node::root(['kind' => self::TRACKING, 'by' => max(-300.0, $by)], new Faults));
    }

    /** Words broken into the given number of lines of lengths as equal as possible; null if there are too few words. */
    private static function broken(Layer $layer, int $lines): ?Layer
    {
        $source = $layer->source;
        $words = $source instanceof TextSource ? preg_split('/\s+/u', trim($source->text)) : false;
        if (! $source instanceof TextSource || $words === false || count($words) < $lines) {
            return null;
        }

        return $layer->withSource(new TextSource(implode("\n", self::evenly($words, $lines)), $source->font, $source->align, $source->leading));
    }

    /**
     * The line breaks that minimise the longest line.
     *
     * @param  list<string>  $words
     * @return list<string>
     */
    private static function evenly(array $words, int $lines): array
    {
        if ($lines <= 1) {
            return [implode(' ', $words)];
        }
        $best = null;
        for ($first = 1; $first <= count($words) - $lines + 1; $first++) {
            $try = [implode(' ', array_slice($words, 0, $first)), ...self::evenly(array_slice($words, $first), $lines - 1)];
            $longest = max(array_map(mb_strlen(...), $try));
            $best = $best === null || $longest < $best[0] ? [$longest, $try] : $best;
        }

        return $best[1] ?? [implode(' ', $words)];
    }

    private static function inFont(Layer $layer, string $font): Layer
    {
        $source = $layer->source;

        return $source instanceof TextSource ? $layer->withSource(new TextSource($source->text, $font, $source->align, $source->leading)) : $layer;
    }

    private static function quoted(Layer $layer): string
    {
        return $layer->called();
    }
}
