<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\PrintMethod;
use TallCrow\Colour\Srgb;
use TallCrow\Cutout\ColourKeys;
use TallCrow\Raster\SoftProof;

/**
 * Colours that process inks cannot hold, by a soft proof: they print duller. A profile of coated paper stands in for the house's own. Dyes of
 * sublimation reach further, so that they are not judged by it.
 */
final class Gamut implements ChecksSheet, LooksClosely
{
    /** CIEDE2000 by which a colour must change before an eye at arm's length minds (our choice). */
    private const FAR = 12.0;

    /** Share of the ink from which on it is told. */
    private const SHARE = 0.03;

    private const PPI = 50.0;

    private const NAMED = 3;

    public function sheet(SheetSubject $subject): array
    {
        if ($subject->artwork->brief->method === PrintMethod::Sublimation) {
            return [];
        }
        $ink = $subject->sampled(self::PPI)->alpha()->isMore(127.0)->settled();
        $keys = $subject->keys(self::PPI);
        $printed = self::printed($keys);
        $off = fn (Srgb $colour): float => $colour->toLab()->difference($printed[$colour->toHex()]->toLab());
        $far = $keys->chosen(fn (Srgb $colour): bool => $off($colour) > self::FAR)->both($ink)->settled();
        $share = $ink->area() > 0 ? $far->area() / $ink->area() : 0.0;
        if ($share <= self::SHARE) {
            return [Finding::of(Group::Detail, 'gamut', 'Colours in print', Verdict::Pass, 'hold', sprintf('%d %% of the ink', self::SHARE * 100), 'Process inks hold these colours, by a profile of coated paper that stands in for the house\'s own.')];
        }

        return [Finding::of(
            Group::Detail, 'gamut', 'Colours in print', Verdict::Warn, sprintf('%d %% duller', round($share * 100)), sprintf('%d %% of the ink', self::SHARE * 100),
            sprintf('%d %% of the ink is brighter than process inks hold and prints duller: %s. By a profile of coated paper that stands in for the house\'s own; ask the house for a sample.', round($share * 100), implode(', ', self::named($keys->weighed($far), $printed))),
        )->at(PictureSubject::squares($far, self::PPI))];
    }

    /**
     * Profiles take longer to read than colours to convert: a process that asks again converts all that there are, once.
     *
     * @return array<string, Srgb> by the colour's own hex
     */
    private static function printed(ColourKeys $keys): array
    {
        /** @var array<string, Srgb> $known */
        static $known = [];
        $colours = $keys->colours();
        if (array_filter($colours, fn (Srgb $colour): bool => ! isset($known[$colour->toHex()])) !== []) {
            $colours = $known === [] ? $colours : ColourKeys::everyColour();
            $known = array_combine(array_map(fn (Srgb $colour): string => $colour->toHex(), $colours), SoftProof::of($colours));
        }

        return $known;
    }

    /**
     * The colours that lose most ground, no two alike.
     *
     * @param  list<array{Srgb, int}>  $weighed
     * @param  array<string, Srgb>  $printed
     * @return list<string>
     */
    private static function named(array $weighed, array $printed): array
    {
        usort($weighed, fn (array $one, array $other): int => $other[1] <=> $one[1]);
        $named = [];
        foreach ($weighed as [$colour]) {
            if (count($named) < self::NAMED && array_filter($named, fn (Srgb $one): bool => $one->toLab()->difference($colour->toLab()) < self::FAR) === []) {
                $named[] = $colour;
            }
        }

        return array_map(fn (Srgb $colour): string => sprintf('%s as about %s', $colour->toHex(), $printed[$colour->toHex()]->toHex()), $named);
    }
}
