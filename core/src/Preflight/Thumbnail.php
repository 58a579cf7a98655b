<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Garment;
use TallCrow\Artwork\Layer;

/** Which words still read in a listing's thumbnail, in which the design fills the width; on black if black is offered. */
final class Thumbnail implements ChecksSheet
{
    /** Width of a thumbnail in pixels (common practice), and least x-height in pixels that reads there (our choice). */
    private const WIDTH = 200.0;

    private const SMALL = 120.0;

    private const READS = 6.0;

    /** Designs narrower than this share of the sheet are small prints, which are shown differently. */
    private const LARGE = 0.5;

    /** Cloth of less relative luminance counts as black. */
    private const BLACK = 0.03;

    public function sheet(SheetSubject $subject): array
    {
        $extent = $subject->sampled(50.0)->alpha()->isMore(127.0)->settled()->inkBox();
        $width = max(0.1, $subject->artwork->sheet->box()->width());
        if ($extent === null || $extent[2] < self::LARGE * $subject->sampled(50.0)->width()) {
            return [];
        }
        $shown = self::shown($subject->artwork->brief->garments);
        $hidden = $shown === null ? [] : array_map(fn (array $one): string => $one[0]->id, VanishingInk::lostPieces($shown, $subject));
        $words = $lost = $small = [];
        foreach ($subject->artwork->everyLayer() as $layer) {
            $measured = $subject->isRead($layer) ? SmallWords::measured($layer, $subject) : null;
            if ($measured === null) {
                continue;
            }
            $words[] = $layer;
            $isHidden = in_array($layer->id, $hidden, true) || $subject->isBlank($layer);
            if ($isHidden || $measured[0] * self::WIDTH / $width < self::READS) {
                $lost[] = $layer;
            }
            if ($isHidden || $measured[0] * self::SMALL / $width < self::READS) {
                $small[] = $layer;
            }
        }
        if ($words === []) {
            return [];
        }
        $on = $shown === null ? '' : " on $shown->name";
        $none = count($lost) === count($words);
        $named = fn (array $layers): string => implode(', ', array_map(fn (Layer $layer): string => $layer->called(), $layers));

        return [Finding::of(
            Group::Detail, 'thumbnail', 'In a listing', $none ? Verdict::Warn : Verdict::Pass, sprintf('%d and %d of %d read', count($words) - count($lost), count($words) - count($small), count($words)), 'one or more',
            match (true) {
                $none => sprintf('In a picture %d px wide%s no words read: %s. Whoever leafs through a listing sees no word of it.', self::WIDTH, $on, $named($lost)),
                $lost === [] && $small === [] => sprintf('Every line of words still reads in pictures %d and %d px wide%s.', self::WIDTH, self::SMALL, $on),
                $lost === [] => sprintf('Every line of words still reads in a picture %d px wide%s; in one of %d px these do not: %s.', self::WIDTH, $on, self::SMALL, $named($small)),
                default => sprintf('In a picture %d px wide%s these do not read: %s; in one of %d px: %s.', self::WIDTH, $on, $named($lost), self::SMALL, $named($small)),
            },
        )->about(...array_map(fn (Layer $layer): string => $layer->id, $lost))];
    }

    /**
     * The cloth of the thumbnail: some markets use black whenever it is offered (common practice); otherwise the seller chooses.
     *
     * @param  list<Garment>  $garments
     */
    private static function shown(array $garments): ?Garment
    {
        return array_values(array_filter($garments, fn (Garment $garment): bool => $garment->colour->luminance() < self::BLACK))[0] ?? null;
    }
}
