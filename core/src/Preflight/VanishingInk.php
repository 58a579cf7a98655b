<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Garment;
use TallCrow\Colour\Srgb;
use TallCrow\Edit\LeaveGarmentOut;
use TallCrow\Geometry\Box;

/**
 * Ink too near the cloth's colour to be seen, for each garment colour on offer. Pixels are sampled on an even grid;
 * colours within four levels of a channel count as one.
 */
final class VanishingInk implements MendsOnSheet
{
    /** CIEDE2000 below which ink is lost on the cloth at arm's length (our choice; 1 is just visible side by side). */
    public const LIMIT = 10.0;

    private const WARN = 0.02;

    private const FAIL = 0.2;

    /** Samples to the inch. */
    private const GRID = 37.5;

    private const COLOUR_BITS = 0xFCFCFC;

    public function picture(PictureSubject $subject): array
    {
        $every = max(1, (int) round($subject->ppi / self::GRID));
        $sampled = $subject->picture->subsampled($every);
        $width = $sampled->width();
        $pixels = $counts = [];
        foreach ((array) unpack('V*', $sampled->toBytes()) as $i => $pixel) {
            if ($pixel > 0x7FFFFFFF) {
                $colour = $pixel & self::COLOUR_BITS;
                $pixels[$i - 1] = $colour;
                $counts[$colour] = ($counts[$colour] ?? 0) + 1;
            }
        }
        $labs = [];
        foreach ($counts as $colour => $count) {
            // The middle of the four levels that count as one.
            $labs[$colour] = Srgb::of(($colour & 0xFF) | 2, ($colour >> 8 & 0xFF) | 2, ($colour >> 16 & 0xFF) | 2)->toLab();
        }

        return array_map(function (Garment $garment) use ($subject, $pixels, $counts, $labs, $width, $every): Finding {
            $cloth = $garment->colour->toLab();
            $lost = array_filter($labs, fn ($lab): bool => $lab->difference($cloth) < self::LIMIT);
            $share = $pixels === [] ? 0.0 : array_sum(array_intersect_key($counts, $lost)) / count($pixels);

            return $this->finding($garment, $share, $subject, fn (): array => self::where($pixels, $lost, $width, $subject->ppi / $every));
        }, $subject->garments);
    }

    /** @param  \Closure(): list<Box>  $where */
    private function finding(Garment $garment, float $share, PictureSubject $subject, \Closure $where): Finding
    {
        $verdict = Verdict::atMost($share, self::WARN, self::FAIL);
        $seen = $verdict === Verdict::Pass;

        return Finding::of(
            Group::Cloth, self::key($garment), 'On '.$garment->name, $verdict, sprintf('%.1f %% lost', $share * 100), sprintf('%d %%', self::WARN * 100),
            $seen ? sprintf('The ink reads on %s.', $garment->name)
                : sprintf('%.1f %% of the ink is nearer than %d (CIEDE2000) to %s and vanishes on it.', $share * 100, self::LIMIT, $garment->name),
        )->at($seen ? [] : $where());
    }

    public function onSheet(Finding $finding, SheetSubject $subject): Finding
    {
        foreach (count($subject->artwork->brief->garments) < 2 || $finding->verdict === Verdict::Pass ? [] : $subject->artwork->brief->garments as $garment) {
            if (self::key($garment) === $finding->key) {
                return $finding->mendedBy(Mend::by(sprintf('Leave %s out', $garment->name), new LeaveGarmentOut($garment->name)));
            }
        }

        return $finding;
    }

    private static function key(Garment $garment): string
    {
        return 'vanish:'.$garment->name;
    }

    /**
     * Half-inch squares that hold the most lost ink.
     *
     * @param  array<int, int>  $pixels
     * @param  array<int, mixed>  $lost
     * @return list<Box>
     */
    private static function where(array $pixels, array $lost, int $width, float $perInch): array
    {
        $cell = $perInch / 2;
        $found = [];
        foreach ($pixels as $i => $colour) {
            if (isset($lost[$colour])) {
                $key = (int) ($i % $width / $cell).','.(int) (intdiv($i, $width) / $cell);
                $found[$key] = ($found[$key] ?? 0) + 1;
            }
        }
        arsort($found);
        $boxes = [];
        foreach (array_slice(array_keys($found), 0, 40) as $key) {
            [$x, $y] = array_map(intval(...), explode(',', $key));
            $boxes[] = new Box($x / 2, $y / 2, $x / 2 + 0.5, $y / 2 + 0.5);
        }

        return $boxes;
    }
}
