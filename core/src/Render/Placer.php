<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Artwork\ArtSource;
use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\FigureSource;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Placement;
use TallCrow\Artwork\TextSource;
use TallCrow\Asset\AssetUnusable;
use TallCrow\Asset\Shelf;
use TallCrow\Colour\Srgb;
use TallCrow\Effect\BendsOutline;
use TallCrow\Effect\Effect;
use TallCrow\Effect\Inking\Inking;
use TallCrow\Effect\Inks;
use TallCrow\Effect\Looks;
use TallCrow\Effect\PlacesLetters;
use TallCrow\Effect\SetsType;
use TallCrow\Geometry\Bend;
use TallCrow\Geometry\Box;
use TallCrow\Geometry\Path;
use TallCrow\Measure\Length;
use TallCrow\Measure\Resolution;
use TallCrow\Type\Axis;
use TallCrow\Type\Character;
use TallCrow\Type\Letter;
use TallCrow\Type\LetterForm;
use TallCrow\Type\LetterForms;
use TallCrow\Type\MissingGlyphs;
use TallCrow\Type\Setting;
use TallCrow\Type\Typesetter;
use TallCrow\Type\WhichLetters;

/** Works out how layers lie on the sheet: words set, bent and sized; pictures placed. */
final class Placer
{
    /** @var array<string, ?Placing> */
    private array $known = [];

    /** Words with at least this many letters have their bent outlines cached. */
    private const MANY = 40;

    /** Colour of words and shapes without a fill. */
    private const UNFILLED = '#1f1d1a';

    public readonly Retoucher $retoucher;

    public function __construct(private readonly Shelf $shelf, private readonly Pictures $pictures = new NoPictures)
    {
        $this->retoucher = new Retoucher($shelf, $pictures);
    }

    /** null for what has no geometry of its own: blank words, or a group. */
    public function place(Layer $layer): ?Placing
    {
        $key = md5(serialize([$layer->source, $layer->placement, $layer->effects]));

        return $this->known[$key] ??= $layer->placement === null ? null : $this->placed($layer, $layer->placement);
    }

    /**
     * The letters that a piece's font lacks: they are drawn as gaps, and no print is made. Cached, since every proof asks this for all words of a sheet, and
     * setting type takes longer than drawing from the cache.
     */
    public function missing(Layer $layer): ?MissingGlyphs
    {
        if (! $layer->source instanceof TextSource) {
            return null;
        }
        $lines = self::lines($layer, fn (string $effect): bool => is_a($effect, SetsType::class, true));
        $kept = $this->pictures->text('gaps '.serialize([$layer->source, $lines, $this->fonts($layer->source, $lines)]), function () use ($layer): string {
            $gaps = array_filter($this->place($layer)->letters ?? [], fn (Letter $letter): bool => $letter->isGap);

            return implode('', array_unique(array_map(fn (Letter $letter): string => mb_substr($letter->characters, 0, 1), $gaps)));
        });
        $characters = mb_str_split($kept);

        return $characters === [] ? null : MissingGlyphs::of($characters, $this->shelf->font($layer->source->font)->family);
    }

    public function inking(Layer $layer): Inking
    {
        $own = $layer->source->hasColours() ? null : Srgb::hex(self::UNFILLED);
        $inking = Inking::plain($own);
        foreach ($layer->liveEffects() as $effect) {
            if ($effect instanceof Inks) {
                $inking = $effect->ink($inking);
            }
        }

        return $inking;
    }

    /**
     * The type size of words in inches, as far as warps leave a single one: that of the first letter, before the size of its line.
     */
    public function em(Layer $layer): ?float
    {
        if (! $layer->source instanceof TextSource) {
            return null;
        }
        $first = $this->place($layer)->letters[0] ?? null;
        if ($first === null) {
            return null;
        }
        $own = $this->words($layer->source, $layer)[0]->down ?? [0.0, 1.0];

        return hypot(...$first->down) / max(1e-9, hypot(...$own));
    }

