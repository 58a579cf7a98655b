<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Role;
use TallCrow\Asset\AssetUnusable;
use TallCrow\Colour\Srgb;
use TallCrow\Cutout\ColourKeys;
use TallCrow\Cutout\Pockets;
use TallCrow\Edit\SetRole;
use TallCrow\Effect\Inking\Inking;
use TallCrow\Effect\Inking\Solid;
use TallCrow\Raster\Canvas;
use TallCrow\Raster\Image;
use TallCrow\Raster\Morphology;
use TallCrow\Render\Frame;
use TallCrow\Render\Piece;
use TallCrow\Type\FontRefused;
use TallCrow\Type\Letter;
use TallCrow\Type\MissingGlyphs;

/**
 * Words whose counters and gaps are filled by their surroundings: by a knockout's gap, or by a ring or shadow too similar to their ink. Letters are read by
 * the white in and between them, which is measured as what a morphological closing by a square of half their height adds to their shape (Serra, 1982).
 */
final class FilledLetters implements ChecksSheet
{
    /** Share of that white that must remain (our choice, judged by eye on eleven typefaces with eight gap widths). */
    private const LOOK = 0.35;

    private const LEAST = 0.2;

    /** The share that a mend restores. */
    private const MENDED = 0.5;

    /**
     * Height of the tallest letters, in pixels, at which it is measured; and the share of a letter's height below which a gap or ring is too thin to matter.
     */
    private const TALL = 100.0;

    private const THIN = 0.02;

    private const MOST_PPI = 400.0;

    /** Most pixels that are measured. */
    private const PIXELS = 2_000_000;

    /** Words with less white relative to their ink have none to lose, as I or a dash. */
    private const WHITE = 0.05;

    /** Least inked share of the letters' area: hollow letters are read by their line. */
    private const SOLID = 0.5;

    public function sheet(SheetSubject $subject): array
    {
        return array_values(array_filter(array_map(fn (Layer $layer): ?Finding => $subject->isRead($layer) ? $this->finding($layer, $subject) : null, $subject->artwork->everyLayer())));
    }

    private function finding(Layer $layer, SheetSubject $subject): ?Finding
    {
        try {
            $letters = $subject->renderer->placer->place($layer)->letters ?? [];
            $inking = $subject->renderer->placer->inking($layer);
        } catch (AssetUnusable|MissingGlyphs|FontRefused) {
            return null;
        }
        $words = self::words($letters, $layer->role, $inking);
        $left = self::left($layer, $words, $subject);
        if ($left === [] || min($left) >= self::LOOK) {
            return null;
        }
        $bad = array_keys(array_filter($left, fn (float $share): bool => $share < self::LOOK));
        $finding = Finding::of(
            Group::Detail, 'filled:'.$layer->id, $layer->called().', filled in', min($left) < self::LEAST ? Verdict::Fail : Verdict::Warn,
            sprintf('%d %% open', round(min($left) * 100)), sprintf('%d %%', self::LOOK * 100),
            sprintf(
                'Of the white in and between the letters of %s %d %% is left: %s. They are hard to read.', $layer->called(), round(min($left) * 100),
                $layer->role->prints() ? 'what lies about them is too like their own ink' : 'the gap about them fills it',
            ),
        )->about($layer->id)->at(array_map(fn (int $word) => Letter::together($words[$word])->bounds(), $bad));
        $gap = $layer->role->prints() ? null : self::narrowed($layer, $words, $subject);

        return $gap === null ? $finding : $finding->mendedBy(Mend::by(
            $gap > 0 ? sprintf('Narrow the gap of %s to %.2f in', $layer->called(), $gap) : sprintf('Leave no gap about %s', $layer->called()),
            new SetRole($layer->id, self::gapped($layer->role, $gap)),
        ));
    }

    /**
     * The words that may be affected.
     *
     * @param  list<Letter>  $letters
     * @return array<int, non-empty-list<Letter>> by word index
     */
    private static function words(array $letters, Role $role, Inking $inking): array
    {
        $words = [];
        foreach ($letters as $letter) {
            $words[$letter->word][] = $letter;
        }

        return array_filter($words, fn (array $of): bool => self::tall($of) > 0 && self::mayFill($role, $inking, self::THIN * self::tall($of)));
    }

    /** @param  non-empty-list<Letter>  $letters */
    private static function tall(array $letters): float
    {
        return max(array_map(fn (Letter $letter): float => $letter->height(), $letters));
    }

    /** Whether anything about the letters could fill them, by their lines alone. */
    private static function mayFill(Role $role, Inking $inking, float $thin): bool
    {
        if (! $role->prints()) {
            return $inking->reach() + $role->gap >= $thin;
        }
        $paint = array_slice($inking->fills, -1)[0]->paint ?? null;
        $about = array_filter([$inking->backing, ...array_column($inking->rings, 'colour'), ...array_column($inking->shadows, 'colour')]);

        return $inking->grown >= $thin || ($paint instanceof Solid && array_filter($about, fn (Srgb $colour): bool => Standing::isLost($colour, $paint->colour)) !== []);
    }

