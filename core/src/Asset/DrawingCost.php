<?php

declare(strict_types=1);

namespace TallCrow\Asset;

use DOMElement;
use TallCrow\Geometry\Box;
use TallCrow\Geometry\Cap;

/**
 * What a drawing would cost to draw, in milliseconds of one core for a sheet of 12 × 12 in at 300 ppi, known before a pixel is drawn.
 * The figures were measured with librsvg 2.54 and cairo 1.16 on the build machine: a mask or a group that is faded or blended is a whole
 * sheet of pixels of its own; a figure costs what it covers of the page, by how it is painted, and the square of how often a line across it meets
 * its edge, since the rasteriser keeps and sorts all edges of a row.
 */
final class DrawingCost
{
    /** Highest cost of one SVG. */
    public const MOST = 25_000.0;

    private const FIGURE = 0.2;

    private const MASK = 1000.0;

    private const GROUP = 250.0;

    private const CLIP = 7.0;

    private const PRIMITIVE = 400.0;

    private const SLOW_PRIMITIVE = 1500.0;

    private const SLOW = ['feTurbulence', 'feMorphology', 'feConvolveMatrix', 'feDisplacementMap', 'feDiffuseLighting', 'feSpecularLighting'];

    /** Factor on the square of the number of edges that a scanline crosses. */
    private const EDGES = 0.038;

    private const EMBEDDED = 50.0;

    /** Elements that are only drawn where they are referenced. */
    private const NAMED_ALONE = ['defs', 'symbol', 'mask', 'clipPath', 'pattern', 'marker', 'filter', 'linearGradient', 'radialGradient'];

    /** Filling a whole page with one colour, and with other paints. */
    private const PAINT = 8.0;

    private const PAINTED_BY = ['radialGradient' => 345.0, 'pattern' => 133.0];

    /** A dash with butt caps, and one with round caps. */
    private const DASH = 0.005;

    private const ROUND_DASH = 0.1;

    /** @var array<string, DOMElement> */
    private array $named = [];

    /** @var array<string, PathTravel> by their data */
    private array $travels = [];

    /** @var array<string, true> elements being visited, to detect cycles */
    private array $open = [];

    private float $cost = 0.0;

    /**
     * @param  DOMElement  $root  whose viewBox is its page
     * @return float milliseconds; infinite for absurd coordinates
     */
    public static function of(DOMElement $root): float
    {
        $cost = new self;
        $cost->name($root);
        $cost->add($root, DrawnAs::page($root));

        return is_nan($cost->cost) ? INF : $cost->cost;
    }

    private function name(DOMElement $element): void
    {
        if ($element->hasAttribute('id')) {
            $this->named[$element->getAttribute('id')] ??= $element;
        }
        foreach ($element->childNodes as $child) {
            if ($child instanceof DOMElement) {
                $this->name($child);
            }
        }
    }

    /** Adds the cost of an element's own shape, its children, and group operations on it. */
    private function add(DOMElement $element, DrawnAs $as): void
    {
        // Stop once the limit is exceeded: nested references can multiply without end.
        if (is_nan($this->cost) || $this->cost > self::MOST) {
            return;
        }
        $this->cost += match ($element->localName) {
            'path' => $this->figure($element->getAttribute('d'), $as),
            'polygon', 'polyline' => $this->figure('M'.$element->getAttribute('points'), $as),
            'line', 'rect', 'circle', 'ellipse' => self::FIGURE + $this->painted(self::box($element), null, $as),
            'image' => self::EMBEDDED,
            default => self::FIGURE,
        };
        if ($element->localName === 'use') {
            $this->target($element->getAttribute('href') ?: $element->getAttributeNS('http://www.w3.org/1999/xlink', 'href'), $as, use: $element);
        }
        foreach ($element->childNodes as $child) {
            if ($child instanceof DOMElement && ! in_array($child->localName, self::NAMED_ALONE, true)) {
                $this->add($child, $as->within($child));
            }
        }
        $this->around($element, $as);
    }

    private function figure(string $d, DrawnAs $as): float
    {
        $travel = $this->travels[$d] ??= PathTravel::of($d);

        return self::FIGURE + self::EDGES * $travel->times() ** 2 + $this->painted($travel->box, $travel->across + $travel->down, $as);
    }

