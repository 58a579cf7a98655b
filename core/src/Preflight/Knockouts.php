<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Role;
use TallCrow\Edit\Move;
use TallCrow\Edit\RemovePieces;
use TallCrow\Edit\Scale;
use TallCrow\Geometry\Box;
use TallCrow\Raster\Image;
use TallCrow\Render\Frame;
use TallCrow\Render\Piece;

/** Knockouts that take no ink away, and words knocked out that reach beyond the ink: what lies there cannot be read. */
final class Knockouts implements ChecksSheet
{
    private const PPI = 50.0;

    /** Share of knocked out words that must lie on ink (our choice): a letter is about a tenth of them. */
    private const WORDS = 0.9;

    /** Of a knockout's area: edges that touch may share that much. */
    private const NONE = 0.0001;

    private const LAID_OVER = 0.5;

    /** Share of what is moved that must then lie on ink. */
    private const MOVED = 0.99;

    /** Inches of ink that are left about what is moved onto it. */
    private const RIM = 0.1;

    /** Of its size, what a piece keeps at least when it is made to fit (our choice). */
    private const SMALLEST = 0.5;

    /** Places that are tried. */
    private const WAYS = 8;

    public function sheet(SheetSubject $subject): array
    {
        return self::among($subject->artwork->layers, $subject);
    }

    /**
     * @param  list<Layer>  $layers
     * @return list<Finding>
     */
    private static function among(array $layers, SheetSubject $subject): array
    {
        $findings = [];
        foreach ($layers as $at => $layer) {
            if ($layer->on && $layer->role->prints() && $layer->isPlainGroup()) {
                $findings = [...$findings, ...self::among($layer->children(), $subject)];
            } elseif ($layer->on && ! $layer->role->prints()) {
                $from = $layer->role->from;
                $below = array_values(array_filter(array_slice($layers, 0, $at), fn (Layer $one): bool => $from === [] || in_array($one->id, $from, true)));
                $findings[] = self::finding($layer, $below, array_slice($layers, $at + 1), $subject);
            }
        }

        return array_values(array_filter($findings));
    }

    /**
     * @param  list<Layer>  $below
     * @param  list<Layer>  $above
     */
    private static function finding(Layer $layer, array $below, array $above, SheetSubject $subject): ?Finding
    {
        $frame = Frame::sheet($subject->artwork->sheet, self::PPI);
        $ink = $subject->compositor()->inkBefore($below, $frame, 1)->image;
        $taken = self::onInk($subject->compositor()->piece($layer, $frame), $ink, $frame);
        $shape = $subject->compositor()->piece($layer->withRole(Role::ink()), $frame);
        $share = self::onInk($shape, $ink, $frame);
        $told = fn (string $figure, string $limit, string $says): Finding => Finding::of(
            Group::Composition, 'knockout:'.$layer->id, $layer->called().', knocked out', Verdict::Warn, $figure, $limit, $says,
        )->about($layer->id)->at(array_filter([$subject->renderer->placer->box($layer)]));

        $onto = fn (): array => self::onto($layer, $below, $ink, $frame, $subject);

        return match (true) {
            $taken < self::NONE => $told('takes nothing', 'some ink', sprintf('%s takes no ink away: there is none beneath it.', $layer->called()))
                ->mendedBy(...[...$onto(), Mend::by(sprintf('Take out %s', $layer->called()), new RemovePieces([$layer->id]))]),
            // What makes room for ink that is laid over it is not read itself.
            $layer->isWords() && $share < self::WORDS && self::onInk($shape, $subject->compositor()->inkBefore($above, $frame, 1)->image, $frame) < self::LAID_OVER => $told(
                sprintf('%d %% on ink', round($share * 100)), sprintf('%d %%', self::WORDS * 100),
                sprintf('%d %% of %s lies where there is no ink beneath it, and cannot be read there.', round((1 - $share) * 100), $layer->called()),
            )->mendedBy(...$onto()),
            default => null,
        };
    }