    private static function gapped(Role $role, float $gap): Role
    {
        return Role::knockout($gap, $role->join, $role->from, $role->whole);
    }

    /**
     * @param  array<int, non-empty-list<Letter>>  $words
     * @return array<int, float> the share of each word's white that is left
     */
    private static function left(Layer $layer, array $words, SheetSubject $subject): array
    {
        $bare = $layer->withRole($layer->role->prints() ? Role::ink() : $layer->role)->withOpacity(1.0)->withDistress([])->withMasks([])->withRepeat(null);
        // Words up to twice as tall as others are drawn together.
        $sizes = [];
        foreach ($words as $number => $letters) {
            $sizes[(int) floor(log(self::tall($letters), 2))][$number] = $letters;
        }
        $left = [];
        foreach ($sizes as $size => $of) {
            $tall = 2.0 ** ($size + 1);
            $about = Letter::together(array_merge(...array_values($of)))->bounds()->grown($tall);
            $frame = Frame::about($about, min(self::MOST_PPI, self::TALL / $tall, sqrt(self::PIXELS / max(1e-6, $about->width() * $about->height()))));
            $piece = $frame === null ? null : $subject->compositor()->piece($bare, $frame);
            $filled = $piece === null ? null : self::filled($piece, array_merge(...array_values($of)), $layer->role->prints());
            if ($filled === null) {
                continue;
            }
            foreach ($of as $number => $letters) {
                $share = self::open($letters, $filled, $tall);
                if ($share !== null) {
                    $left[$number] = $share;
                }
            }
        }

        return $left;
    }

    /**
     * Ink that is joined to the letters and cannot be told from theirs, or all that is knocked out: one band. Null for letters without ink of their own.
     *
     * @param  list<Letter>  $letters
     */
    private static function filled(Piece $piece, array $letters, bool $prints): ?Piece
    {
        $ink = $piece->image->alpha()->isMore(127.0)->settled();
        if (! $prints) {
            return $piece->with($ink);
        }
        $core = Morphology::worn(self::drawn($letters, $piece->frame))->settled();
        $own = $core->both($ink)->settled();
        if ($own->area() < self::SOLID * $core->area()) {
            return null;
        }
        $of = fn (int $band): int => (int) round(min(255.0, $piece->image->band($band)->times($own)->mean() / max(1e-9, $own->mean() / 255)));
        $colour = Srgb::of($of(0), $of(1), $of(2));

        $alike = ColourKeys::of($piece->image)->chosen(fn (Srgb $one): bool => Standing::isLost($one, $colour))->both($ink)->settled();

        // A ring beyond a gap leaves the letters their shape.
        return $piece->with(Pockets::touched($alike, $own));
    }

    /** @param  list<Letter>  $letters */
    private static function drawn(array $letters, Frame $frame): Image
    {
        $canvas = new Canvas($frame->width, $frame->height, $frame->fromInches());
        foreach ($letters as $letter) {
            $canvas->fill($letter->path);
        }

        return $canvas->mask()->isMore(127.0)->settled();
    }

    /**
     * The share of one word's white that is left; null for one that has none.
     *
     * @param  non-empty-list<Letter>  $letters
     */
    private static function open(array $letters, Piece $filled, float $about): ?float
    {
        $window = Frame::about(Letter::together($letters)->bounds()->grown($about), $filled->frame->ppi);
        if ($window === null) {
            return null;
        }
        $own = self::drawn($letters, $window);
        $side = 2 * (int) round(self::tall($letters) * $window->ppi / 4) + 1;
        $white = Morphology::worn(Morphology::grown($own, $side), $side)->both($own->inverted())->settled();
        if ($white->area() <= self::WHITE * $own->area()) {
            return null;
        }
        $there = $filled->image->embed($filled->frame->left - $window->left, $filled->frame->top - $window->top, $window->width, $window->height);

        return 1 - $there->both($white)->area() / $white->area();
    }

    /**
     * A gap that leaves enough open, in inches: the one that is set, halved until it does.
     *
     * @param  array<int, non-empty-list<Letter>>  $words
     */
    private static function narrowed(Layer $layer, array $words, SheetSubject $subject): ?float
    {
        $isOpen = fn (float $gap): bool => min([1.0, ...self::left($layer->withRole(self::gapped($layer->role, $gap)), $words, $subject)]) >= self::MENDED;
        for ($gap = $layer->role->gap / 2; $gap >= 0.01; $gap /= 2) {
            if ($isOpen(floor($gap * 100) / 100)) {
                return floor($gap * 100) / 100;
            }
        }

        return $isOpen(0.0) ? 0.0 : null;
    }
}
