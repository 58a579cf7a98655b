<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Asset\Shelf;
use TallCrow\Look\Grain;
use TallCrow\Look\PrintGrid;
use TallCrow\Mask\Stroke;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;
use TallCrow\Raster\Morphology;
use TallCrow\Texture\Catalogue;
use TallCrow\Texture\Texture;
use TallCrow\Texture\Wear;
use TallCrow\Texture\WearTile;

/** Computes masks of wear for a window of the sheet. */
final class WearPainter
{
    /** Share of wear that a brush adds where it paints. */
    private const MORE = 0.4;

    /** Ppi at which chips of a tenth of an inch look as in print, where the print's own pixels cannot be had. */
    private const FINE = 120.0;

    /** Ppi of the ink of a proof below THUMBNAIL that chips are cut into. */
    private const EDGES = 60.0;

    /**
     * Ppi at which turned wear of a proof is resampled. Interpolation blurs, and at a proof's own ppi the marks would be softer than in print, also to the
     * gauges, which look at 100 ppi.
     */
    private const TURNED = 300.0;

    /** Below this ppi ink whose edges chip is drawn twice as fine. */
    private const COARSE = 55.0;

    /** Most parts of a print pixel, each way, as which it is averaged: four for a sheet of 240 ppi. */
    private const MOST_ZOOM = 5;

    /** Below this ppi nothing of a single mark is seen. */
    private const THUMBNAIL = 25.0;

    /** Sigma, in inches, of the grain by which a soft restoring stroke spares single marks: patches are about four times as large. */
    private const PATCH = 0.012;

    /** Print pixels up to which a window is cut again each time instead of being cached. */
    private const LITTLE = 4_000_000;

    /** Levels of the field below this never chip: they are the middle of a solid area. */
    private const HOLDS = 12;

    private readonly WearFields $fields;

    private readonly WearTables $tables;

    public function __construct(Shelf $shelf, private readonly Pictures $pictures)
    {
        $this->fields = new WearFields($shelf, $pictures);
        $this->tables = new WearTables($this->fields, $pictures);
    }

    /** One band: 255 where ink is removed. The texture's corner lies at the given inches. */
    public function taken(Wear $wear, Frame $frame, WornInk $ink, float $x = 0.0, float $y = 0.0): Image
    {
        if ($wear->lacksPicture()) {
            return Image::empty($frame->width, $frame->height, 1);
        }
        $taken = $this->worn($wear, $wear->amount, $frame, $ink, $x, $y);
        $adding = array_values(array_filter($wear->strokes, fn (Stroke $stroke): bool => ! $stroke->restores));
        if ($adding !== []) {
            $kept = BrushPainter::over(Image::empty($frame->width, $frame->height, 1)->inverted(), $adding, $ink->extent, null, $frame);
            $taken = $taken->lighter($this->worn($wear, min(0.9, $wear->amount + self::MORE), $frame, $ink, $x, $y)->times($kept->inverted()));
        }
        $sparing = array_values(array_filter($wear->strokes, fn (Stroke $stroke): bool => $stroke->restores));
        if ($sparing !== []) {
            $spared = BrushPainter::over(Image::empty($frame->width, $frame->height, 1), $sparing, $ink->extent, null, $frame);
            // Spare single marks instead of fading all of them; at full strength even the marks of the highest grain level.
            $grain = Grain::over($spared, self::PATCH, $wear->seed, PrintGrid::ofInk($frame->ppi, [$frame->left, $frame->top]))->linearByte(254 / 255);
            $whole = $spared->isMore($grain);
            $taken = $taken->times($whole->inverted());
        }

        return $taken;
    }

    /**
     * What several wears leave, one band: 0 where ink is removed. Without brush strokes their pixels are multiplied finer than a proof's: marks of one may lie
     * on those of another or beside them.
     *
     * @param  non-empty-list<array{Wear, WornInk}>  $worn  none of which follows edges
     */
    public function left(array $worn, Frame $frame, float $x = 0.0, float $y = 0.0): Image
    {
        $together = self::together($frame->ppi) > 1 ? array_values(array_filter($worn, fn (array $one): bool => $one[0]->strokes === [] && ! $one[0]->lacksPicture())) : [];
        $alone = count($together) > 1 ? array_values(array_filter($worn, fn (array $one): bool => ! in_array($one, $together, true))) : $worn;
        $parts = array_map(fn (array $one): Image => $this->taken($one[0], $frame, $one[1], $x, $y)->inverted(), $alone);

        return self::product(count($together) > 1 ? [$this->multiplied($together, $frame, $x, $y), ...$parts] : $parts);
    }