    /**
     * The forms in which its font draws a letter of a layer's words; none if there is no such letter.
     *
     * @param  int  $letter  its number, from 1
     * @param  WhichLetters  $told  how it is told
     * @return list<LetterForm>
     */
    public function forms(Layer $layer, int $letter, WhichLetters $told): array
    {
        return $layer->source instanceof TextSource
            ? LetterForms::of($layer->source->text, $this->shelf->font($layer->source->font), self::setting($layer, $layer->source), $this->shelf->font(...), $letter, $told)
            : [];
    }

    /** @return list<Character> the letters of a layer's words, in the case in which they are set */
    public function characters(Layer $layer): array
    {
        return $layer->source instanceof TextSource ? Character::ofLines(self::setting($layer, $layer->source)->rows($layer->source->text)) : [];
    }

    /** The cap height of a layer's words, in ems. */
    public function capital(Layer $layer): float
    {
        return $layer->source instanceof TextSource ? $this->shelf->font($layer->source->font)->varied(self::setting($layer, $layer->source)->axes(0))->capHeight() : 1.0;
    }

    /**
     * The axes of the fonts that a layer's words are set in, each once.
     *
     * @return list<Axis>
     */
    public function axes(Layer $layer): array
    {
        if (! $layer->source instanceof TextSource) {
            return [];
        }
        $fonts = [$layer->source->font, ...array_merge([], ...array_map(fn (EffectLine $line): array => $line->files(), self::lines($layer, fn (string $effect): bool => is_a($effect, SetsType::class, true))))];
        $axes = [];
        foreach ($fonts as $font) {
            $kept = $this->pictures->text('axes '.$this->shelf->fingerprint($font), fn (): string => serialize($this->shelf->font($font)->axes()));
            /** @var list<Axis> $own */
            $own = unserialize($kept, ['allowed_classes' => [Axis::class]]);
            $axes += array_column($own, null, 'tag');
        }

        return array_values($axes);
    }

    /** Distance in inches from the sheet's top to the last baseline of straight words; for everything else, to the bottom of the ink. */
    public function baseline(Layer $layer): ?float
    {
        $letters = $layer->source instanceof TextSource ? ($this->place($layer)->letters ?? []) : [];
        $last = $letters === [] ? null : max(array_map(fn (Letter $letter): int => $letter->line, $letters));
        $lines = array_values(array_filter($letters, fn (Letter $letter): bool => $letter->line === $last));

        return $lines === [] ? $this->box($layer)?->bottom : array_sum(array_map(fn (Letter $letter): float => $letter->baseline, $lines)) / count($lines);
    }

    /** The bounding box of a piece on the sheet, without rings and shadows; for a group or copies, of all of them. */
    public function box(Layer $layer): ?Box
    {
        return $layer->repeat?->on ? $this->reach($layer) : ($this->place($layer)?->box() ?? $this->reach($layer));
    }

    /** The box whose middle counts as the piece's own: of words about a centre of their own, that point. */
    public function middle(Layer $layer): ?Box
    {
        $place = $layer->placement;

        return $place !== null && ! $layer->repeat?->on && $this->place($layer)?->hasCentre() === true ? Box::centred($place->x, $place->y, 0, 0) : $this->box($layer);
    }

    /** An upper bound, in inches, of all the layer's ink including rings and shadows; null if there is none. */
    public function reach(Layer $layer): ?Box
    {
        $layer = $layer->drawn();
        $own = $this->around($layer);
        if ($own !== null && ($bend = $this->bend($layer, $own)) !== null) {
            $own = $bend->bounds($own);
        }
        $own ??= $this->place($layer)?->box();

        if ($own === null) {
            return null;
        }
        $looks = array_map(fn (Effect $effect): float => $effect instanceof Looks ? $effect->reach() : 0.0, $layer->liveEffects());

        return $this->inking($layer)->about($own)->grown(max([0.0, ...$looks]));
    }

    /** The bounding box of a group's children before the group's own warp; null for anything else. */
    public function around(Layer $group): ?Box
    {
        $box = null;
        foreach ($group->children() as $child) {
            if ($child->on && $child->role->prints() && ($reach = $this->reach($child)) !== null) {
                $box = $box === null ? $reach : $box->union($reach);
            }
        }

        return $box;
    }

