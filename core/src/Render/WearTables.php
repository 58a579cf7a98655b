<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Raster\Histogram;
use TallCrow\Raster\Image;
use TallCrow\Texture\Wear;
use TallCrow\Texture\WearTile;

/** Finds how deep a texture's field must be cut to remove the asked share of some ink. */
final class WearTables
{
    public function __construct(
        private readonly WearFields $fields,
        private readonly Pictures $pictures,
    ) {}

    /**
     * The lookup table from field levels to removed ink that takes the asked share of this ink.
     *
     * @param  bool  $edges  whether this wear follows edges
     * @return list<int>
     */
    public function of(Wear $wear, float $amount, WornInk $ink, float $x, float $y, bool $edges): array
    {
        $key = sprintf('cut %s %.5f %.3f %.3f %.3f %s', $this->fields->name($wear), $amount, $wear->turn, $x + $wear->x, $y + $wear->y, $ink->key);
        $json = $this->pictures->text($key, function () use ($wear, $amount, $ink, $x, $y, $edges): string {
            $ramp = $wear->isPicture() ? WearTile::CRISP : WearTile::RAMP;
            $piece = ($ink->coarse)($edges ? WornInk::EDGES_PPI : WornInk::PPI);
            if ($piece === null || $piece->image->range()[1] <= 0) {
                return json_encode(WearTile::cut(Histogram::of($this->fields->sized($wear)), $amount, $ramp), JSON_THROW_ON_ERROR);
            }
            if (! $edges) {
                return json_encode(WearTile::cut($this->weighed($wear, $piece, $x, $y, WornInk::FINER_LOOK), $amount, $ramp), JSON_THROW_ON_ERROR);
            }
            // Add a clear margin, so that the ink's own rim counts as an edge.
            $margin = NearEdges::margin($wear->scale, WornInk::EDGES_PPI);
            $frame = $piece->frame->grown($margin);
            $about = fn (Image $alpha): Image => $alpha->embed($margin, $margin, $frame->width, $frame->height)->settled();
            $chips = $ink->edges === null ? null : ($ink->edges)(WornInk::EDGES_PPI);

            return json_encode(WearTile::cut($this->weighed($wear, new Piece($about($piece->image), $frame), $x, $y, 1, NearEdges::of($wear->scale, $frame, $about(($chips ?? $piece)->image))->settled()), $amount), JSON_THROW_ON_ERROR);
        });
        /** @var list<int> $table */
        $table = json_decode($json, true);

        return $table;
    }

    /**
     * The amount of ink at each field level (a weighted histogram), estimated by random sampling: several passes, in each of which every pixel of the coarse
     * ink is paired with one random field pixel within it.
     *
     * @param  int  $finer  field pixels to an ink pixel, each way
     * @param  ?Image  $near  for wear that chips: the nearness of an edge
     * @return array<int, float>
     */
    private function weighed(Wear $wear, Piece $ink, float $x, float $y, int $finer, ?Image $near = null): array
    {
        $sums = array_fill(0, 256, 0.0);
        $frame = $ink->frame->finer($finer);
        $alpha = $finer > 1 ? $ink->image->zoomed($finer)->settled() : $ink->image;
        $looks = min(WornInk::LOOKS, 1 + (int) (WornInk::ENOUGH / max(1.0, $ink->image->area() * $finer ** 2)));
        for ($look = 0; $look < $looks; $look++) {
            $key = sprintf('look %s %.3f %d', $this->fields->name($wear), $frame->ppi, $look);
            $glimpsed = fn (): Image => $this->fields->glimpsed($wear, $frame->ppi, $look);
            $tile = $this->fields->inMemory($key, fn (): Image => $wear->isPicture() ? $this->pictures->image($key, $glimpsed) : $this->pictures->material($key, $glimpsed));
            $field = WearPlacement::laid($tile, $wear, $frame, $x, $y, mixed: false);
            foreach (Histogram::summedBy($alpha, $near === null ? $field : NearEdges::bitten($field, $near)) as $level => $sum) {
                $sums[$level] += $sum;
            }
        }

        return $sums;
    }
}
