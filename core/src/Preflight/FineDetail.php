<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Layer;
use TallCrow\Artwork\PrintMethod;
use TallCrow\Edit\AddEffect;
use TallCrow\Raster\Blur;
use TallCrow\Raster\Histogram;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;
use TallCrow\Raster\Morphology;
use TallCrow\Render\Frame;
use TallCrow\Render\LayerTrouble;

/**
 * Lines too fine to print, gaps too fine to stay open, and scraps: specks, pinholes and slivers. Found by opening and closing the ink (Serra, 1982) at
 * the width that the method holds; grain that was asked for (wear, halftone, looks) is left out of it.
 */
final class FineDetail implements ChecksPicture, ChecksSheet, LooksClosely
{
    private const INK = 127.0;

    /** Inches across below which a bit of ink or a hole is a scrap, and how many of them make it worth telling. */
    private const SCRAP = 0.012;

    private const MANY = 3;

    /** Inches of bare cloth about a scrap. */
    private const APART = 0.02;

    /** Blocks that a scrap touches at most, wherever it lies among them. */
    private const BLOCKS = 9;

    /** From this ppi on the picture is fine enough by itself. */
    private const FINE_PPI = 250.0;

    private const HOSTS = 40;

    /** Inches of fine line, and of fine gap, in all, from which on it is told. */
    private const LONG = 0.35;

    /** Inches that one stretch of it is long at least. */
    private const STRETCH = 0.08;

    private const MOST_REGIONS = 65_000;

    /** Coarser pictures than this do not show it. */
    private const LEAST_PPI = 140.0;

    /** Looks whose grain is meant. */
    private const GRAIN = ['halftone', 'halftone-inks', 'photocopied', 'roughened', 'stamped'];

    public function picture(PictureSubject $subject): array
    {
        return $subject->ppi < self::LEAST_PPI ? [] : self::findings($subject, $subject->picture, Method::of(PrintMethod::DirectToGarment));
    }

    public function sheet(SheetSubject $subject): array
    {
        $artwork = $subject->artwork;
        $plain = array_values(array_filter(array_map(self::plain(...), $artwork->layers)));
        // Without what is meant to be fine.
        $picture = $artwork->distress === [] && $plain == $artwork->layers
            ? $subject->picture->picture
            : $subject->renderer->picture($artwork->withDistress([])->withLayers($plain), Frame::sheet($artwork->sheet, $subject->picture->ppi), fn (LayerTrouble $trouble): null => null)->settled();

        return array_map(
            fn (Finding $finding): Finding => $finding->verdict === Verdict::Pass ? $finding : self::blamed($finding, $subject),
            self::findings($subject->picture, $picture, $subject->demands->method),
        );
    }

    /** @return list<Finding> */
    private static function findings(PictureSubject $subject, Image $picture, Method $method): array
    {
        $ppi = $subject->ppi;
        $ink = $picture->alpha()->isMore(self::INK)->settled();
        [$specks, $whereSpecks] = self::scraps($ink, $ppi);
        [$holes, $whereHoles] = self::scraps($ink->inverted()->settled(), $ppi);
        $scraps = $specks + $holes;
        $alpha = $picture->alpha();
        $clean = $whereSpecks->chosen(Image::empty($alpha->width(), $alpha->height(), 1), $whereHoles->chosen(Image::empty($alpha->width(), $alpha->height(), 1)->inverted(), $alpha))->settled();
        $line = self::fine($clean, $method->line, $ppi);
        $gap = self::fine($clean->inverted()->settled(), $method->gap, $ppi);
        $verdict = $scraps < self::MANY ? Verdict::Pass : ($scraps >= self::HOSTS ? Verdict::Fail : Verdict::Warn);
        $thin = function (string $key, string $word, float $long, float $width, Image $where, string $says) use ($subject): Finding {
            $found = $long > self::LONG;

            return Finding::of(Group::Detail, $key, $word, $found ? Verdict::Warn : Verdict::Pass, $found ? sprintf('%.1f in too fine', $long) : 'holds', sprintf('%.3f in', $width), $found ? $says : 'Nothing is finer than the print holds.')
                ->at($found ? $subject->where($where) : []);
        };

        return [
            Finding::of(Group::Detail, 'scraps', 'Scraps', $verdict, $scraps === 0 ? 'none' : sprintf('%d', $scraps), sprintf('under %d', self::MANY),
                $verdict === Verdict::Pass ? 'No stray specks, pinholes or slivers.' : sprintf('%d stray specks and %d pinholes under %.3f in: left-over bits that print as dirt.', $specks, $holes, self::SCRAP))
                ->at($verdict === Verdict::Pass ? [] : $subject->where($whereSpecks->either($whereHoles)->settled())),
            $thin('line-fine', 'Finest line', $line[0], $method->line, $line[1], sprintf('About %.1f in of lines are finer than %.3f in, which this method fills in or loses.', $line[0], $method->line)),
            $thin('gap-fine', 'Finest gap', $gap[0], $method->gap, $gap[1], sprintf('About %.1f in of gaps are finer than %.3f in and would run together.', $gap[0], $method->gap)),
        ];
    }