    /**
     * What several wears leave, multiplied finer than the frame and averaged down; cached in cells of the first one's texture, like wear that is turned.
     *
     * @param  non-empty-list<array{Wear, WornInk}>  $worn
     */
    private function multiplied(array $worn, Frame $frame, float $x, float $y): Image
    {
        $by = self::together($frame->ppi);
        $fine = $frame->finer($by);
        [$fromX, $fromY] = WearPlacement::corner($worn[0][0], $fine->ppi, $x, $y);
        $tables = array_map(fn (array $one): ?array => $this->asked($one[0], $one[0]->amount, $one[1], $x, $y), $worn);
        $marks = '';
        foreach ($worn as $i => [$wear]) {
            [$left, $top] = WearPlacement::corner($wear, $fine->ppi, $x, $y);
            $marks .= sprintf("%s %.3f %.2f,%.2f %s\n", $this->fields->name($wear), $wear->turn, $left - $fromX, $top - $fromY, implode(',', $tables[$i] ?? []));
        }
        $draw = function (Frame $fine) use ($worn, $tables, $by, $x, $y): Image {
            $parts = array_map(fn (array $one, ?array $table): Image => $this->cut($one[0], $table, $fine, $x, $y)->inverted(), $worn, $tables);

            return self::product($parts)->settled()->shrunk($by);
        };

        return $this->inCells($worn[0][0], $fine, $by, $x, $y, fn (Frame $fine, string $cells): Image => $this->pictures->image("left $cells ".md5($marks), fn (): Image => $draw($fine)));
    }

    /** @param  list<Image>  $parts  at least one */
    private static function product(array $parts): Image
    {
        return array_reduce(array_slice($parts, 1), fn (Image $product, Image $part): Image => $product->times($part), $parts[0]);
    }

    /** Pixels, each way, to one of a proof's at which wears are multiplied: half or all of the print's, on its grid. */
    private static function together(float $ppi): int
    {
        foreach ($ppi < self::THUMBNAIL ? [] : [2, 1] as $coarser) {
            $by = Texture::PPI / $coarser / $ppi;
            if ($by >= 1 && abs($by - round($by)) < 1e-6) {
                return (int) round($by);
            }
        }

        return 1;
    }

    private function worn(Wear $wear, float $amount, Frame $frame, WornInk $ink, float $x, float $y): Image
    {
        $table = $this->asked($wear, $amount, $ink, $x, $y);
        if ($table !== null && $this->followsEdges($wear)) {
            return $this->chipped($wear, $table, $frame, ($ink->alpha ?? Image::empty($frame->width, $frame->height, 1)->inverted())->settled(), $x, $y);
        }

        return $this->cut($wear, $table, $frame, $x, $y);
    }

    /** @return ?list<int> removed ink by level of the field; null for a picture that is used as it is */
    private function asked(Wear $wear, float $amount, WornInk $ink, float $x, float $y): ?array
    {
        return $wear->asItIs && $wear->isPicture() ? null : $this->tables->of($wear, $amount, $ink, $ink->x ?? $x, $ink->y ?? $y, $this->followsEdges($wear));
    }

    /**
     * Removed ink of wear that does not follow edges: cut and turned at print resolution, then averaged down.
     *
     * @param  ?list<int>  $table  removed ink by level of the field; null where the levels are the removed ink
     */
    private function cut(Wear $wear, ?array $table, Frame $frame, float $x, float $y): Image
    {
        $cut = $table === null ? 'as it is' : md5(implode(',', $table));
        $isTurned = abs($wear->turn) >= 0.01;
        // Turning interpolates between pixels, so a proof turns finer pixels and averages them down.
        $turned = $frame->ppi < self::THUMBNAIL ? self::TURNED / 2 : self::TURNED;
        $finer = $isTurned ? max(1, (int) ceil($turned / $frame->ppi - 0.01)) : self::ontoPrint($frame->ppi);
        if ($finer !== null) {
            $fine = $frame->finer($finer);
            $by = $isTurned ? (int) (Texture::PPI / $turned) : 1;
            // For a sheet of 200 ppi, a third of its pixel each way is half a print pixel.
            $zoom = $isTurned ? 1 : max(1, (int) round($fine->ppi / Texture::PPI));
            $marks = fn (string $cells): \Closure => fn (int $left, int $top, int $width, int $height): Image => $this->window($wear, [$left, $top, $width, $height], $by, $table, $cells, $zoom);
            $shown = fn (Frame $fine, string $cells): Image => WearPlacement::shown($wear, $fine, $x, $y, $marks($cells), larger: $isTurned ? $fine->ppi / $turned : 1.0);
            $window = fn (Frame $fine, string $cells): Image => $zoom > 1 ? $shown($fine, $cells)->shrunk($finer) : $shown($fine, $cells)->settled()->shrunk($finer);

            // A print would not reuse it, and a small window is cut sooner than read.
            return $finer === 1 || $zoom > 1 || ($wear->scale <= 1 && ! $isTurned && $fine->width * $fine->height < self::LITTLE)
                ? $window($fine, '')
                : $this->inCells($wear, $fine, $finer, $x, $y, fn (Frame $fine, string $cells): Image => $this->pictures->image("taken $cells $cut", fn (): Image => $window($fine, $cells)));
        }
        // No few parts of this frame's pixels are a whole number of print pixels: the tile as a whole is averaged down.
        $tile = fn (): Image => WearTile::make($table === null ? $this->fields->sized($wear) : self::crisp($wear, Lookup::bytes($this->fields->sized($wear), $table)), $frame->ppi);

        return WearPlacement::laid($this->pictures->image(sprintf('tile %s %.4f', $this->fields->name($wear), $frame->ppi).$cut, $tile), $wear, $frame, $x, $y);
    }