    /** A group's warp over its box, in inches on the sheet; null if it is not bent. */
    public function bend(Layer $group, Box $box): ?Bend
    {
        $bends = $group->children() === [] ? [] : array_values(array_filter($group->liveEffects(), fn (Effect $effect): bool => $effect instanceof BendsOutline));

        return $bends === [] ? null : Fitting::chain($bends, $box);
    }

    /**
     * Source pixels left after cropping ÷ placed inches, the smaller of both axes; null for anything but a raster.
     *
     * @throws AssetUnusable
     */
    public function effectivePpi(Layer $layer): ?float
    {
        $art = $layer->picture();
        if ($art === null || ($placing = $this->place($layer)) === null) {
            return null;
        }
        $picture = $this->retoucher->picture($art);

        if ($picture->isVector() || Retoucher::isRedrawn($layer)) {
            return null;
        }
        [$width, $height] = $this->retoucher->size($layer, $art);

        return min(Resolution::effective((int) round($width), Length::inches($placing->width)), Resolution::effective((int) round($height), Length::inches($placing->height)));
    }

    private function placed(Layer $layer, Placement $placement): ?Placing
    {
        $fitting = new Fitting($placement, $layer->liveEffects());

        return $layer->source->match(
            text: function (TextSource $text) use ($layer, $placement, $fitting): ?Placing {
                $fitted = $this->text($text, $layer, $placement, $fitting);

                return $fitted === [] ? null : Placing::letters($placement, $fitted);
            },
            art: fn (ArtSource $art): Placing => $fitting->picture($this->retoucher->aspect($layer, $art)),
            figures: function (FigureSource $figures) use ($placement, $fitting): ?Placing {
                $letters = $figures->figures($placement->width, $placement->height);

                return $letters === [] ? null : Placing::letters($placement, $fitting->letters($letters));
            },
            group: fn (): null => null,
        );
    }

    /**
     * Words as set and bent, centred on the origin. Results of many letters are cached: saving measures what the proof then draws, and place, turn and ink make
     * no difference to them.
     *
     * @return list<Letter>
     */
    private function text(TextSource $source, Layer $layer, Placement $placement, Fitting $fitting): array
    {
        $make = function () use ($source, $layer, $fitting): array {
            $letters = $this->words($source, $layer);

            return $letters === [] ? [] : $fitting->letters($letters, $this->capital($layer));
        };
        if (strlen($source->text) < self::MANY) {
            return $make();
        }
        $lines = self::lines($layer, self::shapes(...));
        $size = [$placement->width, $placement->height, $placement->letters, $placement->letterSize];
        $kept = $this->pictures->text('fitted '.serialize([$source, $size, $lines, $this->fonts($source, $lines)]), fn (): string => serialize($make()));
        /** @var list<Letter> $fitted */
        $fitted = unserialize($kept, ['allowed_classes' => [Letter::class, Path::class]]);

        return $fitted;
    }

    /**
     * @param  \Closure(class-string<Effect>): bool  $counts
     * @return list<EffectLine> the effects that are on
     */
    private static function lines(Layer $layer, \Closure $counts): array
    {
        return array_values(array_filter($layer->effects, fn (EffectLine $line): bool => $line->on && $counts($line->is())));
    }

    /**
     * @param  list<EffectLine>  $lines
     * @return list<string> fingerprints of the words' fonts
     */
    private function fonts(TextSource $source, array $lines): array
    {
        return array_map($this->shelf->fingerprint(...), [$source->font, ...array_merge([], ...array_map(fn (EffectLine $line): array => $line->files(), $lines))]);
    }

    /** @param  class-string<Effect>  $effect */
    private static function shapes(string $effect): bool
    {
        return is_a($effect, SetsType::class, true) || is_a($effect, BendsOutline::class, true) || is_a($effect, PlacesLetters::class, true);
    }

    /** @return list<Letter> */
    private function words(TextSource $source, Layer $layer): array
    {
        return Typesetter::set($source->text, $this->shelf->font($source->font), self::setting($layer, $source), $this->shelf->font(...), gaps: true);
    }

    private static function setting(Layer $layer, TextSource $source): Setting
    {
        $setting = $source->setting();
        foreach ($layer->liveEffects() as $effect) {
            if ($effect instanceof SetsType) {
                $setting = $effect->set($setting);
            }
        }

        return $setting;
    }
}
