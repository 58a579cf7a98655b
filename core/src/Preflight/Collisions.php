<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Layer;
use TallCrow\Artwork\TextSource;
use TallCrow\Asset\AssetUnusable;
use TallCrow\Geometry\Box;
use TallCrow\Geometry\Region;
use TallCrow\Type\FontRefused;
use TallCrow\Type\Letter;
use TallCrow\Type\MissingGlyphs;

/** Letters that overlap: more than the typeface itself lets them, or from line to line. */
final class Collisions implements ChecksSheet, LooksClosely
{
    /** Least overlap, as a share of the smaller letter, beyond the overlap that the typeface itself has (script faces join letters). */
    private const BESIDE = 0.1;

    private const BELOW = 0.04;

    /** Most letters of a text that are checked. */
    private const MOST = 160;

    private const TOLERANCE = 0.01;

    public function sheet(SheetSubject $subject): array
    {
        $findings = [];
        foreach ($subject->artwork->everyLayer() as $layer) {
            $letters = $subject->isRead($layer) ? self::letters($layer, $subject) : [];
            $hits = self::hits($letters);
            if ($hits === []) {
                continue;
            }
            $own = self::hits(self::letters(self::asTheFaceIs($layer), $subject));
            $clash = [];
            foreach ($hits as $pair => $hit) {
                if ($hit[0] - ($own[$pair][0] ?? 0.0) > ($hit[2] ? self::BELOW : self::BESIDE)) {
                    $clash[] = $hit;
                }
            }
            if ($clash !== []) {
                $findings[] = self::finding($layer, $clash);
            }
        }

        return $findings;
    }

    /** @param  non-empty-list<array{float, Box, bool}>  $clash */
    private static function finding(Layer $layer, array $clash): Finding
    {
        $worst = max(array_column($clash, 0));
        $isBelow = in_array(true, array_column($clash, 2), true);

        return Finding::of(
            Group::Composition, 'collide:'.$layer->id, $layer->called().', letters', Verdict::Warn, sprintf('%d run together', count($clash)), 'none',
            sprintf('%d %s of letters of %s %s in one another, up to %d %% of the smaller: %s.', count($clash), count($clash) === 1 ? 'pair' : 'pairs', $layer->called(), count($clash) === 1 ? 'lies' : 'lie', round($worst * 100), $isBelow ? 'give the lines more leading' : 'give the letters more room'),
        )->about($layer->id)->at(array_column($clash, 1));
    }

    /** The layer without effects, with at least the font's own leading. */
    private static function asTheFaceIs(Layer $layer): Layer
    {
        $source = $layer->source;

        return $source instanceof TextSource ? $layer->withEffects([])->withSource(new TextSource($source->text, $source->font, $source->align, max(1.0, $source->leading))) : $layer;
    }

    /** @return list<Letter> */
    private static function letters(Layer $layer, SheetSubject $subject): array
    {
        try {
            $letters = $subject->renderer->placer->place($layer)->letters ?? [];
        } catch (AssetUnusable|MissingGlyphs|FontRefused) {
            return [];
        }

        return array_slice(array_values(array_filter($letters, fn (Letter $letter): bool => preg_match('/[\p{L}\p{N}]/u', $letter->characters) === 1)), 0, self::MOST);
    }

    /**
     * Overlapping pairs: the overlap as a share of the smaller letter, its place, and whether the letters are in different lines.
     *
     * @param  list<Letter>  $letters
     * @return array<string, array{float, Box, bool}>
     */
    private static function hits(array $letters): array
    {
        $hits = [];
        $boxes = array_map(fn (Letter $letter): Box => $letter->path->bounds(), $letters);
        foreach ($letters as $i => $one) {
            for ($j = $i + 1; $j < count($letters); $j++) {
                $both = $boxes[$i]->intersection($boxes[$j]);
                if ($both->isEmpty() || $both->width() * $both->height() <= 0.02 * min($boxes[$i]->width() * $boxes[$i]->height(), $boxes[$j]->width() * $boxes[$j]->height())) {
                    continue;
                }
                [$first, $second] = [Region::filledBy($one->path, self::TOLERANCE), Region::filledBy($letters[$j]->path, self::TOLERANCE)];
                $areas = [$first->area(), $second->area()];
                $shared = $areas[0] + $areas[1] - Region::united([$first, $second])->area();
                if (min($areas) > 0 && $shared / min($areas) > 0.01) {
                    $hits["$i-$j"] = [$shared / min($areas), $both, $one->line !== $letters[$j]->line];
                }
            }
        }

        return $hits;
    }
}
