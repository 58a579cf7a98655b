<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Colour\Swatch;
use TallCrow\Geometry\Box;
use TallCrow\Raster\Image;
use TallCrow\Render\Frame;
use TallCrow\Render\LayerTrouble;
use TallCrow\Texture\Wear;

/** A part of a sheet at print resolution, for what a coarse picture cannot show. */
final readonly class PrintedPart
{
    private const PRINT = 300.0;

    /** @param  Frame  $coarse  the part in the coarse picture; $frame is the part at print resolution */
    private function __construct(private Artwork $artwork, private SheetSubject $subject, private Frame $coarse, public Frame $frame) {}

    /** The part that covers all coarse pixels which a box in inches touches. */
    public static function of(Artwork $artwork, SheetSubject $subject, Box $box): self
    {
        $ppi = $subject->picture->ppi;
        $coarse = Frame::about($box, $ppi) ?? new Frame($ppi, 0, 0, 1, 1);

        return new self($artwork, $subject, $coarse, $coarse->finer(max(1, (int) round(self::PRINT / $ppi))));
    }

    /** The print of that part. */
    public function picture(): Image
    {
        return $this->subject->renderer->picture($this->artwork, $this->frame, fn (LayerTrouble $trouble): null => null)->settled();
    }

    /**
     * A cached measurement of the part, valid as long as the layers that reach into it and the coarse picture there are unchanged.
     *
     * @param  Image  $shown  the coarse picture of the whole sheet
     * @param  string  $what  identifies the measurement and its code
     * @param  \Closure(): float  $measure
     */
    public function figure(Image $shown, string $what, \Closure $measure): float
    {
        $at = $this->coarse;
        $part = new Box($at->left / $at->ppi, $at->top / $at->ppi, ($at->left + $at->width) / $at->ppi, ($at->top + $at->height) / $at->ppi);
        $lines = array_values(array_filter($this->artwork->layers, fn (Layer $layer): bool => $layer->on && ($this->subject->reach($layer->id)?->intersection($part)->isEmpty() !== true)));
        $files = array_merge([], ...array_map(fn (Layer $line): array => array_merge([], ...array_map(fn (Layer $one): array => $one->files(), $line->everyLayer())), $lines));
        $key = hash('xxh128', $shown->embed(-$at->left, -$at->top, $at->width, $at->height)->toBytes()).serialize([
            $this->frame->key(), array_map(fn (Layer $line): array => $line->toArray(), $lines), array_map(fn (Wear $wear): array => $wear->toArray(), $this->artwork->distress),
            array_map(fn (Swatch $swatch): array => $swatch->toArray(), $this->artwork->swatches), array_map($this->subject->shelf->fingerprint(...), $files),
        ]);

        return (float) $this->subject->renderer->found("$what $key", fn (): string => (string) $measure());
    }
}
