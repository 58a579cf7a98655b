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
    /** Ppi of a close check: fine enough to tell antialiased edges from haze. */
    public const PPI = 150.0;

    /** Ppi of the check while the seller works: quick, and fine enough for all checks but those that implement LooksClosely. */
    public const AT_WORK = 100.0;

    /** Prefix of the key of a finding about a layer that could not be drawn. */
    public const TROUBLE = 'trouble:';

    /** @return list<ChecksPicture|ChecksSheet> in the order of their findings */
    public static function checks(): array
    {
        return [
            new NothingThere, new FileSize, new SheetSize, new EffectivePpi, new EdgeInk, new BackgroundOfFile, new BackgroundLeft, new Haze, new VanishingInk,
            new WearShare, new WornWords, new WornKnockouts, new FineDetail, new HalftoneDots, new SmallWords, new FilledLetters, new Thumbnail, new Spelling, new MethodFits, new Gamut, new InkCount,
            new Centred, new NearlyAligned, new LineOrder, new ChangesNothing, new VisualWeight, new FlatCuts, new Covered, new Knockouts, new ReadingWay, new Collisions, new Unevenness,
        ];
    }

    /**
     * @param  ?PrintArea  $area  the house's print area, if known
     * @param  ?Image  $printed  the finished picture at the sheet's own ppi, if it already exists
     * @param  bool  $closely  whether to run slow checks as well
     * @param  ?Demands  $demands  null: the rule of the sheet's brief
     * @param  ?callable(): void  $before  called before each check; may throw to cancel
     * @param  list<string>  $words  known words (names and the like), in lower case
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
     * Checks any picture, also one from elsewhere.
     *
     * @param  float  $ppi  ppi at its print size
     * @param  list<Garment>  $garments
     * @param  ?PngFacts  $facts  facts about its file
     * @param  ?PrintArea  $area  print area that the file should fill
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
            // Checks that have a better counterpart for sheets: file size and backgrounds.
            default => [],
        };
    }

    private static function trouble(LayerTrouble $trouble): Finding
    {
        return Finding::of(Group::Sheet, self::TROUBLE.$trouble->layer, 'Cannot be drawn', Verdict::Fail, 'left out', 'every line drawn', $trouble->getMessage())->about($trouble->layer);
    }
}
