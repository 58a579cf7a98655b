<?php

declare(strict_types=1);

namespace TallCrow\Asset;

use DOMElement;
use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Box;
use TallCrow\Geometry\Clipping;
use TallCrow\Geometry\NothingToMeasure;
use TallCrow\Geometry\Outline;
use TallCrow\Geometry\Path;
use TallCrow\Geometry\Stroking;

/**
 * Reads an SVG of shapes in plain colours.
 *
 * @internal
 *
 * @phpstan-import-type Node from FlatDrawing
 */
final class FlatDrawingReader
{
    /** Presentation attributes that are kept. */
    private const LOOKS = ['fill', 'fill-rule', 'fill-opacity', 'opacity', 'color', 'display', 'visibility'];

    /** Attributes without effect on filled shapes, or accounted for in the outlines. */
    private const BESIDE = [
        'id', 'd', 'points', 'x', 'y', 'x1', 'y1', 'x2', 'y2', 'width', 'height', 'cx', 'cy', 'r', 'rx', 'ry', 'transform', 'viewBox', 'preserveAspectRatio', 'overflow', 'clip-rule', 'stop-color', 'stop-opacity',
        'flood-color', 'flood-opacity', 'lighting-color', 'color-interpolation-filters', 'type',
    ];

    /** Chords of strokes count as this fraction of a segment, since they are not subdivided. */
    private const CHORDS = 3;

    /** Most segments; each one is subdivided for bending, more the longer it is. */
    private const MOST = 30_000;

    private const PIECES = 16;

    /** Shapes that extend further beyond the page, in pages, are not bent as outlines. */
    private const FAR = 10.0;

    /** Remaining budget of segments. */
    private int $left = self::MOST;

    /** The visible area in shares of the page; null: everything. */
    private ?Box $shown = null;

    /** @param  float  $tolerance  a share of the page by which the edge of a stroke may be off */
    private function __construct(private readonly float $tolerance) {}

    /** @return ?Node outlines in shares of the page, its middle at 0 */
    public static function read(string $markup, float $tolerance): ?array
    {
        $document = new \DOMDocument;
        if (str_contains($markup, 'url(') || ! @$document->loadXML($markup, LIBXML_NONET) || $document->documentElement === null) {
            return null;
        }
        $root = $document->documentElement;
        $box = self::box($root);
        if ($box === null || $root->hasAttribute('transform')) {
            return null;
        }
        $to = Affine::shift(-$box->centreX(), -$box->centreY())->then(Affine::scale(1 / $box->width(), 1 / $box->height()));
        $reader = new self($tolerance);
        $reader->shown = self::isOpen($root) ? null : new Box(-0.5, -0.5, 0.5, 0.5);

        return $reader->node($root, SvgStroke::plain(), $to, true);
    }

    private static function box(DOMElement $svg): ?Box
    {
        $box = SvgViewBox::read($svg->getAttribute('viewBox'));

        return $box !== null ? new Box($box[0], $box[1], $box[0] + $box[2], $box[1] + $box[3]) : null;
    }

    private static function isOpen(DOMElement $svg): bool
    {
        return in_array($svg->getAttribute('overflow'), ['visible', 'auto'], true);
    }

    /**
     * A nested svg element.
     *
     * @return ?Node
     */
    private function page(DOMElement $svg, SvgStroke $stroke, Affine $to): ?array
    {
        [$x, $y, $width, $height] = array_map(fn (string $name): float => self::number($svg, $name), ['x', 'y', 'width', 'height']);
        $box = self::box($svg);
        // Rotated, mirrored or aspect-preserving nested pages are not supported here.
        if ($box === null || $svg->getAttribute('preserveAspectRatio') !== 'none' || is_nan($x + $y + $width + $height) || $width <= 0 || $height <= 0 || $svg->hasAttribute('transform') || $to->b !== 0.0 || $to->c !== 0.0 || $to->a <= 0 || $to->d <= 0) {
            return null;
        }
        [$corner, $opposite] = [$to->apply($x, $y), $to->apply($x + $width, $y + $height)];
        $outer = $this->shown;
        if (! self::isOpen($svg)) {
            $shown = new Box(...$corner, ...$opposite);
            $this->shown = $outer?->intersection($shown) ?? $shown;
        }
        $node = $this->node($svg, $stroke, Affine::shift(-$box->left, -$box->top)->then(Affine::scale($width / $box->width(), $height / $box->height()))->then(Affine::shift($x, $y))->then($to), true);
        $this->shown = $outer;

        return $node;
    }

    /** @return ?Node */
    private function node(DOMElement $element, SvgStroke $stroke, Affine $to, bool $isPage = false): ?array
    {
        if ($element->localName === 'svg' && ! $isPage) {
            return $this->page($element, $stroke, $to);
        }
        $stroke = $stroke->of($element);
        $attributes = '';
        foreach ($element->attributes as $attribute) {
            [$name, $value] = [(string) $attribute->localName, trim((string) $attribute->nodeValue)];
            if (in_array($name, self::LOOKS, true)) {
                $attributes .= sprintf(' %s="%s"', $name, htmlspecialchars($value, ENT_QUOTES | ENT_XML1));
            } elseif (! in_array($name, SvgStroke::ATTRIBUTES, true) && ! in_array($name, self::BESIDE, true)) {
                return null;
            }
        }
        $by = SvgTransform::read($element->getAttribute('transform'));
        if ($by === null || $stroke === null) {
            return null;
        }
        $to = $by->then($to);
        $path = Path::empty();
        $children = [];
        if ($isPage || $element->localName === 'g') {
            foreach ($element->childNodes as $child) {
                // These draw nothing by themselves.
                if (! $child instanceof DOMElement || in_array($child->localName, ['title', 'desc', 'defs'], true)) {
                    continue;
                }
                $node = $this->node($child, $stroke, $to);
                if ($node === null) {
                    return null;
                }
                $children[] = $node;
            }
        } else {
            $path = $this->shownOf(self::figure($element)?->transformed($to));
            if ($path === null || ($this->left -= self::pieces($path)) < 0) {
                return null;
            }
            if ($stroke->isSeen()) {
                $line = $this->line($element, $stroke, $to);
                if ($line === null) {
                    return null;
                }
                $figure = ['attributes' => '', 'path' => $path, 'children' => []];
                $line = ['attributes' => $stroke->attributes(), 'path' => $line, 'children' => []];
                [$path, $children] = [Path::empty(), $stroke->isBelow ? [$line, $figure] : [$figure, $line]];
            }
        }

        return ['attributes' => $attributes, 'path' => $path, 'children' => $children];
    }