    /** The bounding box of a basic shape. */
    private static function box(DOMElement $element): Box
    {
        [$x, $y, $width, $height, $cx, $cy, $r, $x1, $y1, $x2, $y2] = array_map(
            fn (string $name): float => (float) $element->getAttribute($name),
            ['x', 'y', 'width', 'height', 'cx', 'cy', 'r', 'x1', 'y1', 'x2', 'y2'],
        );
        [$rx, $ry] = $element->localName === 'circle' ? [$r, $r] : [(float) $element->getAttribute('rx'), (float) $element->getAttribute('ry')];

        return match ($element->localName) {
            'line' => new Box(min($x1, $x2), min($y1, $y2), max($x1, $x2), max($y1, $y2)),
            'rect' => new Box($x, $y, $x + $width, $y + $height),
            default => new Box($cx - $rx, $cy - $ry, $cx + $rx, $cy + $ry),
        };
    }

    /** The cost of painting a shape's fill and stroke. */
    private function painted(?Box $box, ?float $length, DrawnAs $as): float
    {
        // Negative sizes are not drawn.
        if ($box === null || $box->width() < 0 || $box->height() < 0) {
            return 0.0;
        }
        $length ??= 2 * ($box->width() + $box->height());
        $cost = $as->fill === 'none' ? 0.0 : $as->share($box) * $this->rate($as->fill);
        $stroke = $as->stroke;
        if ($stroke->isSeen()) {
            $around = $as->share($box->grown($stroke->stroke->width / 2));
            $cost += min($around, $as->shareOf($length * $stroke->stroke->width)) * $this->rate($stroke->colour);
            $period = array_sum($stroke->stroke->dashes);
            $cost += $period > 0 ? $length / $period * count($stroke->stroke->dashes) / 2 * ($stroke->stroke->cap === Cap::Round ? self::ROUND_DASH : self::DASH) : 0.0;
        }

        return $cost;
    }

    private function rate(string $paint): float
    {
        $element = $this->named[ltrim(self::reference($paint) ?? '', '#')] ?? null;

        return self::PAINTED_BY[$element->localName ?? ''] ?? self::PAINT;
    }

    /** Masks, clips, filters, fading, patterns and markers on an element. */
    private function around(DOMElement $element, DrawnAs $as): void
    {
        foreach (['mask' => self::MASK, 'clip-path' => self::CLIP, 'fill' => 0.0, 'stroke' => 0.0] as $attribute => $each) {
            $named = self::reference($element->getAttribute($attribute));
            if ($named !== null) {
                $this->cost += $each;
                $this->target($named, $as);
            }
        }
        foreach (['marker-start' => 1, 'marker-end' => 1, 'marker-mid' => PathTravel::corners($element->getAttribute('d').$element->getAttribute('points'))] as $attribute => $times) {
            $named = self::reference($element->getAttribute($attribute));
            if ($named !== null) {
                $this->target($named, $as, $times);
            }
        }
        $filter = self::reference($element->getAttribute('filter'));
        $faded = ($element->hasAttribute('opacity') && (float) $element->getAttribute('opacity') < 1) || str_contains($element->getAttribute('style'), 'mix-blend-mode');
        $this->cost += ($filter === null ? 0.0 : $this->filter($filter)) + ($faded ? self::GROUP : 0.0);
    }

    private function filter(string $named): float
    {
        $cost = 0.0;
        $element = $this->named[ltrim($named, '#')] ?? null;
        foreach ($element === null ? [] : $element->childNodes as $primitive) {
            $cost += $primitive instanceof DOMElement ? (in_array($primitive->localName, self::SLOW, true) ? self::SLOW_PRIMITIVE : self::PRIMITIVE) : 0.0;
        }

        return $cost;
    }

    /**
     * @param  int  $times  how often it is drawn
     *
     * @throws PictureRefused when it references itself
     */
    private function target(string $named, DrawnAs $as, int $times = 1, ?DOMElement $use = null): void
    {
        $id = ltrim($named, '#');
        $element = $this->named[$id] ?? null;
        if ($element === null) {
            return;
        }
        if (isset($this->open[$id])) {
            throw PictureRefused::drawing(sprintf('its part "%s" is made of itself.', mb_substr($id, 0, 40)));
        }
        $before = $this->cost;
        $this->open[$id] = true;
        $this->add($element, $as->within($element, $use));
        unset($this->open[$id]);
        $this->cost += ($times - 1) * ($this->cost - $before);
    }

    private static function reference(string $value): ?string
    {
        return preg_match('/url\(\s*[\'"]?(#[^\'")]+)/', $value, $found) === 1 ? $found[1] : null;
    }
}
