<?php

declare(strict_types=1);

namespace TallCrow\Compose;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\GroupSource;
use TallCrow\Artwork\Layer;
use TallCrow\Geometry\Box;
use TallCrow\Render\Placer;

/** Aligns, spaces and groups several layers, by the boxes of their ink without rings and shadows. */
final readonly class Arrange
{
    public const SELECTION = 'selection';

    public const SHEET = 'sheet';

    public function __construct(private Placer $placer) {}

    /**
     * Aligns an edge or the centre of each with that of their common box, of the sheet or of one layer.
     *
     * @param  list<string>  $ids
     * @param  string  $to  SELECTION, SHEET or the id of a layer
     *
     * @throws ArrangeRefused
     */
    public function align(Artwork $artwork, array $ids, Edge $edge, string $to): Artwork
    {
        $boxes = $this->boxes($artwork, $ids, $to === self::SELECTION ? 2 : 1);
        $target = match ($to) {
            self::SELECTION => self::around($boxes),
            self::SHEET => $artwork->sheet->box(),
            default => $this->box($artwork, $to, $edge),
        };
        if ($target === null) {
            throw ArrangeRefused::target();
        }
        $places = array_map(fn (string $id): float => $edge->of($this->box($artwork, $id, $edge) ?? $boxes[$id]), array_combine(array_keys($boxes), array_keys($boxes)));
        $place = $edge->of($target);
        if ($edge === Edge::Baseline) {
            $places = array_map(fn (string $id): float => $this->baseline($artwork, $id, $boxes[$id]), array_combine(array_keys($boxes), array_keys($boxes)));
            $place = match ($to) {
                self::SELECTION => reset($places),
                self::SHEET => $place,
                default => $this->baseline($artwork, $to, $target),
            };
        }
        foreach ($places as $id => $at) {
            $by = $id === $to ? 0.0 : $place - $at;
            $artwork = self::moved($artwork, $id, $edge->isAcross() ? $by : 0.0, $edge->isAcross() ? 0.0 : $by);
        }

        return $artwork;
    }

    /** What of a layer is aligned: for middles, that of words about a centre is the centre. */
    private function box(Artwork $artwork, string $id, Edge $edge): ?Box
    {
        $layer = $artwork->layer($id);

        return $layer === null ? null : (in_array($edge, [Edge::Middle, Edge::Centre], true) ? $this->placer->middle($layer) : $this->placer->box($layer));
    }

    private function baseline(Artwork $artwork, string $id, Box $box): float
    {
        $layer = $artwork->layer($id);

        return ($layer === null ? null : $this->placer->baseline($layer)) ?? $box->bottom;
    }

    /**
     * Makes the gaps between neighbours equal: without a given gap the first and the last keep their places, with one only the
     * first does.
     *
     * @param  list<string>  $ids
     *
     * @throws ArrangeRefused
     */
    public function spaced(Artwork $artwork, array $ids, bool $across, ?float $gap = null): Artwork
    {
        $boxes = $this->boxes($artwork, $ids, $gap === null ? 3 : 2);
        $start = fn (Box $box): float => $across ? $box->left : $box->top;
        $length = fn (Box $box): float => $across ? $box->width() : $box->height();
        uasort($boxes, fn (Box $a, Box $b): int => $start($a) + $length($a) / 2 <=> $start($b) + $length($b) / 2);
        $all = self::around($boxes);
        $gap ??= ($length($all) - array_sum(array_map($length, $boxes))) / (count($boxes) - 1);
        $at = $start($all);
        foreach ($boxes as $id => $box) {
            $by = $at - $start($box);
            $artwork = self::moved($artwork, $id, $across ? $by : 0.0, $across ? 0.0 : $by);
            $at += $length($box) + $gap;
        }

        return $artwork;
    }

    /**
     * Puts layers into a group, at the place of the topmost of them.
     *
     * @param  list<string>  $ids
     *
     * @throws ArrangeRefused unless all are in one list
     */
    public function grouped(Artwork $artwork, array $ids, string $as): Artwork
    {
        $layers = self::together($artwork->layers, $ids, $as);
        if ($layers === null) {
            throw ArrangeRefused::apart();
        }

        return $artwork->withLayers($layers);
    }

    /**
     * @param  list<Layer>  $layers
     * @param  list<string>  $ids
     * @return ?list<Layer> null if they are not all in this list or in one nested in it
     */
    private static function together(array $layers, array $ids, string $as): ?array
    {
        $held = array_values(array_filter($layers, fn (Layer $layer): bool => in_array($layer->id, $ids, true)));
        if (count($held) === count($ids)) {
            $group = Layer::group($as, $held);
            $last = $held[count($held) - 1];
            $out = [];
            foreach ($layers as $layer) {
                if ($layer === $last) {
                    $out[] = $group;
                } elseif (! in_array($layer, $held, true)) {
                    $out[] = $layer;
                }
            }

            return $out;
        }
        foreach ($layers as $i => $layer) {
            $inside = $layer->children() === [] ? null : self::together($layer->children(), $ids, $as);
            if ($inside !== null) {
                $layers[$i] = $layer->withSource(new GroupSource($inside));

                return $layers;
            }
        }

        return null;
    }

    /**
     * @param  list<string>  $ids
     * @return non-empty-array<string, Box>
     */
    private function boxes(Artwork $artwork, array $ids, int $least): array
    {
        $boxes = [];
        foreach (array_unique($ids) as $id) {
            $layer = $artwork->layer($id);
            $box = $layer === null ? null : $this->placer->box($layer);
            if ($box !== null) {
                $boxes[$id] = $box;
            }
        }
        if ($boxes === [] || count($boxes) < $least) {
            throw ArrangeRefused::few($least);
        }

        return $boxes;
    }

    /** @param  non-empty-array<string, Box>  $boxes */
    private static function around(array $boxes): Box
    {
        $box = reset($boxes);
        foreach ($boxes as $other) {
            $box = $box->union($other);
        }

        return $box;
    }

    private static function moved(Artwork $artwork, string $id, float $dx, float $dy): Artwork
    {
        $layer = $artwork->layer($id);

        return $layer === null || ($dx == 0.0 && $dy == 0.0) ? $artwork : $artwork->withLayer($id, $layer->moved($dx, $dy));
    }
}
