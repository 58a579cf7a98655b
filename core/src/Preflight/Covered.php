<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Layer;
use TallCrow\Colour\Contrast;
use TallCrow\Colour\Srgb;
use TallCrow\Edit\AddEffect;
use TallCrow\Edit\Reorder;
use TallCrow\Raster\Image;
use TallCrow\Raster\Morphology;
use TallCrow\Render\Frame;

/** Pieces that hardly show: hidden by what lies over them, or words in the colour of what lies about them. */
final class Covered implements ChecksSheet
{
    private const PPI = 50.0;

    /** Share of a piece's ink that must be seen (our choice): of words more than of what may well lie half behind. */
    private const WORDS = 0.6;

    private const PIECE = 0.06;

    /** Square inches below which a piece is not judged. */
    private const LEAST = 0.03;

    /** Inches about words in which their surroundings are looked at, and the share of it that must be ink. */
    private const ABOUT = 0.05;

    private const ON_INK = 0.6;

    /** Pixels across the square that takes the rim off letters: two on each side, the width of a thin ring. */
    private const RIM = 5;

    public function sheet(SheetSubject $subject): array
    {
        $frame = Frame::sheet($subject->artwork->sheet, self::PPI);
        $top = $subject->topmost($frame);
        $findings = [];
        foreach (array_reverse($top->counted(), true) as $id => $area) {
            $layer = $subject->artwork->layer($id);
            $isLarge = $layer !== null && $top->whole[$id] >= self::LEAST * self::PPI ** 2;
            if ($layer === null || (! $isLarge && ! WeakInk::isOf($layer))) {
                continue;
            }
            $share = $area / max(1, $top->whole[$id]);
            $finding = match (true) {
                self::isTwice($layer, $subject) => null,
                $isLarge && $share < ($layer->isWords() ? self::WORDS : self::PIECE) => self::hidden($layer, $share, $subject),
                $layer->isWords() => self::sunk($layer, WeakInk::topmost($layer, $frame, $subject)->seen($layer->id), $subject),
                default => null,
            };
            if ($finding !== null) {
                $findings[] = $finding->about($layer->id)->at(array_filter([$subject->renderer->placer->box($layer)]));
            }
        }

        return $findings;
    }

    /** Laid twice: that is told by itself. */
    private static function isTwice(Layer $layer, SheetSubject $subject): bool
    {
        return array_filter($subject->pieces(), fn (Layer $other): bool => $other !== $layer && $other->on && NothingThere::isSame($layer, $other)) !== [];
    }

    private static function hidden(Layer $layer, float $share, SheetSubject $subject): Finding
    {
        $raised = self::raised($layer->id, $subject->artwork->layers);
        $finding = Finding::of(
            Group::Composition, 'covered:'.$layer->id, $layer->called().', covered', $layer->isWords() ? Verdict::Fail : Verdict::Warn, sprintf('%d %% seen', round($share * 100)), 'most of it',
            sprintf('%d %% of %s is hidden by what lies over it.', round((1 - $share) * 100), $layer->called()),
        );

        return $raised === [] ? $finding : $finding->mendedBy(Mend::by(sprintf('Bring %s to the top', $layer->called()), ...$raised));
    }

    /**
     * A piece put last in its list, and each group that it lies in last in its own.
     *
     * @param  list<Layer>  $layers
     * @return list<Reorder>
     */
    private static function raised(string $id, array $layers): array
    {
        foreach ($layers as $layer) {
            $own = $layer->id === $id;
            $within = $own ? [] : self::raised($id, $layer->children());
            if ($own || $within !== []) {
                return [...$within, new Reorder($layer->id, count($layers) - 1)];
            }
        }

        return [];
    }

    /** Words whose own ink is too like the ink that they stand on. */
    private static function sunk(Layer $layer, Image $seen, SheetSubject $subject): ?Finding
    {
        $picture = $subject->sampled(self::PPI);
        if ($picture->width() !== $seen->width() || $picture->height() !== $seen->height()) {
            $picture = $picture->embed(0, 0, $seen->width(), $seen->height())->settled();
        }
        // Only what lies about the words is looked at.
        $box = $subject->renderer->placer->box($layer)?->grown(3 * self::ABOUT);
        $part = $box === null ? null : Frame::about($box, self::PPI)?->overlap(Frame::sheet($subject->artwork->sheet, self::PPI));
        if ($part !== null) {
            [$picture, $seen] = [$picture->crop($part->left, $part->top, $part->width, $part->height)->settled(), $seen->crop($part->left, $part->top, $part->width, $part->height)->settled()];
        }
        $core = Morphology::worn($seen)->settled();
        $side = 2 * (int) round(self::ABOUT * self::PPI) + 1;
        $about = Morphology::grown($seen, $side)->both(Morphology::grown($seen, 3)->inverted())->settled();
        $inked = $about->both($picture->alpha()->isMore(127.0))->settled();
        if ($core->area() < 8 || $about->area() <= 0 || $inked->area() / $about->area() < self::ON_INK) {
            return null;
        }
        [$own, $ground] = [self::mean($picture, $core), self::mean($picture, $inked)];
        $contrast = Contrast::ratio($own, $ground);
        // A ring of their own edges them, however much of the letters is within it.
        $rim = $seen->both(Morphology::worn($seen, self::RIM)->inverted())->settled();

        return Standing::isLost($own, $ground) && Standing::isLost(self::mean($picture, $rim), $ground) ? Finding::of(
            Group::Composition, 'sunk:'.$layer->id, $layer->called().', on ink', Verdict::Fail, sprintf('%.1f : 1', $contrast), sprintf('%.1f : 1', Standing::CONTRAST),
            sprintf('%s is %s on %s: its contrast with the ink about it is %.1f to 1.', $layer->called(), $own->toHex(), $ground->toHex(), $contrast),
        )->mendedBy(...self::readable($layer, $ground, $core, $part ?? Frame::sheet($subject->artwork->sheet, self::PPI), $subject)) : null;
    }

    /**
     * What makes sunk words read: their own ink in full, where that stands out, or else a thin edge.
     *
     * @param  Image  $core  where the letters are
     * @return list<Mend>
     */
    private static function readable(Layer $layer, Srgb $ground, Image $core, Frame $part, SheetSubject $subject): array
    {
        if (WeakInk::isOf($layer) && ! Standing::isLost(self::mean($subject->inked($layer->withOpacity(1.0), $part), $core), $ground)) {
            return [Mend::by(sprintf('Print %s at full strength', $layer->called()), ...WeakInk::inFull($layer))];
        }

        return [Mend::by(
            sprintf('Edge %s in %s%s', $layer->called(), self::other($ground), WeakInk::isOf($layer) ? ' at full strength' : ''),
            new AddEffect($layer->id, Lines::of('outline', ['width' => 0.04, 'colour' => self::other($ground)]), first: false), ...WeakInk::inFull($layer),
        )];
    }

    private static function other(Srgb $ground): string
    {
        return $ground->luminance() < 0.25 ? '#f3ead7' : '#1f1d1a';
    }

    private static function mean(Image $picture, Image $mask): Srgb
    {
        $of = fn (int $band): int => (int) round(min(255.0, $picture->band($band)->times($mask)->mean() / max(1e-9, $mask->mean() / 255)));

        return Srgb::of($of(0), $of(1), $of(2));
    }
}