    /**
     * Bits of a mask that a square of that size would hold, and that stand apart from all else: grain in a heap, or a line that is broken, is none.
     *
     * @return array{int, Image}
     */
    private static function scraps(Image $mask, float $ppi): array
    {
        // What lies within a block of its neighbours is one heap: told apart in blocks, counted in pixels.
        $block = max(1, (int) floor(self::APART * $ppi / 1.5));
        [$wide, $high] = [$block * (int) ceil($mask->width() / $block), $block * (int) ceil($mask->height() / $block)];
        $blocks = $mask->embed(0, 0, $wide, $high)->shrunk($block)->isMore(0.0)->settled();
        [$regions, $count] = Morphology::regions(Morphology::grown($blocks)->settled());
        if ($count > self::MOST_REGIONS) {
            return [0, Image::empty($mask->width(), $mask->height(), 1)];
        }
        $numbers = $regions->asNumbers()->settled();
        $few = self::ofSize(Histogram::ofShorts($blocks->chosen($numbers, $numbers->linearShort(0.0, 0.0))->settled()), self::BLOCKS);
        if ($few === []) {
            return [0, Image::empty($mask->width(), $mask->height(), 1)];
        }
        $numbers = $numbers->zoomed($block)->crop(0, 0, $mask->width(), $mask->height())->settled();
        $sizes = Histogram::ofShorts($mask->chosen($numbers, $numbers->linearShort(0.0, 0.0))->settled());
        $most = max(1.0, (self::SCRAP * $ppi) ** 2);
        $table = str_repeat("\0", 65536);
        $found = array_intersect($few, self::ofSize($sizes, $most));
        foreach ($found as $number) {
            $table[$number] = "\xff";
        }

        return [count($found), Lookup::shortsToBytes($numbers, $table)->both($mask)->settled()];
    }

    /**
     * Regions that are there and no larger.
     *
     * @param  list<int>  $sizes  by number; 0 is no region
     * @return list<int>
     */
    private static function ofSize(array $sizes, float $most): array
    {
        return array_keys(array_filter($sizes, fn (int $size, int $number): bool => $number > 0 && $size > 0 && $size <= $most, ARRAY_FILTER_USE_BOTH));
    }

