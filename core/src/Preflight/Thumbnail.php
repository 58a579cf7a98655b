<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Layer;

/** Which words still read in the small picture of a listing, in which the design is as wide as the picture. */
final class Thumbnail implements ChecksSheet
{
    /** Pixels of the width of a listing's picture, and of a small letter that still reads there (our choice). */
    private const WIDTH = 200.0;

    private const READS = 6.0;

    /** Share of the sheet's width below which a design is a small print beside the middle, shown another way. */
    private const LARGE = 0.5;

    public function sheet(SheetSubject $subject): array
    {
        $reads = $lost = [];
        $extent = $subject->sampled(50.0)->alpha()->isMore(127.0)->settled()->inkBox();
        $width = $subject->artwork->sheet->box()->width();
        if ($extent === null || $extent[2] < self::LARGE * $subject->sampled(50.0)->width()) {
            return [];
        }
        foreach ($subject->artwork->everyLayer() as $layer) {
            $measured = $layer->on && $layer->role->prints() && $layer->isWords() ? SmallWords::measured($layer, $subject) : null;
            if ($measured !== null && $measured[0] * self::WIDTH / max(0.1, $width) >= self::READS) {
                $reads[] = $layer;
            } elseif ($measured !== null) {
                $lost[] = $layer;
            }
        }
        if ($reads === [] && $lost === []) {
            return [];
        }
        $named = implode(', ', array_map(fn (Layer $layer): string => $layer->called(), $lost));

        return [Finding::of(
            Group::Detail, 'thumbnail', 'In a listing', $reads === [] ? Verdict::Warn : Verdict::Pass, sprintf('%d of %d read', count($reads), count($reads) + count($lost)), 'one or more',
            match (true) {
                $lost === [] => sprintf('Every line of words still reads in a picture %d px wide.', self::WIDTH),
                $reads === [] => sprintf('In a picture %d px wide no words read: %s. Whoever leafs through a listing sees no word of it.', self::WIDTH, $named),
                default => sprintf('In a picture %d px wide these do not read: %s.', self::WIDTH, $named),
            },
        )->about(...array_map(fn (Layer $layer): string => $layer->id, $lost))];
    }
}
