<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Layer;
use TallCrow\Colour\Contrast;
use TallCrow\Colour\Srgb;
use TallCrow\Edit\AddEffect;
use TallCrow\Geometry\Box;
use TallCrow\Raster\Image;
use TallCrow\Raster\Morphology;
use TallCrow\Render\Frame;
use TallCrow\Type\Letter;

/** Words whose ink is too similar to the ink below them: a whole layer, or single words of it. */
final readonly class SunkWords
{
    /** Margin around words, in inches, in which their surroundings are examined, and least inked share of it. */
    private const ABOUT = 0.05;

    private const ON_INK = 0.6;

    /** Side, in pixels, of the erosion that removes the rim of letters: two pixels on each side, the width of a thin ring. */
    private const RIM = 5;

    /** Letters with fewer pixels left after that are not judged. */
    private const LEAST = 8;

    /** Most words of a layer that are judged one by one. */
    private const MOST = 24;

    /**
     * @param  Image  $picture  the finished picture
     * @param  Image  $seen  mask of where the layer is visible
     */
    private function __construct(private Layer $layer, private Image $picture, private Image $seen, private SheetSubject $subject, private float $ppi) {}

    /** @param  Image  $seen  mask of where the layer is visible on the sheet, at $ppi */
    public static function find(Layer $layer, Image $seen, SheetSubject $subject, float $ppi): ?Finding
    {
        $picture = $subject->sampled($ppi);
        $fits = $picture->width() === $seen->width() && $picture->height() === $seen->height();
        $words = new self($layer, $fits ? $picture : $picture->embed(0, 0, $seen->width(), $seen->height())->settled(), $seen, $subject, $ppi);

        return $words->within($subject->renderer->placer->box($layer), $layer->called()) ?? $words->one();
    }

    private function one(): ?Finding
    {
        $words = [];
        foreach ($this->subject->renderer->placer->place($this->layer)->letters ?? [] as $letter) {
            $words[$letter->word][] = $letter;
        }
        foreach (count($words) > 1 ? array_slice($words, 0, self::MOST) : [] as $of) {
            $called = trim(implode('', array_map(fn (Letter $letter): string => $letter->characters, $of)));
            $found = $this->within(Letter::together($of)->bounds(), "$called of {$this->layer->called()}");
            if ($found !== null) {
                return $found;
            }
        }

        return null;
    }

    private function within(?Box $box, string $called): ?Finding
    {
        $sheet = Frame::sheet($this->subject->artwork->sheet, $this->ppi);
        $part = $box === null ? $sheet : Frame::about($box, $this->ppi)?->overlap($sheet);
        $about = $part?->grown((int) ceil(3 * self::ABOUT * $this->ppi))->overlap($sheet);
        if ($part === null || $about === null) {
            return null;
        }
        // Crop to the words' surroundings.
        [$picture, $all] = array_map(fn (Image $image): Image => $image->crop($about->left, $about->top, $about->width, $about->height)->settled(), [$this->picture, $this->seen]);
        $seen = $this->seen->crop($part->left, $part->top, $part->width, $part->height)->embed($part->left - $about->left, $part->top - $about->top, $about->width, $about->height)->settled();
        $core = Morphology::worn($seen)->settled();
        $beside = Morphology::grown($seen, 2 * (int) round(self::ABOUT * $this->ppi) + 1)->both(Morphology::grown($all, 3)->inverted())->settled();
        $inked = $beside->both($picture->alpha()->isMore(Topmost::HALF))->settled();
        if ($core->area() < self::LEAST || $beside->area() <= 0 || $inked->area() / $beside->area() < self::ON_INK) {
            return null;
        }
        [$own, $ground] = [self::mean($picture, $core), self::mean($picture, $inked)];
        // A ring of their own makes words readable, whatever is inside it.
        $rim = $seen->both(Morphology::worn($seen, self::RIM)->inverted())->settled();
        if (! Standing::isLost($own, $ground) || ! Standing::isLost(self::mean($picture, $rim), $ground)) {
            return null;
        }
        $contrast = Contrast::ratio($own, $ground);

        return Finding::of(
            Group::Composition, 'sunk:'.$this->layer->id, $this->layer->called().', on ink', Verdict::Fail, sprintf('%.1f : 1', $contrast), sprintf('%.1f : 1', Standing::CONTRAST),
            sprintf('%s is %s on %s: its contrast with the ink about it is %.1f to 1.', $called, $own->toHex(), $ground->toHex(), $contrast),
        )->mendedBy(...$this->mends($ground, $core, $about));
    }

    /**
     * Full opacity, if the ink then stands out, otherwise a thin outline.
     *
     * @param  Image  $core  mask of the letters without their rims
     * @return list<Mend>
     */
    private function mends(Srgb $ground, Image $core, Frame $part): array
    {
        $layer = $this->layer;
        if (WeakInk::isOf($layer) && ! Standing::isLost(self::mean($this->subject->inked($layer->withOpacity(1.0), $part), $core), $ground)) {
            return [Mend::by(sprintf('Print %s%s', $layer->called(), WeakInk::IN_FULL), ...WeakInk::inFull($layer))];
        }

        return [Mend::by(
            sprintf('Edge %s in %s%s', $layer->called(), self::other($ground), WeakInk::isOf($layer) ? WeakInk::IN_FULL : ''),
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
