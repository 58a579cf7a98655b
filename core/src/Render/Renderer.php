<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Asset\AssetUnusable;
use TallCrow\Asset\Shelf;
use TallCrow\Raster\Image;
use TallCrow\Type\FontRefused;

/** Renders an artwork: a pure function of the sheet, its assets, the ppi and the window. */
final class Renderer
{
    public readonly Placer $placer;

    private readonly Shelf $shelf;

    private readonly WearPainter $wear;

    private readonly LayerPainter $painter;

    /** @param  ?Artwork  $pattern  the artwork by whose ink the amount of wear is computed, so that all rows of a series are worn alike; null: each by its own ink */
    public function __construct(
        Shelf $shelf,
        private readonly Pictures $pictures = new NoPictures,
        private readonly ?Artwork $pattern = null,
    ) {
        $this->shelf = $shelf = new UnpackedShelf($shelf, $pictures);
        $this->placer = new Placer($shelf, $pictures);
        $this->wear = new WearPainter($shelf, $pictures);
        $this->painter = new LayerPainter($shelf, $this->placer, $pictures, $this->wear);
    }

    /**
     * A measurement of a picture, cached as text beside the pictures.
     *
     * @param  string  $key  everything that it depends on, except the drawing code
     * @param  callable(): string  $find
     */
    public function found(string $key, callable $find): string
    {
        return $this->pictures->text($key, $find);
    }

    /**
     * @param  list<string>  $files
     * @return list<string> fingerprints that change when a file changes
     */
    public function fingerprints(array $files): array
    {
        return array_map($this->shelf->fingerprint(...), $files);
    }

    /**
     * The whole picture, or a window of it, as 8-bit sRGB with straight alpha.
     *
     * @param  ?callable(LayerTrouble): void  $onTrouble  when given, it receives the trouble of a layer that cannot be drawn, and the layer is left out
     *
     * @throws LayerTrouble
     */
    public function picture(Artwork $artwork, Frame $frame, ?callable $onTrouble = null, Progress $progress = new NoProgress): Image
    {
        $this->tellGaps($artwork->layers, $onTrouble);
        $live = array_values(array_filter($artwork->distress, fn ($wear): bool => $wear->on));

        return $this->compositor($onTrouble, $progress, $artwork)->compose($artwork->layers, $live, $frame);
    }

    /**
     * @param  list<Layer>  $layers
     * @param  ?callable(LayerTrouble): void  $onTrouble
     *
     * @throws LayerTrouble when letters are missing and there is no listener
     */
    private function tellGaps(array $layers, ?callable $onTrouble): void
    {
        foreach ($layers as $layer) {
            if (! $layer->on) {
                continue;
            }
            $this->tellGaps($layer->children(), $onTrouble);
            try {
                $missing = $layer->isWords() ? $this->placer->missing($layer) : null;
            } catch (AssetUnusable|FontRefused) {
                // Reported when the layer is drawn.
                continue;
            }
            if ($missing !== null) {
                $trouble = LayerTrouble::of($layer, $missing);
                $onTrouble === null ? throw $trouble : $onTrouble($trouble);
            }
        }
    }

    /**
     * One layer alone in its place on the sheet, without the sheet's wear; a knockout as its shape.
     *
     * @throws LayerTrouble
     */
    public function layer(Layer $layer, Frame $frame, ?Artwork $of = null): ?Piece
    {
        return $this->compositor(artwork: $of)->piece($layer, $frame);
    }

    public function compositor(?callable $onTrouble = null, Progress $progress = new NoProgress, ?Artwork $artwork = null): Compositor
    {
        return new Compositor($this->placer, $this->painter, $this->wear, $this->pictures, $onTrouble, $progress, $artwork, $this->pattern);
    }

    /**
     * The top-level layers that have ink at a place (in inches), the uppermost first.
     *
     * @return list<string>
     */
    public function pick(Artwork $artwork, float $x, float $y, float $ppi = 60.0): array
    {
        $sheet = Frame::sheet($artwork->sheet, $ppi);
        $found = [];
        foreach (array_reverse($artwork->layers) as $layer) {
            try {
                $piece = $layer->on ? $this->layer($layer, $sheet, $artwork) : null;
            } catch (LayerTrouble) {
                continue;
            }
            // A fingertip is wider than a hairline: look at two pixels around the place.
            $near = new Frame($ppi, (int) floor($x * $ppi) - 2, (int) floor($y * $ppi) - 2, 5, 5);
            $spot = $piece?->cut($near);
            if ($spot !== null && $spot->image->alpha()->range()[1] > 24) {
                $found[] = $layer->id;
            }
        }

        return $found;
    }
}
