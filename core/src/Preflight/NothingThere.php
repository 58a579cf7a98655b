<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\Layer;
use TallCrow\Edit\LineList;
use TallCrow\Edit\RemoveLine;
use TallCrow\Edit\RemovePieces;
use TallCrow\Effect\Looks;
use TallCrow\Raster\Canvas;
use TallCrow\Render\Frame;
use TallCrow\Type\Letter;

/** A sheet without ink, effects that leave nothing of a piece or a letter, pieces entirely off the sheet, and duplicates. */
final class NothingThere implements MendsOnSheet
{
    private const SEEN = 8.0;

    /** Ppi at which letters are measured. */
    private const CLOSE = 100.0;

    /** Letters no larger than this, in inches (full stops), are no loss. */
    private const LEAST = 0.03;

    private const MOST_MENDS = 3;

    /** Greatest distance, in inches, between duplicates. */
    private const SAME = 0.02;

    public function picture(PictureSubject $subject): array
    {
        $bare = $subject->picture->alpha()->isMore(self::SEEN)->mean() <= 0.0;

        return [Finding::of(
            Group::Sheet, 'blank', 'Ink', $bare ? Verdict::Fail : Verdict::Pass, $bare ? 'none' : 'there', 'some',
            $bare ? 'There is no ink at all: the print would be blank cloth.' : 'There is ink to print.',
        )];
    }

    public function onSheet(Finding $finding, SheetSubject $subject): Finding
    {
        $sheet = $subject->artwork->sheet->box();
        $bare = $off = $twice = $gaps = [];
        $before = [];
        foreach ($subject->pieces() as $layer) {
            if (! $layer->on || ! $layer->role->prints()) {
                continue;
            }
            $reach = $subject->reach($layer->id);
            if ($reach === null) {
                $bare[] = $layer;
            } elseif ($reach->right <= 0 || $reach->bottom <= 0 || $reach->left >= $sheet->right || $reach->top >= $sheet->bottom) {
                $off[] = $layer;
            } elseif ($subject->isBlank($layer)) {
                $bare[] = $layer;
            } elseif (($count = self::lettersLost($layer, $subject)) > 0) {
                $gaps[$layer->id] = [$layer, $count];
            }
            foreach ($before as $other) {
                if (self::isSame($layer, $other)) {
                    $twice[] = $layer;
                    break;
                }
            }
            $before[] = $layer;
        }
        $what = array_filter([
            self::told($bare, 'leaves no ink', 'leave no ink'),
            implode('; ', array_map(fn (array $one): string => sprintf('a look leaves nothing of %s of %s', $one[1] === 1 ? 'one letter' : "$one[1] letters", self::named([$one[0]])), $gaps)),
            self::told($off, 'lies wholly off the sheet', 'lie wholly off the sheet'),
            self::told($twice, 'lies on another piece that is just the same', 'lie on others that are just the same'),
        ]);
        if ($what === []) {
            return $finding;
        }
        $gapped = array_column(array_values($gaps), 0);
        $layers = self::once([...$bare, ...$gapped, ...$off, ...$twice]);
        $takers = array_filter([
            ...array_map(fn (Layer $layer): ?Mend => self::withoutTaker($layer, $subject->isBlankAs(...)), $bare),
            ...array_map(fn (Layer $layer): ?Mend => self::withoutTaker($layer, fn (Layer $rest): bool => self::lettersLost($rest, $subject) > 0), $gapped),
        ]);

        return Finding::of(
            $finding->group, $finding->key, $finding->word, Verdict::Fail, $finding->verdict === Verdict::Fail ? 'none' : sprintf('%d of %d pieces', count($layers), count($subject->pieces())), 'every piece once',
            ($finding->verdict === Verdict::Fail ? $finding->says.' ' : '').ucfirst(implode('; ', $what)).'.',
        )->about(...array_map(fn (Layer $layer): string => $layer->id, $layers))->mendedBy(...array_slice([...$takers, ...array_map(
            fn (Layer $layer): Mend => Mend::by(sprintf('Take out %s', self::named([$layer])), new RemovePieces([$layer->id])),
            self::once([...$twice, ...$bare, ...$off]),
        )], 0, self::MOST_MENDS));
    }