    /** The outline of a shape's stroke. */
    private function line(DOMElement $element, SvgStroke $stroke, Affine $to): ?Path
    {
        $scale = $to->factor();
        if ($scale <= 0 || ! is_finite($scale)) {
            return null;
        }
        $path = self::figure($element, true);
        $line = $path === null ? null : $this->shownOf(Stroking::outline($path, $stroke->stroke, $this->tolerance / $scale, self::CHORDS * $this->left)?->transformed($to));
        $this->left -= $line === null ? 0 : intdiv(self::pieces($line), self::CHORDS);

        return $this->left < 0 ? null : $line;
    }

    private static function figure(DOMElement $element, bool $isStroked = false): ?Path
    {
        $number = fn (string $name): float => self::number($element, $name);
        [$x, $y, $width, $height, $cx, $cy, $r, $rx, $ry] = array_map($number, ['x', 'y', 'width', 'height', 'cx', 'cy', 'r', 'rx', 'ry']);
        [$x1, $y1, $x2, $y2] = array_map($number, ['x1', 'y1', 'x2', 'y2']);
        if (is_nan($x + $y + $width + $height + $cx + $cy + $r + $rx + $ry + $x1 + $y1 + $x2 + $y2) || min($width, $height, $r, $rx, $ry) < 0) {
            return null;
        }

        return match ($element->localName) {
            'path' => self::outline($element->getAttribute('d'), $isStroked),
            'polygon' => self::outline('M'.$element->getAttribute('points'), false),
            'polyline' => self::outline('M'.$element->getAttribute('points'), $isStroked),
            'line' => new Path([['M', $x1, $y1], ['L', $x2, $y2]]),
            'circle' => $r > 0 ? Outline::ellipse(2 * $r, 2 * $r)->transformed(Affine::shift($cx, $cy)) : Path::empty(),
            'ellipse' => $rx > 0 && $ry > 0 ? Outline::ellipse(2 * $rx, 2 * $ry)->transformed(Affine::shift($cx, $cy)) : null,
            'rect' => $width > 0 && $height > 0 ? self::rectangle($x, $y, $width, $height, $element->hasAttribute('rx') ? $rx : $ry, $element->hasAttribute('ry') ? $ry : $rx) : Path::empty(),
            default => null,
        };
    }

    /** Null if there are more segments than are bent; reading stops then. */
    private static function outline(string $d, bool $isStroked): ?Path
    {
        $segments = [];
        foreach (SvgPath::segments($d, $isStroked) as $segment) {
            $segments[] = $segment;
            if (count($segments) > self::MOST) {
                return null;
            }
        }

        return new Path($segments);
    }

    /** NAN for percentages and the like, which are not supported here. */
    private static function number(DOMElement $element, string $name): float
    {
        $told = $element->getAttribute($name);

        return $told === '' ? 0.0 : (is_numeric($told) ? (float) $told : NAN);
    }

    private static function rectangle(float $x, float $y, float $width, float $height, float $rx, float $ry): Path
    {
        [$rx, $ry] = [min($rx, $width / 2), min($ry, $height / 2)];
        [$right, $bottom] = [$x + $width, $y + $height];
        $corner = fn (float $toX, float $toY): string => "A$rx $ry 0 0 1 $toX $toY";

        return SvgPath::read($rx <= 0 || $ry <= 0 ? "M$x {$y}H{$right}V{$bottom}H{$x}Z" : sprintf(
            'M%s %sH%s%sV%s%sH%s%sV%s%sZ',
            $x + $rx, $y, $right - $rx, $corner($right, $y + $ry), $bottom - $ry, $corner($right - $rx, $bottom), $x + $rx, $corner($x, $bottom - $ry), $y + $ry, $corner($x + $rx, $y),
        ));
    }

    private static function pieces(Path $path): int
    {
        [$pieces, $fromX, $fromY] = [0.0, 0.0, 0.0];
        foreach ($path->segments as $segment) {
            [$x, $y] = $segment[0] === 'Z' ? [$fromX, $fromY] : Path::end($segment);
            $pieces += 1 + ($segment[0] === 'M' ? 0.0 : self::PIECES * min(1.0, max(abs($x - $fromX), abs($y - $fromY))));
            [$fromX, $fromY] = [$x, $y];
        }

        return (int) $pieces;
    }

    /** The visible part of a shape's box; null if it is empty. */
    private function shownOf(?Path $path): ?Path
    {
        if ($path === null || $path->isEmpty()) {
            return $path;
        }
        try {
            $box = $path->bounds();
        } catch (NothingToMeasure) {
            return null;
        }

        return match (true) {
            ! is_finite($box->left + $box->right + $box->top + $box->bottom) || max(-$box->left, $box->right, -$box->top, $box->bottom) > self::FAR => null,
            $this->shown === null || $this->shown->union($box) == $this->shown => $path,
            default => Clipping::toBox($path, $this->shown, $this->tolerance),
        };
    }
}