    /**
     * What opening by a width takes away in lines, not in corners: its length in inches, and where.
     *
     * @param  Image  $alpha  of the ink, or of what is left between
     * @return array{float, Image}
     */
    private static function fine(Image $alpha, float $width, float $ppi): array
    {
        $side = max(3, (int) ceil($width * $ppi));
        $lost = self::lost($alpha->isMore(self::INK)->settled(), $side);
        // Little in all: no need to ask how long each stretch of it is.
        if ($lost->area() / max(1.0, $side * 0.6) / $ppi <= self::LONG) {
            return [0.0, $lost];
        }
        $lost = self::long($lost, self::STRETCH * $ppi * max(1.0, $side * 0.5));
        $long = $lost->area() / max(1.0, $side * 0.6) / $ppi;
        if ($long <= self::LONG || $ppi > self::FINE_PPI) {
            return [$long, $lost];
        }
        // At half a pixel, where the coarse picture shows any: soft edges say where between two pixels a line ends.
        $block = max(1, (int) round($ppi));
        $rim = 8;
        $fine = 0.0;
        for ($top = 0; $top < $lost->height(); $top += $block) {
            for ($left = 0; $left < $lost->width(); $left += $block) {
                [$w, $h] = [min($block, $lost->width() - $left), min($block, $lost->height() - $top)];
                if ($lost->crop($left, $top, $w, $h)->mean() <= 0.0) {
                    continue;
                }
                $part = $alpha->spread(-($left - $rim), -($top - $rim), $alpha->width(), $alpha->height())->crop(0, 0, min($w + 2 * $rim, $alpha->width()), min($h + 2 * $rim, $alpha->height()));
                $large = Blur::gaussian($part->zoomed(2), 0.9, 0.05)->isMore(self::INK)->settled();
                $own = self::opened($large, max(2, (int) round($width * 2 * $ppi)), 2 * $ppi);
                $inner = $own->crop(2 * $rim, 2 * $rim, max(1, min(2 * $w, $own->width() - 2 * $rim)), max(1, min(2 * $h, $own->height() - 2 * $rim)));
                $fine += $inner->area() / max(1.0, $width * 2 * $ppi * 0.6) / (2 * $ppi);
            }
        }

        return [$fine, $lost];
    }

    /** Stretches that a square of that side takes away. */
    private static function opened(Image $mask, int $side, float $ppi): Image
    {
        return self::long(self::lost($mask, $side), self::STRETCH * $ppi * max(1.0, $side * 0.5));
    }

    private static function lost(Image $mask, int $side): Image
    {
        // Corners lose little; a line loses all, and stands apart from what is left by more than a pixel.
        return $mask->both(Morphology::grown(Morphology::opened($mask, $side), 3)->inverted())->settled();
    }

    /** Stretches of so many pixels and more: the ends of wedges and corners are short. */
    private static function long(Image $lost, float $least): Image
    {
        [$regions, $count] = Morphology::regions($lost);
        if ($count > self::MOST_REGIONS) {
            return $lost;
        }
        $numbers = $regions->asNumbers()->settled();
        $sizes = Histogram::ofShorts($lost->chosen($numbers, $numbers->linearShort(0.0, 0.0))->settled());
        $table = str_repeat("\0", 65536);
        foreach ($sizes as $number => $size) {
            $table[$number] = $number > 0 && $size >= $least ? "\xff" : "\0";
        }

        return Lookup::shortsToBytes($numbers, $table)->both($lost)->settled();
    }

    /** Without wear, and without what makes grain on purpose. */
    private static function plain(Layer $layer): ?Layer
    {
        if (array_filter($layer->effects, fn ($line): bool => $line->on && in_array($line->kind, self::GRAIN, true)) !== []) {
            return null;
        }
        $layer = $layer->withDistress([]);

        return $layer->children() === [] ? $layer : $layer->withSource($layer->source->each(fn (Layer $child): Layer => self::plain($child) ?? $child->withOn(false)));
    }

    /** Whose ink it is, as far as one piece holds most of the places. */
    private static function blamed(Finding $finding, SheetSubject $subject): Finding
    {
        $ids = [];
        foreach ($finding->where as $box) {
            foreach (array_reverse($subject->artwork->layers) as $layer) {
                $own = $layer->on && $layer->role->prints() ? $subject->reach($layer->id) : null;
                if ($own !== null && $own->left <= $box->centreX() && $own->right >= $box->centreX() && $own->top <= $box->centreY() && $own->bottom >= $box->centreY()) {
                    $ids[$layer->id] = ($ids[$layer->id] ?? 0) + 1;
                    break;
                }
            }
        }
        arsort($ids);
        $first = array_key_first($ids);
        $layer = $first === null ? null : $subject->artwork->layer($first);

        return $layer === null ? $finding : $finding->about($layer->id)->mendedBy(...($finding->key === 'scraps'
            ? [Mend::by(sprintf('Tidy %s', $layer->called()), new AddEffect($layer->id, Lines::of('tidied', ['specks' => self::SCRAP * 1.5, 'pinholes' => self::SCRAP * 1.5]), first: false))]
            : []));
    }
}
