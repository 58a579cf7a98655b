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
 * Reads a drawing of figures and lines in plain colours.
 *
 * @internal
 *
 * @phpstan-import-type Node from FlatDrawing
 */
final class FlatDrawingReader
{
    /** How a figure looks, wherever it lies. */
    private const LOOKS = ['fill', 'fill-rule', 'fill-opacity', 'opacity', 'color', 'display', 'visibility'];

    /** What says nothing about filled figures, or is told by their outlines. */
    private const BESIDE = [
        'id', 'd', 'points', 'x', 'y', 'x1', 'y1', 'x2', 'y2', 'width', 'height', 'cx', 'cy', 'r', 'rx', 'ry', 'transform', 'viewBox', 'preserveAspectRatio', 'overflow', 'clip-rule', 'stop-color', 'stop-opacity',
        'flood-color', 'flood-opacity', 'lighting-color', 'color-interpolation-filters', 'type',
    ];

    /** Of the chords of strokes so many are bent as fast as one segment: they are cut no further. */
    private const CHORDS = 3;

    /** Segments: each is cut apart as it is bent, into so many pieces at least where it goes across the whole page. */
    private const MOST = 30_000;

    private const PIECES = 16;

    /** In pages: what reaches further beyond is left to the painter. */
    private const FAR = 10.0;

    /** Segments and pieces of them that may come still. */
    private int $left = self::MOST;

    /** What lies beyond it is not drawn; in shares of the page. */
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
     * A page within the page, drawn as one on its own.
     *
     * @return ?Node
     */
    private function page(DOMElement $svg, SvgStroke $stroke, Affine $to): ?array
    {
        [$x, $y, $width, $height] = array_map(fn (string $name): float => self::number($svg, $name), ['x', 'y', 'width', 'height']);
        $box = self::box($svg);
        // One that lies aslant or mirrored, or that keeps its own proportions, is left to the painter.
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
                // Of what is named nowhere nothing is drawn.
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

    /** What the stroke of a figure inks. */
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

    /** Null for more segments than are bent: they are not even read. */
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

    /** Not a number for shares of the page and the like, which are left to the painter. */
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

    /** What of a figure is shown. Null for what has no bounds. */
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
