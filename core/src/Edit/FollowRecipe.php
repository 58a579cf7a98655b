<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\Flip;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\LayerReader;
use TallCrow\Artwork\Placement;
use TallCrow\Artwork\Reading;
use TallCrow\Artwork\TextSource;
use TallCrow\Effect\Effect;
use TallCrow\Effect\HasCentre;
use TallCrow\Effect\Retouches;
use TallCrow\Render\Placer;

/**
 * Does to a piece what was done to the layers of a recipe. The topmost words of the recipe are its main piece: all layers of the same words become
 * the piece itself, one for each, where they lay beside the main one; all else of the recipe is laid about it as it was. Without a piece the words
 * are set anew, in the recipe's own font.
 */
final readonly class FollowRecipe extends Operation
{
    /** Width of newly set words as a fraction of the sheet's width. */
    private const SHARE = 0.6;

    private const MOST_INSTEAD = 60;

    /**
     * @param  string  $id  of the layer; empty to set new words
     * @param  list<Layer>  $layers
     * @param  list<array{name: string, colour: string}>  $swatches
     * @param  list<string>  $replace  colours, fonts and pictures of the recipe
     * @param  list<string>  $with  their replacements, in the same order
     */
    public function __construct(public string $id, public string $words, public array $layers, public array $swatches, public array $replace = [], public array $with = []) {}

    public static function name(): string
    {
        return 'follow-recipe';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'id', 'words', 'layers', 'swatches', 'replace', 'with');

        [$replace, $with] = [$node->texts('replace', self::MOST_INSTEAD, 200), $node->texts('with', self::MOST_INSTEAD, 200)];
        if (count($replace) !== count($with)) {
            $node->fault(sprintf('holds %d; "replace" holds %d', count($with), count($replace)), 'with');
        }

        return new self($node->text('id', 40, ''), $node->text('words', 10_000, ''), LayerReader::ofAnySwatch(Pieces::MOST)->layers($node, 'layers'), Renaming::swatches($node), $replace, $with);
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        $recipe = Renaming::fresh(Renaming::replaced($this->layers, array_combine($this->replace, $this->with)), $artwork);
        $main = $this->main($recipe);
        $piece = $this->id === '' ? $this->set($artwork, $main) : Pieces::one($artwork, $this->id);
        $made = [];
        foreach ($recipe as $layer) {
            $made[] = $layer === $main ? self::dressed($piece, $layer)
                : (self::isOfSameWords($layer, $main) ? self::beside(self::dressed($piece->withId($layer->id), $layer), $layer, $main, self::ratio($piece, $main))
                : self::about($layer, $main, $piece));
        }
        $artwork = Renaming::naming($artwork, $this->swatches);

        return Edited::choosing(
            $this->id === '' ? $artwork->withLayers([...$artwork->layers, ...$made]) : $artwork->replacing($this->id, fn (Layer $old): array => $made),
            [$piece->id, ...array_values(array_diff(array_map(fn (Layer $layer): string => $layer->id, $made), [$piece->id]))],
        );
    }

    /** @param  list<Layer>  $recipe */
    private function main(array $recipe): Layer
    {
        $words = array_values(array_filter($recipe, fn (Layer $layer): bool => $layer->isWords()));

        return end($words) ?: (end($recipe) ?: throw EditRefused::emptyRecipe());
    }

    /** The words as a new layer, in the upper centre of the sheet. */
    private function set(Artwork $artwork, Layer $main): Layer
    {
        $sheet = $artwork->sheet->box();
        $source = $main->source instanceof TextSource && trim($this->words) !== ''
            ? new TextSource($this->words, $main->source->font, $main->source->align, $main->source->leading)
            : $main->source;

        $place = new Placement(round($sheet->centreX(), 4), round($sheet->height() / 3, 4), round($sheet->width() * self::SHARE, 4), null, $main->placement->turn ?? 0.0, Flip::None);

        return Layer::piece($main->id, $source, self::lettered($place, $main));
    }

    private static function lettered(Placement $place, Layer $as): Placement
    {
        return $as->placement?->letters === null ? $place : $place->lettered($as->placement->letters, $as->placement->letterSize);
    }

    /** The layer with the effects of another in place of its own; its retouching is kept. */
    private static function dressed(Layer $piece, Layer $as): Layer
    {
        $own = array_values(array_filter($piece->effects, fn (EffectLine $line): bool => is_a($line->is(), Retouches::class, true)));
        $lines = array_values(array_filter($as->effects, fn (EffectLine $line): bool => ! is_a($line->is(), Retouches::class, true)));

        if ($piece->placement !== null && array_filter($as->liveEffects(), fn (Effect $effect): bool => $effect instanceof HasCentre) !== []) {
            $piece = $piece->withPlacement(self::lettered($piece->placement, $as));
        }

        return $piece->withEffects([...$own, ...$lines])->withMasks($as->masks)->withDistress($as->distress)->withRepeat($as->repeat)
            ->withOpacity($as->opacity)->withBlend($as->blend)->withRole($as->role);
    }

    private static function isOfSameWords(Layer $layer, Layer $main): bool
    {
        return $layer->source instanceof TextSource && $main->source instanceof TextSource && $layer->source->text === $main->source->text;
    }

    /** The layer's size relative to the recipe's own; 1 if the two are not sized in the same way. */
    private static function ratio(Layer $piece, Layer $main): float
    {
        $was = $main->placement?->width;
        $is = $piece->placement?->width;

        return $was !== null && $is !== null && $was > 0 ? $is / $was : 1.0;
    }

    private static function beside(Layer $copy, Layer $layer, Layer $main, float $ratio): Layer
    {
        return $layer->placement === null || $main->placement === null ? $copy
            : $copy->moved(($layer->placement->x - $main->placement->x) * $ratio, ($layer->placement->y - $main->placement->y) * $ratio);
    }

    private static function about(Layer $layer, Layer $main, Layer $piece): Layer
    {
        if ($main->placement === null || $piece->placement === null) {
            return $layer;
        }

        return $layer->scaled(self::ratio($piece, $main), $main->placement->x, $main->placement->y)
            ->moved($piece->placement->x - $main->placement->x, $piece->placement->y - $main->placement->y);
    }
}