    /** Number of letters of which a look leaves no ink, although it leaves some of others. */
    private static function lettersLost(Layer $layer, SheetSubject $subject): int
    {
        $looks = array_filter($layer->effects, fn (EffectLine $line): bool => $line->on && is_a($line->is(), Looks::class, true));
        $letters = $looks === [] || ! $layer->isWords() ? [] : ($subject->renderer->placer->place($layer)->letters ?? []);
        $frame = $letters === [] ? null : Frame::about(Letter::together($letters)->bounds(), self::CLOSE);
        if ($frame === null) {
            return 0;
        }
        $ink = $subject->inked($layer->withMasks([])->withDistress([])->withRepeat(null)->withOpacity(1.0), $frame)->alpha()->settled();
        $isLost = function (Letter $letter) use ($ink, $frame): bool {
            $bounds = $letter->path->bounds();
            $own = max($bounds->width(), $bounds->height()) < self::LEAST ? null : Frame::about($bounds, self::CLOSE)?->overlap($frame);
            if ($own === null) {
                return false;
            }
            // Neighbouring letters may reach into its box, so compare with its own shape.
            $canvas = new Canvas($own->width, $own->height, $own->fromInches());
            $canvas->fill($letter->path);
            $shape = $canvas->mask()->isMore(Topmost::HALF)->settled();

            return $shape->mean() > 0.0 && $ink->crop($own->left - $frame->left, $own->top - $frame->top, $own->width, $own->height)->both($shape)->settled()->range()[1] <= self::SEEN;
        };

        return count(array_filter($letters, $isLost));
    }

    /**
     * Removes the effect that clears the ink, if there is a single one: the last effect without which the ink is there.
     *
     * @param  callable(Layer): bool  $isTaken
     */
    private static function withoutTaker(Layer $layer, callable $isTaken): ?Mend
    {
        foreach (array_reverse($layer->effects, true) as $i => $line) {
            $rest = array_values(array_diff_key($layer->effects, [$i => $line]));
            if ($line->on && ! $isTaken($layer->withEffects($rest))) {
                return Mend::by(sprintf('Take out the line that clears %s', self::named([$layer])), new RemoveLine($layer->id, LineList::Effects, $i));
            }
        }

        return null;
    }

    /**
     * Leaves out duplicates among pieces off the sheet.
     *
     * @param  list<Layer>  $layers
     * @return list<Layer>
     */
    private static function once(array $layers): array
    {
        return array_values(array_unique($layers, SORT_REGULAR));
    }

    /** @param  list<Layer>  $layers */
    private static function told(array $layers, string $one, string $several): string
    {
        return $layers === [] ? '' : self::named($layers).' '.(count($layers) === 1 ? $one : $several);
    }

    /** @param  list<Layer>  $layers */
    private static function named(array $layers): string
    {
        return implode(', ', array_map(fn (Layer $layer): string => $layer->called() === '' ? 'a blank line' : $layer->called(), $layers));
    }

    /** Whether two pieces differ only in id and name, and lie on one another. */
    public static function isSame(Layer $one, Layer $other): bool
    {
        [$a, $b] = [$one->placement, $other->placement];
        if ($a === null || $b === null || abs($a->x - $b->x) > self::SAME || abs($a->y - $b->y) > self::SAME) {
            return false;
        }
        $bare = function (Layer $layer): array {
            $array = $layer->toArray();
            unset($array['id'], $array['name']);
            $place = (array) ($array['placement'] ?? []);
            $array['placement'] = ['x' => 0, 'y' => 0] + $place;

            return $array;
        };

        return $bare($one) == $bare($other);
    }
}
