<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Colour\Srgb;

/**
 * How many flat inks the picture would need where each is a screen of its own. The methods here mix their colours from process inks, so that the
 * number costs nothing; it is told for a house that prints by screens.
 */
final class InkCount implements ChecksSheet, LooksClosely
{
    private const PPI = 50.0;

    /** Share of the ink from which on a colour is one of its own: less is the rim between two. */
    private const SHARE = 0.004;

    /** CIEDE2000 within which two are one ink. */
    private const LIKE = 8.0;

    /** From so many on a screen printer would separate tones, not spots (common practice: six to eight screens on a press). */
    private const SPOTS = 8;

    public function sheet(SheetSubject $subject): array
    {
        $ink = $subject->sampled(self::PPI)->alpha()->isMore(250.0)->settled();
        $weighed = $subject->keys(self::PPI)->weighed($ink);
        usort($weighed, fn (array $one, array $other): int => $other[1] <=> $one[1]);
        $all = max(1, array_sum(array_column($weighed, 1)));
        /** @var list<array{Srgb, int}> $inks */
        $inks = [];
        foreach ($weighed as [$colour, $count]) {
            foreach ($inks as $i => [$ink]) {
                if ($ink->toLab()->difference($colour->toLab()) < self::LIKE) {
                    $inks[$i][1] += $count;

                    continue 2;
                }
            }
            $inks[] = [$colour, $count];
        }
        $inks = array_values(array_filter($inks, fn (array $one): bool => $one[1] > self::SHARE * $all));
        if ($inks === []) {
            return [];
        }
        $isTone = count($inks) > self::SPOTS;

        return [Finding::of(
            Group::Detail, 'inks', 'Number of inks', Verdict::Pass, $isTone ? 'tones' : sprintf('%d', count($inks)), 'no limit by this method',
            $isTone ? sprintf('More than %d colours: by screens it would be separated into tones. This method mixes its colours and needs none of it.', self::SPOTS)
                : sprintf('About %s. A house that prints by screens needs one for each, and white below them on dark cloth.', implode(', ', array_map(fn (array $one): string => $one[0]->toHex(), $inks))),
        )];
    }
}
