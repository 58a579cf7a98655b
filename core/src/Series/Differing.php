<?php

declare(strict_types=1);

namespace TallCrow\Series;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Export\BandedPng;
use TallCrow\Render\Frame;
use TallCrow\Render\Placer;
use TallCrow\Texture\Catalogue;
use TallCrow\Texture\Wear;

/** Finds where the rows of a series differ from their pattern: only these parts of the sheet are drawn again. */
final class Differing
{
    /** Inches around changed ink that may change with it; the second value applies if wear follows the edges of the ink. */
    private const REACH = 0.05;

    private const WORN = 0.35;

    /** @var list<array{float, float}> top and bottom of each changed span, inches */
    private array $spans = [];

    private bool $everywhere = false;

    public function __construct(
        private readonly Artwork $pattern,
        private readonly Placer $placer,
    ) {}

    public function add(Artwork $row): void
    {
        // A change outside the layers (the sheet's wear, its colours) can show anywhere.
        $this->everywhere = $this->everywhere || $row->withLayers([])->withBrief('', $this->pattern->brief) != $this->pattern->withLayers([])->withBrief('', $this->pattern->brief) || count($row->layers) !== count($this->pattern->layers);
        foreach ($this->everywhere ? [] : $row->layers as $i => $layer) {
            $was = $this->pattern->layers[$i];
            if ($layer != $was) {
                $this->reach($layer);
                $this->reach($was);
            }
        }
    }

    /**
     * Bands of the sheet, in its full width and from top to bottom, in which any row of the series differs; empty if none does.
     *
     * @return list<Frame>
     */
    public function windows(Frame $sheet): array
    {
        if ($this->everywhere) {
            return [$sheet];
        }
        $step = BandedPng::ROWS;
        $spans = array_map(fn (array $span): array => [max(0, $step * (int) floor($span[0] * $sheet->ppi / $step)), min($sheet->height, $step * (int) ceil($span[1] * $sheet->ppi / $step))], $this->spans);
        sort($spans);
        $windows = [];
        foreach ($spans as [$top, $bottom]) {
            $last = end($windows);
            if ($last !== false && $top <= $last[1]) {
                $windows[count($windows) - 1][1] = max($last[1], $bottom);
            } elseif ($bottom > $top) {
                $windows[] = [$top, $bottom];
            }
        }

        return array_map(fn (array $window): Frame => new Frame($sheet->ppi, 0, $window[0], $sheet->width, $window[1] - $window[0]), array_values($windows));
    }

    private function chips(): bool
    {
        return array_filter($this->pattern->distress, fn (Wear $wear): bool => $wear->on && ! $wear->isPicture() && Catalogue::classes()[$wear->texture]::followsEdges()) !== [];
    }

    private function reach(Layer $layer): void
    {
        $box = $this->placer->reach($layer)?->grown(($this->chips() ? self::WORN : self::REACH) + 4 * $layer->role->gap);
        // Rows of a series usually change the same area: a box within a known span adds nothing.
        $known = $box === null || array_filter($this->spans, fn (array $span): bool => $span[0] <= $box->top && $span[1] >= $box->bottom) !== [];
        if (! $known) {
            $this->spans[] = [$box->top, $box->bottom];
        }
    }
}
