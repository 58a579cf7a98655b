<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\PrintMethod;
use TallCrow\Edit\AddEffect;
use TallCrow\Geometry\Box;
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

    /** Side of the square about a place, in pixels, in which ink counts as beside it. */
    private const BESIDE = 5;

    /** Level from which on a pixel may belong to a fine line: one of a third of a pixel is faint. */
    private const SEEN = 48.0;

    /** Square inches that are looked at closely at most, those with the most fine lines first. */
    private const PARTS = 12;

    /** Coarser pictures than this do not show it. */
    private const LEAST_PPI = 140.0;

    /** Looks whose grain is meant. */
    private const GRAIN = ['halftone', 'halftone-inks', 'photocopied', 'roughened', 'stamped'];

    public function picture(PictureSubject $subject): array
    {
        return $subject->ppi < self::LEAST_PPI ? [] : array_column(self::findings($subject, $subject->picture, Method::of(PrintMethod::DirectToGarment), self::inPicture($subject->ppi)), 0);
    }

    public function sheet(SheetSubject $subject): array
    {
        $artwork = $subject->artwork;
        $plain = array_values(array_filter(array_map(self::plain(...), $artwork->layers)));
        // Without what is meant to be fine.
        $picture = $artwork->distress === [] && $plain == $artwork->layers
            ? $subject->picture->picture
            : $subject->renderer->picture($artwork->withDistress([])->withLayers($plain), Frame::sheet($artwork->sheet, $subject->picture->ppi), fn (LayerTrouble $trouble): null => null)->settled();
        $ppi = $subject->picture->ppi;
        $inPrint = $ppi >= self::FINE_PPI ? self::inPicture($ppi) : self::inPrint($artwork->withDistress([])->withLayers($plain), $picture, $subject);

        return array_map(
            fn (array $found): Finding => $found[0]->verdict === Verdict::Pass ? $found[0] : self::blamed($found[0], $found[1], $subject),
            self::findings($subject->picture, $picture, $subject->demands->method, $inPrint),
        );
    }

    /**
     * Measures thin lines in a part of a picture as it is.
     *
     * @return \Closure(Image, Box, float, bool): float
     */
    private static function inPicture(float $ppi): \Closure
    {
        return function (Image $alpha, Box $part, float $width, bool $areGaps) use ($ppi): float {
            $rim = Strokes::rim($width, $ppi);
            $window = Frame::about($part->grown($rim), $ppi);
            $own = $window === null ? null : $alpha->embed(-$window->left, -$window->top, $window->width, $window->height);

            return $own === null ? 0.0 : Strokes::thinnerThan($width, $areGaps ? $own->inverted() : $own, $ppi)->length(self::STRETCH, $rim);
        };
    }

    /**
     * Measures them in the print's own pixels.
     *
     * @param  Image  $picture  of the whole of that artwork as it is looked at
     * @return \Closure(Image, Box, float, bool): float
     */
    private static function inPrint(Artwork $artwork, Image $picture, SheetSubject $subject): \Closure
    {
        return function (Image $alpha, Box $part, float $width, bool $areGaps) use ($artwork, $picture, $subject): float {
            $rim = Strokes::rim($width, $subject->picture->ppi);
            $printed = PrintedPart::of($artwork, $subject, $part->grown($rim));

            return $printed->figure($picture, serialize(['strokes', sha1_file(__FILE__), sha1_file(__DIR__.'/Strokes.php'), $width, $areGaps]), function () use ($printed, $width, $areGaps, $rim): float {
                $own = $printed->picture()->alpha();

                return Strokes::thinnerThan($width, $areGaps ? $own->inverted() : $own, $printed->frame->ppi)->length(self::STRETCH, $rim);
            });
        };
    }

    /**
     * @param  \Closure(Image, Box, float, bool): float  $measured
     * @return list<array{Finding, Image}> each with a mask of where it is
     */
    private static function findings(PictureSubject $subject, Image $picture, Method $method, \Closure $measured): array
    {
        $ppi = $subject->ppi;
        $ink = $picture->alpha()->isMore(self::INK)->settled();
        [$specks, $whereSpecks] = self::scraps($ink, $ppi);
        [$holes, $whereHoles] = self::scraps($ink->inverted()->settled(), $ppi);
        $scraps = $specks + $holes;
        $alpha = $picture->alpha();
        $clean = $whereSpecks->chosen(Image::empty($alpha->width(), $alpha->height(), 1), $whereHoles->chosen(Image::empty($alpha->width(), $alpha->height(), 1)->inverted(), $alpha))->settled();
        $line = self::fine($clean, $ppi, $method->line, false, $measured);
        $gap = self::fine($clean, $ppi, $method->gap, true, $measured);
        $verdict = $scraps < self::MANY ? Verdict::Pass : ($scraps >= self::HOSTS ? Verdict::Fail : Verdict::Warn);
        $scrap = $whereSpecks->either($whereHoles)->settled();
        $thin = function (string $key, string $word, float $long, float $width, Image $where, string $says) use ($subject): array {
            $found = $long > self::LONG;

            return [Finding::of(Group::Detail, $key, $word, $found ? Verdict::Warn : Verdict::Pass, $found ? sprintf('%.1f in too fine', $long) : 'holds', sprintf('%.3f in', $width), $found ? $says : 'Nothing is finer than the print holds.')
                ->at($found ? $subject->where($where) : []), $where];
        };

        return [
            [Finding::of(Group::Detail, 'scraps', 'Scraps', $verdict, $scraps === 0 ? 'none' : sprintf('%d', $scraps), sprintf('under %d', self::MANY),
                match (true) {
                    $scraps === 0 => 'No stray specks, pinholes or slivers.',
                    $verdict === Verdict::Pass => sprintf('%s under %.3f in: too few to be seen.', self::told($specks, $holes), self::SCRAP),
                    default => sprintf('%s under %.3f in: left-over bits that print as dirt.', self::told($specks, $holes), self::SCRAP),
                })
                ->at($verdict === Verdict::Pass ? [] : $subject->where($scrap)), $scrap],
            $thin('line-fine', 'Finest line', $line[0], $method->line, $line[1], sprintf('About %.1f in of lines are finer than %.3f in, which this method fills in or loses.', $line[0], $method->line)),
            $thin('gap-fine', 'Finest gap', $gap[0], $method->gap, $gap[1], sprintf('About %.1f in of gaps are finer than %.3f in and would run together.', $gap[0], $method->gap)),
        ];
    }

    private static function told(int $specks, int $holes): string
    {
        return implode(' and ', array_filter([
            $specks === 0 ? '' : sprintf('%d stray %s', $specks, $specks === 1 ? 'speck' : 'specks'),
            $holes === 0 ? '' : sprintf('%d %s', $holes, $holes === 1 ? 'pinhole' : 'pinholes'),
        ]));
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
     * Lines that a disc of a width does not fit into: their length in inches, and where the picture shows them. What a square of a little more does not
     * fit into holds all of them and more, so that only there the print's own pixels are looked at.
     *
     * @param  \Closure(Image, Box, float, bool): float  $measured  the length in a part
     * @return array{float, Image}
     */
    private static function fine(Image $alpha, float $ppi, float $width, bool $areGaps, \Closure $measured): array
    {
        $mask = ($areGaps ? $alpha->inverted() : $alpha)->isMore(self::SEEN)->settled();
        $lost = $mask->both(Morphology::grown(Morphology::opened($mask, (int) ceil($width * $ppi + 1)), 3)->inverted())->settled();
        // A line is a pixel wide at least.
        if ($lost->area() / $ppi <= self::LONG) {
            return [0.0, $lost];
        }
        [$shown, $long] = [0.0, 0.0];
        foreach (FullestSquares::of($lost, max(1, (int) round($ppi)), self::PARTS) as [$left, $top, $across, $down]) {
            $shown += $lost->crop($left, $top, $across, $down)->area();
            $long += $measured($alpha, new Box($left / $ppi, $top / $ppi, ($left + $across) / $ppi, ($top + $down) / $ppi), $width, $areGaps);
        }

        return [$shown > 0 ? $long * $lost->area() / $shown : 0.0, $lost];
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

    /** Whose ink it is, or is beside: that of the piece of which most is seen there. */
    private static function blamed(Finding $finding, Image $where, SheetSubject $subject): Finding
    {
        $seen = $subject->topmost(Frame::sheet($subject->artwork->sheet, $subject->picture->ppi), self::SEEN)->counted(Morphology::grown($where, self::BESIDE)->settled());
        $most = 0;
        $layer = null;
        foreach ($subject->artwork->layers as $one) {
            $own = array_sum(array_intersect_key($seen, array_flip(array_map(fn (Layer $part): string => $part->id, $one->everyLayer()))));
            [$most, $layer] = $own > $most ? [$own, $one] : [$most, $layer];
        }

        return $layer === null ? $finding : $finding->about($layer->id)->mendedBy(...($finding->key === 'scraps'
            ? [Mend::by(sprintf('Tidy %s', $layer->called()), new AddEffect($layer->id, Lines::of('tidied', ['specks' => self::SCRAP * 1.5, 'pinholes' => self::SCRAP * 1.5]), first: false))]
            : []));
    }
}
