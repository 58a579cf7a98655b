<?php

declare(strict_types=1);

namespace TallCrow\Effect\Look;

use TallCrow\Effect\Looks;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\Values;
use TallCrow\Look\Grain;
use TallCrow\Look\GrainKind;
use TallCrow\Look\PrintGrid;
use TallCrow\Look\WholeInk;
use TallCrow\Raster\Blur;
use TallCrow\Raster\Image;
use TallCrow\Raster\Morphology;

/** Rubber stamp look: ink is missing in blots, but holds along the edges. */
final readonly class Stamped implements Looks
{
    /** Blots of at least this size, in inches, are several pixels wide at half the print's ppi, which is sufficient for a proof. */
    private const WIDE = 0.05;

    /** Levels of the grain over which a blot's edge fades: about one print pixel. */
    private const RAMP = 12.0;

    private function __construct(private float $amount, private float $size, private int $seed) {}

    public static function kind(): string
    {
        return 'stamped';
    }

    public static function parameters(): array
    {
        return [Parameter::share('amount', 0, 0.9, 0.3), Parameter::length('size', 0.01, 1, 0.08), Parameter::number('seed', 0, 999_999, 1)];
    }

    public static function from(Values $values): static
    {
        return new self($values->number('amount'), $values->number('size'), (int) $values->number('seed'));
    }

    public function reach(): float
    {
        return 0.15;
    }

    public function ppi(): float
    {
        // The rim along the edges is some hundredths of an inch wide.
        return self::PROOF / 2;
    }

    public function look(Image $ink, PrintGrid $grid, WholeInk $whole): Image
    {
        if ($this->amount <= 0) {
            return $ink;
        }
        // Oversampled and averaged; large blots need fewer pixels.
        $finer = max(1, (int) ceil(($this->size >= self::WIDE ? self::PRINT / 2 : self::PRINT) / $grid->ppi - 0.01));
        // Blots are where a grain exceeds a threshold, which is raised towards edges, so that ink is missing inside first.
        $inside = Blur::wide($ink->alpha(), max(0.5, 0.03 * $grid->ppi), $grid->at)->linearByte(2.0, -255)->settled()->enlarged($finer)->settled();
        $grain = Grain::over($inside, $this->size / 4, $this->seed, $grid->finer($finer), GrainKind::Smooth);
        $ramp = self::RAMP * max(1.0, self::PRINT / ($grid->ppi * $finer));
        $height = $grain->linear(1)->plus($inside->linear($this->amount + $ramp / 510))->linearByte(255 / $ramp, -255 * 255 / $ramp);

        return $ink->masked(Morphology::withoutRamps($height->settled())->inverted()->settled()->shrunk($finer)->settled());
    }
}