    /**
     * Removed ink of wear that follows edges: cut on the print's own pixels, like all wear, and averaged down.
     *
     * @param  list<int>  $table  removed ink by level of the field
     * @param  Image  $alpha  alpha of the ink in the frame
     */
    private function chipped(Wear $wear, array $table, Frame $frame, Image $alpha, float $x, float $y): Image
    {
        $parts = $frame->ppi < self::THUMBNAIL ? null : self::ontoPrint($frame->ppi);
        $by = $parts ?? max(1, (int) ceil(self::FINE / $frame->ppi - 0.01));
        $fine = $frame->finer($by);
        $zoom = $parts === null ? 1 : max(1, (int) round($fine->ppi / Texture::PPI));
        $print = $zoom > 1 ? $fine->coarserAround($zoom) : $fine;
        $field = $parts === null ? $this->averaged($wear, $print, $x, $y) : $this->ofPrint($wear, $print, $x, $y);
        $table = array_map(fn (int $level, int $taken): int => $level < self::HOLDS ? 0 : $taken, array_keys($table), $table);
        $taken = self::crisp($wear, Lookup::bytes(NearEdges::bitten($field, NearEdges::of($wear->scale, $frame, $alpha, $print)->settled()), $table))->settled();

        return $taken->zoomed($zoom)->crop($fine->left - $print->left * $zoom, $fine->top - $print->top * $zoom, $fine->width, $fine->height)->settled()->shrunk($by)->settled();
    }

    /** The field in a window of the print's own pixels. */
    private function ofPrint(Wear $wear, Frame $print, float $x, float $y): Image
    {
        $isTurned = abs($wear->turn) >= 0.01;
        $marks = fn (string $cells): \Closure => fn (int $left, int $top, int $width, int $height): Image => $this->window($wear, [$left, $top, $width, $height], 1, null, $cells);
        // What takes long is cached: turning here, enlarging by the window.
        $shown = fn (Frame $print, string $cells): Image => WearPlacement::shown($wear, $print, $x, $y, $marks($isTurned ? '' : $cells));

        return ! $isTurned && $wear->scale <= 1
            ? $shown($print, '')
            : $this->inCells($wear, $print, 1, $x, $y, fn (Frame $print, string $cells): Image => $isTurned ? $this->pictures->image("turned $cells", fn (): Image => $shown($print, $cells)) : $shown($print, $cells));
    }

    /** The field averaged down to a window's ppi. */
    private function averaged(Wear $wear, Frame $frame, float $x, float $y): Image
    {
        $tile = $this->pictures->image(sprintf('field at %s %.4f', $this->fields->name($wear), $frame->ppi), fn (): Image => WearTile::make($this->fields->sized($wear)->settled(), $frame->ppi));

        return WearPlacement::laid($tile, $wear, $frame, $x, $y);
    }

    /** Parts, each way, into which a frame's pixels are divided so that one or few of them make a print pixel; null if there are too many. */
    private static function ontoPrint(float $ppi): ?int
    {
        for ($parts = 1; $parts * $ppi <= self::MOST_ZOOM * Texture::PPI; $parts++) {
            $zoom = $parts * $ppi / Texture::PPI;
            if (abs($zoom - round($zoom)) < 1e-9) {
                // Above print resolution the tile is interpolated.
                return $ppi > Texture::PPI ? null : $parts;
            }
        }

        return null;
    }

