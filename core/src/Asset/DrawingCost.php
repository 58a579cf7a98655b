<?php

declare(strict_types=1);

namespace TallCrow\Asset;

use DOMElement;

/**
 * What a drawing would cost to draw, in milliseconds of one core for a sheet of 12 × 12 in at 300 ppi, known before a pixel is drawn.
 * The figures were measured with librsvg 2.54 and cairo 1.16 on the build machine (bin/bench lines draws such sheets): a mask or a
 * group that is faded or blended is a whole sheet of pixels of its own; a figure costs the square of how often a line across it
 * meets its edge, since the rasteriser keeps and sorts all edges of a row.
 */
final class DrawingCost
{
    /** What one drawing may cost. */
    public const MOST = 25_000.0;

    private const FIGURE = 0.2;

    private const MASK = 1000.0;

    private const GROUP = 170.0;

    private const CLIP = 7.0;

    private const PRIMITIVE = 400.0;

    private const SLOW_PRIMITIVE = 1500.0;

    private const SLOW = ['feTurbulence', 'feMorphology', 'feConvolveMatrix', 'feDisplacementMap', 'feDiffuseLighting', 'feSpecularLighting'];

    /** Times the square of the edges met by a line across. */
    private const EDGES = 0.038;

    private const EMBEDDED = 50.0;

    /** @var array<string, DOMElement> */
    private array $named = [];

    /** @var array<string, float> */
    private array $known = [];

    /** @var array<string, true> being added up, to find what names itself */
    private array $open = [];

    public static function of(DOMElement $root): float
    {
        $cost = new self;
        $cost->name($root);

        return $cost->element($root);
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

    private function element(DOMElement $element): float
    {
        // Drawn only where they are named.
        if (in_array($element->localName, ['defs', 'symbol', 'mask', 'clipPath', 'pattern', 'marker', 'filter', 'linearGradient', 'radialGradient'], true)) {
            return 0.0;
        }

        return $this->inside($element) + $this->around($element);
    }

    /** What an element's own figure and its children cost. */
    private function inside(DOMElement $element): float
    {
        $cost = match ($element->localName) {
            'path' => self::FIGURE + self::EDGES * PathTravel::of($element->getAttribute('d')) ** 2,
            'polygon', 'polyline' => self::FIGURE + self::EDGES * PathTravel::of('M'.$element->getAttribute('points')) ** 2,
            'use' => $this->target($element->getAttribute('href') ?: $element->getAttributeNS('http://www.w3.org/1999/xlink', 'href')),
            'image' => self::EMBEDDED,
            default => self::FIGURE,
        };
        foreach ($element->childNodes as $child) {
            if ($child instanceof DOMElement && $cost <= self::MOST) {
                $cost += $this->element($child);
            }
        }

        return $cost;
    }

    /** What is done to the whole of an element: masks, clips, filters, fading, patterns and markers on it. */
    private function around(DOMElement $element): float
    {
        $cost = 0.0;
        foreach (['mask' => self::MASK, 'clip-path' => self::CLIP, 'fill' => 0.0, 'stroke' => 0.0] as $attribute => $each) {
            $named = self::reference($element->getAttribute($attribute));
            $cost += $named === null ? 0.0 : $each + $this->target($named);
        }
        foreach (['marker-start' => 1, 'marker-end' => 1, 'marker-mid' => PathTravel::corners($element->getAttribute('d').$element->getAttribute('points'))] as $attribute => $times) {
            $named = self::reference($element->getAttribute($attribute));
            $cost += $named === null ? 0.0 : $times * $this->target($named);
        }
        $filter = self::reference($element->getAttribute('filter'));
        if ($filter !== null) {
            $cost += $this->filter($filter);
        }
        $faded = ($element->hasAttribute('opacity') && (float) $element->getAttribute('opacity') < 1) || str_contains($element->getAttribute('style'), 'mix-blend-mode');

        return $cost + ($faded ? self::GROUP : 0.0);
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

    /** @throws PictureRefused when it names itself */
    private function target(string $named): float
    {
        $id = ltrim($named, '#');
        $element = $this->named[$id] ?? null;
        if ($element === null) {
            return 0.0;
        }
        if (isset($this->open[$id])) {
            throw PictureRefused::drawing(sprintf('its part "%s" is made of itself.', mb_substr($id, 0, 40)));
        }
        if (! isset($this->known[$id])) {
            $this->open[$id] = true;
            $this->known[$id] = $this->inside($element) + $this->around($element);
            unset($this->open[$id]);
        }

        return $this->known[$id];
    }

    private static function reference(string $value): ?string
    {
        return preg_match('/url\(\s*[\'"]?(#[^\'")]+)/', $value, $found) === 1 ? $found[1] : null;
    }
}
