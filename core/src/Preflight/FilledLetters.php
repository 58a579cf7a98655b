<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Role;
use TallCrow\Asset\AssetUnusable;
use TallCrow\Colour\Srgb;
use TallCrow\Cutout\ColourKeys;
use TallCrow\Edit\SetRole;
use TallCrow\Effect\Inking\Inking;
use TallCrow\Effect\Inking\Solid;
use TallCrow\Raster\Canvas;
use TallCrow\Raster\Image;
use TallCrow\Raster\Morphology;
use TallCrow\Render\Frame;
use TallCrow\Type\FontRefused;
use TallCrow\Type\Letter;
use TallCrow\Type\MissingGlyphs;

/**
 * Words whose letters are filled in by what was set about them: a knockout's gap, a ring or a shadow too like their own ink. Letters read by the
 * white in and between them; it is what a closing by a square of half their height adds to their shape (Serra, 1982).
 */
final class FilledLetters implements ChecksSheet
{
    /** Share of that white that must be left (our choice, by eye on eleven faces in eight widths of gap). */
    private const LOOK = 0.35;

    private const LEAST = 0.2;

    /** The share that a mend leaves. */
    private const MENDED = 0.5;

    /** Pixels of the tallest letter as it is looked at, and of what about it fills too little to be looked for. */
    private const TALL = 48.0;

    private const THIN = 1.0;

    private const MOST_PPI = 400.0;

    /** A word with less white, for its ink, has none to lose: I, a dash. */
    private const WHITE = 0.05;

    /** Share of the letters that must be of ink: hollow ones read by their line. */
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
        $tall = max([0.0, ...array_map(fn (Letter $letter): float => $letter->height(), $letters)]);
        if ($tall <= 0 || ! self::mayFill($layer->role, $inking, self::THIN * $tall / self::TALL)) {
            return null;
        }
        $frame = Frame::about(Letter::together($letters)->bounds()->grown($tall), min(self::MOST_PPI, self::TALL / $tall));
        $words = $frame === null ? [] : self::words($letters, $frame);
        $left = $frame === null ? [] : self::left($layer, $words, $frame, $subject);
        if ($frame === null || $left === [] || min($left) >= self::LOOK) {
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
        )->about($layer->id)->at(array_map(fn (int $word) => Letter::together(array_values(array_filter($letters, fn (Letter $letter): bool => $letter->word === $word)))->bounds(), $bad));
        $gap = $layer->role->prints() ? null : self::open($layer, $words, $frame, $subject);

        return $gap === null ? $finding : $finding->mendedBy(Mend::by(
            $gap > 0 ? sprintf('Narrow the gap of %s to %.2f in', $layer->called(), $gap) : sprintf('Leave no gap about %s', $layer->called()),
            new SetRole($layer->id, self::gapped($layer->role, $gap)),
        ));
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
     * Each word's letters and the white in and between them.
     *
     * @param  list<Letter>  $letters
     * @return array<int, array{own: Image, white: Image}> masks of 0 and 255, by the word's number
     */
    private static function words(array $letters, Frame $frame): array
    {
        $of = [];
        foreach ($letters as $letter) {
            $of[$letter->word][] = $letter->path;
        }
        $words = [];
        $side = 2 * (int) (self::TALL / 4) + 1;
        foreach ($of as $word => $paths) {
            $canvas = new Canvas($frame->width, $frame->height, $frame->fromInches());
            array_walk($paths, $canvas->fill(...));
            $own = $canvas->mask()->isMore(127.0)->settled();
            $white = Morphology::worn(Morphology::grown($own, $side), $side)->both($own->inverted())->settled();
            if ($white->area() > self::WHITE * $own->area()) {
                $words[$word] = ['own' => $own, 'white' => $white];
            }
        }

        return $words;
    }

    /**
     * @param  array<int, array{own: Image, white: Image}>  $words
     * @return array<int, float> the share of each word's white that is left
     */
    private static function left(Layer $layer, array $words, Frame $frame, SheetSubject $subject): array
    {
        $piece = $words === [] ? null : $subject->compositor()->piece(
            $layer->withRole($layer->role->prints() ? Role::ink() : $layer->role)->withOpacity(1.0)->withDistress([])->withMasks([])->withRepeat(null), $frame,
        );
        if ($piece === null) {
            return [];
        }
        $drawn = $piece->image->embed($piece->frame->left - $frame->left, $piece->frame->top - $frame->top, $frame->width, $frame->height)->settled();
        $ink = $drawn->alpha()->isMore(127.0)->settled();
        $left = [];
        foreach ($words as $number => ['own' => $own, 'white' => $white]) {
            $filled = $layer->role->prints() ? self::alike($drawn, $ink, $own) : $ink;
            if ($filled !== null) {
                $left[$number] = 1 - $filled->both($white)->area() / $white->area();
            }
        }

        return $left;
    }

    /** Where ink is too like that of the letters; null for letters without ink of their own. */
    private static function alike(Image $drawn, Image $ink, Image $own): ?Image
    {
        $core = Morphology::worn($own)->both($ink)->settled();
        if ($core->area() < self::SOLID * Morphology::worn($own)->area()) {
            return null;
        }
        $of = fn (int $band): int => (int) round(min(255.0, $drawn->band($band)->times($core)->mean() / max(1e-9, $core->mean() / 255)));
        $colour = Srgb::of($of(0), $of(1), $of(2));

        return ColourKeys::of($drawn)->chosen(fn (Srgb $one): bool => Standing::isLost($one, $colour))->both($ink)->settled();
    }

    /**
     * A gap that leaves enough open, in inches: the one that is set, halved until it does.
     *
     * @param  array<int, array{own: Image, white: Image}>  $words
     */
    private static function open(Layer $layer, array $words, Frame $frame, SheetSubject $subject): ?float
    {
        $isOpen = fn (float $gap): bool => min([1.0, ...self::left($layer->withRole(self::gapped($layer->role, $gap)), $words, $frame, $subject)]) >= self::MENDED;
        for ($gap = $layer->role->gap / 2; $gap >= 0.01; $gap /= 2) {
            if ($isOpen(floor($gap * 100) / 100)) {
                return floor($gap * 100) / 100;
            }
        }

        return $isOpen(0.0) ? 0.0 : null;
    }
}
