<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Role;
use TallCrow\Edit\Shield;
use TallCrow\Raster\Image;
use TallCrow\Render\Frame;
use TallCrow\Render\Piece;
use TallCrow\Type\Letter;

/** Whether words knocked out of worn ink can still be read: measures how much of the ink around each letter was worn away. */
final class WornKnockouts implements ChecksSheet
{
    /** Width, in inches, of the measured margin around a letter (our choice): about the stroke width of small words. */
    private const ABOUT = 0.03;

    /** Least share of a letter that must be clear before wear. */
    private const CLEAR = 0.5;

    private const TAKEN = 0.02;

    public function sheet(SheetSubject $subject): array
    {
        return $subject->artwork->isWorn() ? array_values(array_filter(array_map(fn (Layer $layer): ?Finding => $this->finding($layer, $subject), self::among($subject->artwork->layers, $subject)))) : [];
    }

    /**
     * @param  list<Layer>  $layers
     * @return list<Layer> words that are only knocked out; not those that make room for the same words in ink
     */
    private static function among(array $layers, SheetSubject $subject): array
    {
        return array_merge([], ...array_map(fn (Layer $layer): array => match (true) {
            $layer->on && $layer->role->prints() && $layer->isPlainGroup() => self::among($layer->children(), $subject),
            $layer->isWords() && ! $layer->role->prints() && $subject->isRead($layer) => [$layer],
            default => [],
        }, $layers));
    }

    private function finding(Layer $layer, SheetSubject $subject): ?Finding
    {
        $frame = Frame::sheet($subject->artwork->sheet, $subject->picture->ppi);
        $letters = $subject->renderer->placer->place($layer)->letters ?? [];
        $role = $layer->role;
        $hole = self::on($subject->compositor()->piece($layer, $frame), $frame);
        $around = self::on($subject->compositor()->piece($layer->withRole(Role::knockout(min(Role::MOST_GAP, $role->gap + self::ABOUT), whole: $role->whole)), $frame), $frame);
        $before = $subject->beforeWear($frame)->image->isMore(127.0)->settled();
        if ($letters === [] || $hole === null || $around === null || $hole->both($before)->area() > (1 - self::CLEAR) * $hole->area()) {
            return null;
        }
        $rim = $around->both($hole->inverted())->both($before)->settled();
        $left = $rim->both($subject->picture->picture->alpha()->isMore(127.0))->settled();
        $lost = array_map(fn (Letter $letter): float => self::lost($letter, new Piece($rim, $frame), new Piece($left, $frame)), $letters);
        $most = max($lost);
        if ($most < self::TAKEN) {
            return null;
        }
        $limit = $subject->artwork->limits->letterLost;
        $bad = array_keys(array_filter($lost, fn (float $share): bool => $share > $limit));
        $finding = Finding::of(
            Group::Wear, 'knocked-out:'.$layer->id, $layer->called().', knocked out', $bad === [] ? Verdict::Pass : Verdict::Fail,
            sprintf('%d %% about a letter', round($most * 100)), sprintf('%d %%', round($limit * 100)),
            sprintf('Of the ink about one letter of %s %d %% is worn away; knocked out words read by the ink about them.', $layer->called(), round($most * 100)),
        )->at(array_map(fn (int $at) => $letters[$at]->path->bounds(), $bad === [] ? array_keys($lost, $most, true) : $bad))->about($layer->id);

        return $bad === [] ? $finding : $finding->mendedBy(Mend::by(sprintf('Shield the ink about %s', $layer->called()), new Shield($layer->id)));
    }

    /** Share of the ink around a letter that is gone. */
    private static function lost(Letter $letter, Piece $rim, Piece $left): float
    {
        $frame = Frame::about($letter->path->bounds()->grown(self::ABOUT), $rim->frame->ppi);
        $area = $frame === null ? 0.0 : (float) $rim->cut($frame)?->image->area();

        return $frame === null || $area <= 0 ? 0.0 : max(0.0, 1 - (float) $left->cut($frame)?->image->area() / $area);
    }

    /** A piece's alpha, embedded in the window. */
    private static function on(?Piece $piece, Frame $frame): ?Image
    {
        return $piece === null ? null : $piece->image->alpha()->isMore(127.0)->embed($piece->frame->left - $frame->left, $piece->frame->top - $frame->top, $frame->width, $frame->height)->settled();
    }
}