    /**
     * Removed ink in a window of the texture: cut at print resolution, averaged down.
     *
     * @param  array{int, int, int, int}  $window  left and top from the texture's corner, width and height, in pixels of $by × $by print pixels
     * @param  ?list<int>  $table  as for cut()
     * @param  string  $cells  cache key of the window; empty where it is not reused
     * @param  int  $zoom  pixels of the window, each way, to a print pixel; 1 unless $by is 1
     */
    private function window(Wear $wear, array $window, int $by, ?array $table, string $cells, int $zoom = 1): Image
    {
        if ($zoom > 1) {
            [$left, $top, $width, $height] = $window;
            [$fromX, $fromY] = [(int) floor($left / $zoom), (int) floor($top / $zoom)];
            $print = [$fromX, $fromY, (int) ceil(($left + $width) / $zoom) - $fromX, (int) ceil(($top + $height) / $zoom) - $fromY];

            return $this->window($wear, $print, 1, $table, $cells)->zoomed($zoom)->crop($left - $fromX * $zoom, $top - $fromY * $zoom, $width, $height);
        }
        [$left, $top, $width, $height] = array_map(fn (int $at): int => $at * $by, $window);
        $rim = Morphology::RIM;
        $sized = fn (): Image => $wear->scale > 1 ? $this->fields->sized($wear) : $this->fields->inMemory($this->fields->name($wear), fn (): Image => $this->fields->sized($wear));
        $field = fn (): Image => $sized()->tiled($rim - $left, $rim - $top, $width + 2 * $rim, $height + 2 * $rim);
        // Most changes of a proof that change the table leave the field, which takes long to enlarge.
        $field = $cells !== '' && $wear->scale > 1 ? $this->pictures->image("laid $cells", $field)->settled() : $field();

        $taken = $table === null ? $field : self::crisp($wear, Lookup::bytes($field, $table));

        return $taken->crop($rim, $rim, $width, $height)->settled()->shrunk($by);
    }

    /**
     * A window of a texture, cropped from a larger one that is aligned to cells of the texture, so that a piece which carries its wear along reuses it
     * wherever it is moved.
     *
     * @param  Frame  $fine  the window in fine pixels, of which $by × $by are averaged
     * @param  callable(Frame, string): Image  $draw  draws the larger window; the string is a cache key for its place in the texture
     */
    private function inCells(Wear $wear, Frame $fine, int $by, float $x, float $y, callable $draw): Image
    {
        [$left, $top] = WearPlacement::corner($wear, $fine->ppi, $x, $y);
        [$across, $width] = WearPlacement::cells($fine->left - $left, $fine->width, $by);
        [$down, $height] = WearPlacement::cells($fine->top - $top, $fine->height, $by);
        $cells = sprintf('%s %.3f %.4f %d %.2f,%.2f,%d,%d', $this->fields->name($wear), $wear->turn, $fine->ppi, $by, $across, $down, $width, $height);
        $wide = new Frame($fine->ppi, (int) round($left + $across), (int) round($top + $down), $width, $height);

        return $draw($wide, $cells)->crop(intdiv($fine->left - $wide->left, $by), intdiv($fine->top - $wide->top, $by), intdiv($fine->width, $by), intdiv($fine->height, $by));
    }

    /** Sharpens marks, except a picture's: its table is steep already, and with slow gradients sharpening would take less than the share asked for. */
    private static function crisp(Wear $wear, Image $taken): Image
    {
        return $wear->isPicture() ? $taken : Morphology::crisp($taken->settled());
    }

    /**
     * How many times finer than a proof the ink must be drawn for these wears, each way. Chips lie along edges, of which a coarse pixel does not tell on which
     * side of it the ink is.
     *
     * @param  list<Wear>  $worn
     */
    public function finer(array $worn, float $ppi): int
    {
        return match (true) {
            array_filter($worn, $this->followsEdges(...)) === [] => 1,
            $ppi < self::THUMBNAIL => max(1, (int) round(self::EDGES / $ppi)),
            default => $ppi < self::COARSE ? 2 : 1,
        };
    }

    /** Pixels of ink beyond a window that its wear depends on. */
    public function margin(Wear $wear, float $ppi): int
    {
        return $this->followsEdges($wear) ? NearEdges::margin($wear->scale, $ppi) : 0;
    }

    /** Whether this wear depends on where the ink's edges are, so that the ink's alpha is required. */
    public function followsEdges(Wear $wear): bool
    {
        return $wear->texture !== Catalogue::PICTURE && Catalogue::classes()[$wear->texture]::followsEdges();
    }
}
