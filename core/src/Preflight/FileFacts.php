<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Export\PngFacts;
use TallCrow\Measure\HouseRule;
use TallCrow\Measure\PrintArea;
use TallCrow\Raster\Image;
use TallCrow\Raster\Morphology;

/** Checks an uploaded PNG's metadata and pixels against what print houses accept (common practice). All of it is mended by writing a corrected file. */
final class FileFacts
{
    /** Tolerance for rounding, in ppi. */
    private const ROUNDING = 1.0;

    /** Mean width of soft edges, in pixels, from which on they print as a haze around the art. */
    private const FRINGE = 2.2;

    private const CLEAR = 8.0;

    private const FULL = 247.0;

    /** Largest share of clear pixels that may have a colour. */
    private const HIDDEN = 0.0005;

    /** File size, in megabytes, that every house accepts (common practice). */
    private const MOST_MEGABYTES = 100.0;

    /** @return list<Finding> */
    public static function of(PngFacts $facts, Image $pixels, HouseRule $rule, float $effective, ?PrintArea $area): array
    {
        $asks = $rule->least()->value;
        $hidden = self::hidden($pixels);
        $fringe = self::fringe($pixels);
        $megabytes = $facts->bytes / 1e6;

        return [
            self::one('file-ppi', 'Stated ppi', $facts->ppi !== null && $facts->ppi >= $asks - self::ROUNDING, $facts->ppi === null ? 'none' : sprintf('%s ppi', $facts->ppi), sprintf('%s ppi', $asks),
                $facts->ppi === null ? 'The file states no ppi; a house may take it for 72.' : sprintf('The file states %s ppi; at its printed size it has %s. Some houses go by what is stated.', $facts->ppi, round($effective, 1)), Verdict::Warn),
            self::one('file-depth', 'Depth', $facts->depth <= 8, sprintf('%d bit', $facts->depth), '8 bit', sprintf('Samples of %d bits are twice the bytes and some houses refuse them.', $facts->depth), Verdict::Fail),
            self::one('file-palette', 'Palette', ! $facts->isPalette, $facts->isPalette ? 'palette' : 'true colour', 'true colour', 'The file has a palette: colours and soft edges are cut to 256 at most.', Verdict::Warn),
            self::one('file-interlace', 'Interlace', ! $facts->isInterlaced, $facts->isInterlaced ? 'interlaced' : 'none', 'none', 'The file is interlaced; some presses\' software refuses that.', Verdict::Warn),
            self::one('file-profile', 'Profile', $facts->profile === null, $facts->profile ?? 'sRGB', 'sRGB', sprintf('The file is in %s, not sRGB: a house that ignores profiles prints other colours.', $facts->profile ?? 'sRGB'), Verdict::Fail),
            self::one('file-hidden', 'Hidden colour', $hidden <= self::HIDDEN, sprintf('%.1f %%', $hidden * 100), 'none', sprintf('%.1f %% of the clear pixels hold colour that some software brings back as a box.', $hidden * 100), Verdict::Warn),
            self::one('file-fringe', 'Fringe', $fringe <= self::FRINGE, sprintf('%.1f px soft', $fringe), sprintf('%.1f px', self::FRINGE), sprintf('The edge is half-transparent over %.1f px in the mean: a fringe that prints as haze on dark cloth.', $fringe), Verdict::Warn),
            self::one('file-bytes', 'File size', $megabytes <= self::MOST_MEGABYTES, sprintf('%.1f MB', $megabytes), sprintf('%d MB', self::MOST_MEGABYTES), sprintf('The file has %.1f MB, more than most houses take.', $megabytes), Verdict::Warn),
            ...($area === null ? [] : [self::one('file-area', 'Print area', $facts->width === $area->width && $facts->height === $area->height, sprintf('%d × %d px', $facts->width, $facts->height), sprintf('%d × %d px', $area->width, $area->height),
                sprintf('The file is %d × %d px; the print area asks for %d × %d.', $facts->width, $facts->height, $area->width, $area->height), Verdict::Fail)]),
        ];
    }

    private static function one(string $key, string $word, bool $holds, string $figure, string $limit, string $says, Verdict $else): Finding
    {
        return Finding::of(Group::Sheet, $key, $word, $holds ? Verdict::Pass : $else, $figure, $limit, $holds ? sprintf('%s: as print houses take it.', $word) : $says);
    }

    /** Share of the clear pixels whose colour is not black. */
    private static function hidden(Image $pixels): float
    {
        $clear = $pixels->alpha()->isLess(1.0)->settled();
        $all = $clear->area();
        $coloured = $pixels->band(0)->either($pixels->band(1))->either($pixels->band(2))->isMore(0.5)->both($clear)->area();

        return $all > 0 ? $coloured / $all : 0.0;
    }

    /** Mean number of half-transparent pixels across an edge, not counting wide translucent areas. */
    private static function fringe(Image $pixels): float
    {
        $alpha = $pixels->alpha();
        $full = $alpha->isMore(self::FULL)->settled();
        $clear = $alpha->isLess(self::CLEAR)->settled();
        $partial = $full->either($clear)->inverted()->settled();
        // The contour at half alpha, one pixel thick.
        $half = $alpha->isMore(127.0)->settled();
        $edge = $half->both(Morphology::grown($half->inverted()->settled()))->settled();
        $near = $partial->both(Morphology::grown($edge, 17))->area();

        return $edge->area() > 0 ? $near / $edge->area() : 0.0;
    }
}
