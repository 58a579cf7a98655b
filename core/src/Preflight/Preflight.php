<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Garment;
use TallCrow\Artwork\Meant;
use TallCrow\Asset\Shelf;
use TallCrow\Export\PngFacts;
use TallCrow\Measure\HouseRule;
use TallCrow\Measure\Ppi;
use TallCrow\Measure\PrintArea;
use TallCrow\Raster\Image;
use TallCrow\Render\Frame;
use TallCrow\Render\LayerTrouble;
use TallCrow\Render\Renderer;

/** Runs every check. */
final class Preflight
{
    /** Fine enough to tell a rim from haze. */
    public const PPI = 150.0;

    /** Fine enough for all but the checks that look closely, coarse enough to keep up with a seller at work. */
    public const AT_WORK = 100.0;

    /** With this begins the key of a finding about a line that could not be drawn. */
    public const TROUBLE = 'trouble:';

    /** @return list<ChecksPicture|ChecksSheet> in the order in which their findings are told */
    public static function checks(): array
    {
        return [
            new NothingThere, new FileSize, new SheetSize, new EffectivePpi, new EdgeInk, new BackgroundOfFile, new BackgroundLeft, new Haze, new VanishingInk,
            new WearShare, new WornWords, new WornKnockouts, new FineDetail, new HalftoneDots, new SmallWords, new FilledLetters, new Thumbnail, new Spelling, new MethodFits, new Gamut, new InkCount,
            new Centred, new NearlyAligned, new LineOrder, new ChangesNothing, new VisualWeight, new FlatCuts, new Covered, new Knockouts, new ReadingWay, new Collisions, new Unevenness,
        ];
    }

    /**
     * @param  ?PrintArea  $area  what the house asks for, if it is known
     * @param  ?Image  $printed  the finished picture at the sheet's own ppi, if it is there already
     * @param  bool  $closely  with the checks that take their time
     * @param  ?Demands  $demands  null for the rule of its brief
     * @param  ?callable(): void  $before  called before each check; may throw to end it
     * @param  list<string>  $words  in small letters: names and the like that are spelt so
     */
    public static function artwork(Artwork $artwork, Renderer $renderer, Shelf $shelf, ?PrintArea $area = null, ?Image $printed = null, bool $closely = true, array $words = [], ?Demands $demands = null, ?callable $before = null): Report
    {
        $troubles = [];
        $note = function (LayerTrouble $trouble) use (&$troubles): void {
            $troubles[$trouble->layer] = $trouble;
        };
        $ppi = $printed === null ? min($closely ? self::PPI : self::AT_WORK, $artwork->sheet->ppi->value) : $artwork->sheet->ppi->value;
        $picture = $printed ?? $renderer->picture($artwork, Frame::sheet($artwork->sheet, $ppi), $note)->settled();
        foreach (array_keys($troubles) as $id) {
            $layer = $artwork->layer($id);
            $artwork = $layer === null ? $artwork : $artwork->withLayer($id, $layer->withOn(false));
        }
        $seen = new PictureSubject($picture, $ppi, $artwork->brief->garments, $artwork->brief->rule, $artwork->sheet->area());
        $sheet = new SheetSubject($artwork, $renderer, $shelf, $area ?? $artwork->sheet->area(), $seen, $words, $demands);

        $findings = [
            ...array_map(self::trouble(...), array_values($troubles)),
            ...$sheet->demands->findings,
            ...array_merge([], ...array_map(
                function (ChecksPicture|ChecksSheet $check) use ($sheet, $closely, $before): array {
                    $before === null || $before();

                    return $check instanceof LooksClosely && ! $closely ? [] : self::ofSheet($check, $sheet);
                },
                self::checks(),
            )),
        ];
        $why = array_column(array_map(fn (Meant $meant): array => $meant->toArray(), $artwork->meant), 'why', 'key');

        return new Report(array_map(fn (Finding $finding): Finding => $finding->verdict === Verdict::Pass ? $finding : $finding->meantSo($why[$finding->key] ?? ''), $findings));
    }

    /**
     * Any picture, also one that was not made here.
     *
     * @param  float  $ppi  at the width at which it is to be printed
     * @param  list<Garment>  $garments
     * @param  ?PngFacts  $facts  of the file that it came in
     * @param  ?PrintArea  $area  that the file should fill
     */
    public static function picture(Image $picture, float $ppi, array $garments, HouseRule $rule, ?PngFacts $facts = null, ?PrintArea $area = null): Report
    {
        $file = PrintArea::pixels('', $picture->width(), $picture->height(), Ppi::of($ppi));
        $subject = new PictureSubject($picture, $ppi, $garments, $rule, $file);
        $checks = array_filter(self::checks(), fn (ChecksPicture|ChecksSheet $check): bool => $check instanceof ChecksPicture);

        return new Report([
            ...array_merge([], ...array_map(fn (ChecksPicture $check): array => $check->picture($subject), array_values($checks))),
            ...($facts === null ? [] : FileFacts::of($facts, $picture, $rule, $ppi, $area)),
        ]);
    }

    /** @return list<Finding> */
    private static function ofSheet(ChecksPicture|ChecksSheet $check, SheetSubject $subject): array
    {
        return match (true) {
            $check instanceof MendsOnSheet => array_map(fn (Finding $finding): Finding => $check->onSheet($finding, $subject), $check->picture($subject->picture)),
            $check instanceof ChecksSheet => $check->sheet($subject),
            // What the sheet itself tells better: the size of the file, and what stands behind each picture.
            default => [],
        };
    }

    private static function trouble(LayerTrouble $trouble): Finding
    {
        return Finding::of(Group::Sheet, self::TROUBLE.$trouble->layer, 'Cannot be drawn', Verdict::Fail, 'left out', 'every line drawn', $trouble->getMessage())->about($trouble->layer);
    }
}