    /**
     * The shortest way onto the ink of a piece below it: to within its box, or to the middle of it; onto none that is large enough, so much smaller.
     *
     * @param  list<Layer>  $below
     * @return list<Mend> one at most
     */
    private static function onto(Layer $layer, array $below, Image $ink, Frame $frame, SheetSubject $subject): array
    {
        $own = $subject->renderer->placer->box($layer);
        if ($own === null) {
            return [];
        }
        $ways = [];
        foreach ($below as $piece) {
            $box = $piece->on && $piece->role->prints() ? $subject->renderer->placer->box($piece) : null;
            if ($box === null || $box->width() < $own->width() || $box->height() < $own->height()) {
                continue;
            }
            $room = $box->grown(-self::RIM);
            if ($room->width() > $own->width() && $room->height() > $own->height()) {
                $ways[] = [max($room->left - $own->left, min(0.0, $room->right - $own->right)), max($room->top - $own->top, min(0.0, $room->bottom - $own->bottom))];
            }
            $ways[] = [$box->centreX() - $own->centreX(), $box->centreY() - $own->centreY()];
        }
        usort($ways, fn (array $one, array $other): int => hypot(...$one) <=> hypot(...$other));
        foreach (array_slice($ways, 0, self::WAYS) as [$dx, $dy]) {
            $move = new Move([$layer->id], round($dx, 4), round($dy, 4));
            if (self::onInk($subject->compositor()->piece($layer->moved($move->dx, $move->dy)->withRole(Role::ink()), $frame), $ink, $frame) >= self::MOVED) {
                return [Mend::by(sprintf('Move %s onto the ink', $layer->called()), $move)];
            }
        }

        return self::smaller($layer, $own, $below, $ink, $frame, $subject);
    }

    /**
     * As large as the piece below it allows on which it stays the largest.
     *
     * @param  list<Layer>  $below
     * @return list<Mend> one at most
     */
    private static function smaller(Layer $layer, Box $own, array $below, Image $ink, Frame $frame, SheetSubject $subject): array
    {
        $sizes = [];
        foreach ($below as $piece) {
            $room = $piece->on && $piece->role->prints() ? $subject->renderer->placer->box($piece)?->grown(-self::RIM) : null;
            $by = $room === null ? 0.0 : floor(100 * min($room->width() / $own->width(), $room->height() / $own->height())) / 100;
            if ($room !== null && $by >= self::SMALLEST && $by < 1.0) {
                $sizes[] = [$by, $room->centreX() - $own->centreX(), $room->centreY() - $own->centreY()];
            }
        }
        rsort($sizes);
        foreach (array_slice($sizes, 0, self::WAYS) as [$by, $dx, $dy]) {
            $move = new Move([$layer->id], round($dx, 4), round($dy, 4));
            $moved = $layer->scaled($by, $own->centreX(), $own->centreY())->moved($move->dx, $move->dy);
            if (self::onInk($subject->compositor()->piece($moved->withRole(Role::ink()), $frame), $ink, $frame) >= self::MOVED) {
                return [Mend::by(sprintf('Set %s %d %% smaller, on the ink', $layer->called(), round(100 * (1 - $by))), new Scale([$layer->id], $by), $move)];
            }
        }

        return [];
    }

    /** The share of a piece that lies on ink. */
    private static function onInk(?Piece $piece, Image $ink, Frame $frame): float
    {
        $window = $piece?->frame->overlap($frame);
        if ($piece === null || $window === null) {
            return 0.0;
        }
        $all = $piece->image->alpha();
        $own = $all->crop($window->left - $piece->frame->left, $window->top - $piece->frame->top, $window->width, $window->height);

        return $own->times($ink->crop($window->left - $frame->left, $window->top - $frame->top, $window->width, $window->height))->area() / max(1e-9, $all->area());
    }
}
