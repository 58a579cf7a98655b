<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Garment;
use TallCrow\Artwork\Layer;
use TallCrow\Edit\AsHalftone;
use TallCrow\Edit\HardenMasks;
use TallCrow\Edit\SetOpacity;
use TallCrow\Geometry\Box;
use TallCrow\Mask\Mask;
use TallCrow\Raster\Image;
use TallCrow\Raster\Morphology;

/**
 * Half-transparent ink beyond the smooth rim that every edge has. On cloth that gets an underbase white is laid under it, and it prints as pale haze
 * (common practice). A pixel of the print counts when it is neither clear nor full and none of its eight neighbours is either.
 */
final class Haze implements MendsOnSheet
{
    private const CLEAR = 8.0;

    private const FULL = 247.0;

    /** Shares of the ink, our choice. */
    private const WARN = 0.005;

    private const FAIL = 0.03;

    /** Relative luminance of cloth below which a printer lays an underbase (our choice: mid grey and darker). */
    private const UNDERBASE = 0.4;

    private const MOST_MENDS = 4;

    /** A coarser picture than this is not the print's own; then parts of the print are looked at. */
    private const PRINT = 250.0;

    /** Inches across such a part, and how many of them. */
    private const PART = 1.5;

    private const PARTS = 6;

    /** @var ?\WeakMap<Image, array{Image, Image}> of pictures that are still looked at, what is half-transparent, and what of that is more than an edge */
    private ?\WeakMap $known = null;

    public function picture(PictureSubject $subject): array
    {
        [, $haze] = $this->of($subject->picture);

        return [self::finding($subject, self::share($haze, $subject->picture), $haze, '')];
    }

    public function onSheet(Finding $finding, SheetSubject $subject): Finding
    {
        [$partial, $haze] = $this->of($subject->picture->picture);
        $share = $subject->picture->ppi < self::PRINT ? $this->ofPrint($partial, $haze, $subject) : self::share($haze, $subject->picture->picture);
        $fading = array_values(array_filter($subject->artwork->everyLayer(), fn (Layer $layer): bool => $layer->on && $layer->role->prints() && $layer->fades()));
        $finding = self::finding($subject->picture, $share, $haze, $fading === [] ? '' : ' It comes of '.implode(', ', array_map(self::cause(...), array_slice($fading, 0, 3))).'.');

        return $finding->verdict === Verdict::Pass ? $finding : $finding->about(...array_map(fn (Layer $layer): string => $layer->id, $fading))->mendedBy(...self::mends($fading));
    }

    private static function finding(PictureSubject $subject, float $share, Image $haze, string $cause): Finding
    {
        $matters = $subject->garments === [] || array_filter($subject->garments, fn (Garment $garment): bool => $garment->colour->luminance() < self::UNDERBASE) !== [];
        $verdict = $matters ? Verdict::atMost($share, self::WARN, self::FAIL) : Verdict::Pass;
        $clean = $verdict === Verdict::Pass;

        return Finding::of(
            Group::Sheet, 'haze', 'Haze', $verdict, sprintf('%.1f %%', $share * 100), sprintf('%.1f %%', self::WARN * 100),
            match (true) {
                ! $matters => 'No cloth on offer gets an underbase, so half-transparent ink prints as it is.',
                $clean => 'The ink is full or none.',
                default => sprintf('%.1f %% of the ink is half-transparent and would print as pale haze on cloth that gets an underbase.%s', $share * 100, $cause),
            },
        )->at($clean ? [] : $subject->where($haze));
    }

    /** @return array{Image, Image} */
    private function of(Image $picture): array
    {
        $this->known ??= new \WeakMap;
        $partial = $this->known[$picture][0] ?? self::partial($picture);

        return $this->known[$picture] ??= [$partial, self::solid($partial)];
    }

    private static function solid(Image $partial): Image
    {
        return Morphology::worn($partial)->settled();
    }

    private static function partial(Image $picture): Image
    {
        $alpha = $picture->alpha();

        return $alpha->isMore(self::CLEAR)->both($alpha->isLess(self::FULL))->settled();
    }

    private static function share(Image $haze, Image $picture): float
    {
        $ink = $picture->alpha()->isMore(self::CLEAR)->area();

        return $ink > 0 ? $haze->area() / $ink : 0.0;
    }

    /**
     * The share in the print: in the parts of the sheet with the most half-transparent ink, the print's own pixels say how much of what the coarse
     * picture shows is there.
     */
    private function ofPrint(Image $partial, Image $haze, SheetSubject $subject): float
    {
        $alpha = $subject->picture->picture->alpha();
        if ($partial->mean() <= 0.0) {
            return 0.0;
        }
        $coarse = $subject->picture->ppi;
        [$shown, $printed, $inPrint] = [0.0, 0.0, 0.0];
        foreach (FullestSquares::of($partial, max(1, (int) round(self::PART * $coarse)), self::PARTS) as [$left, $top, $width, $height]) {
            if ($width < 2 || $height < 2) {
                continue;
            }
            $shown += $haze->crop($left, $top, $width, $height)->area();
            $part = PrintedPart::of($subject->artwork, $subject, new Box($left / $coarse, $top / $coarse, ($left + $width) / $coarse, ($top + $height) / $coarse));
            $inPrint += $part->figure($subject->picture->picture, 'haze '.sha1_file(__FILE__), fn (): float => self::solid(self::partial($part->picture()))->area()) / ($part->frame->ppi / $coarse) ** 2;
            $printed += $partial->crop($left, $top, $width, $height)->area();
        }
        // Of the pixels along edges, which are partly covered, the print counts fewer as ink, since they are smaller.
        $edges = ($partial->area() - $haze->area()) / 2 * max(0.0, 1 - $coarse / $subject->artwork->sheet->ppi->value);
        $ink = max(1.0, $alpha->isMore(self::CLEAR)->area() - $edges);

        return match (true) {
            $shown > 0 => min(1.0, $haze->area() / $ink * $inPrint / $shown),
            $printed > 0 => min(1.0, $inPrint / $printed * $partial->area() / $ink),
            default => 0.0,
        };
    }

    private static function cause(Layer $layer): string
    {
        $soft = array_filter($layer->liveMasks(), fn (Mask $mask): bool => $mask->isSoft()) !== [];

        return sprintf('%s (%s)', $layer->called(), match (true) {
            $layer->opacity < 1 => sprintf('printed at %d %%', round($layer->opacity * 100)),
            $soft => 'a soft mask',
            default => 'a soft look',
        });
    }

    /**
     * @param  list<Layer>  $fading
     * @return list<Mend>
     */
    private static function mends(array $fading): array
    {
        $mends = $others = [];
        foreach ($fading as $layer) {
            $mends[] = Mend::by(sprintf('Print the fade of %s as halftone', $layer->called()), new AsHalftone([$layer->id]));
            if ($layer->opacity < 1) {
                $others[] = Mend::by(sprintf('Print %s at full strength', $layer->called()), new SetOpacity($layer->id, 1.0));
            }
            if (array_filter($layer->liveMasks(), fn (Mask $mask): bool => $mask->isSoft()) !== []) {
                $others[] = Mend::by(sprintf('Give %s a hard mask', $layer->called()), new HardenMasks($layer->id));
            }
        }

        return array_slice([...array_slice($mends, 0, 2), ...$others], 0, self::MOST_MENDS);
    }
}
