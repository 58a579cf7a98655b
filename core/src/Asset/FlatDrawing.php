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
 * A drawing of figures and lines in plain colours alone, as most clip art is: its outlines can be bent as those of letters are.
 *
 * @phpstan-type Node array{attributes: string, path: Path, children: list<mixed>}
 */
final readonly class FlatDrawing
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

    /** @param  Node  $root  outlines in shares of the page, its middle at 0 */
    private function __construct(private array $root) {}

    /**
     * Null for a drawing that holds anything else: gradients, clips, masks, filters, pictures, clones.
     *
     * @param  float  $tolerance  a share of the page by which the edge of a stroke may be off
     */
    public static function of(string $markup, float $tolerance): ?self
    {
        $document = new \DOMDocument;
        if (str_contains($markup, 'url(') || ! @$document->loadXML($markup, LIBXML_NONET) || $document->documentElement === null) {
            return null;
        }
        $root = $document->documentElement;
        $box = array_map(floatval(...), preg_split('/[\s,]+/', trim($root->getAttribute('viewBox'))) ?: []);
        if (count($box) !== 4 || $box[2] <= 0 || $box[3] <= 0 || $root->hasAttribute('transform') || ! in_array($root->getAttribute('overflow'), ['', 'hidden', 'scroll'], true)) {
            return null;
        }
        $left = self::MOST;
        $node = self::node($root, SvgStroke::plain(), $tolerance, Affine::shift(-$box[0] - $box[2] / 2, -$box[1] - $box[3] / 2)->then(Affine::scale(1 / $box[2], 1 / $box[3])), $left, true);

        return $node === null ? null : new self($node);
    }

    /**
     * Its figures as the map bends them: what may stand in a drawing whose unit is that of the map.
     *
     * @param  callable(float, float): array{float, float}  $map  from shares of the page, its middle at 0
     * @param  float  $tolerance  by which a curve may be off, in that unit
     * @param  float  $longest  a share of the page: see Path::mapped
     */
    public function mapped(callable $map, float $tolerance, float $longest): string
    {
        return self::written($this->root, $map, $tolerance, $longest);
    }

    /**
     * @param  Node  $node
     * @param  callable(float, float): array{float, float}  $map
     */
    private static function written(array $node, callable $map, float $tolerance, float $longest): string
    {
        if (! $node['path']->isEmpty()) {
            return sprintf('<path%s d="%s"/>', $node['attributes'], $node['path']->mapped($map, $tolerance, $longest)->toSvg(6));
        }
        $inside = '';
        foreach ($node['children'] as $child) {
            /** @var Node $child */
            $inside .= self::written($child, $map, $tolerance, $longest);
        }

        return "<g{$node['attributes']}>$inside</g>";
    }

    /**
     * @param  int  $left  segments and pieces of them that may come still
     * @return ?Node
     */
    private static function node(DOMElement $element, SvgStroke $stroke, float $tolerance, Affine $to, int &$left, bool $isRoot = false): ?array
    {
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
        if ($isRoot || $element->localName === 'g') {
            foreach ($element->childNodes as $child) {
                // Of what is named nowhere nothing is drawn.
                if (! $child instanceof DOMElement || in_array($child->localName, ['title', 'desc', 'defs'], true)) {
                    continue;
                }
                $node = self::node($child, $stroke, $tolerance, $to, $left);
                if ($node === null) {
                    return null;
                }
                $children[] = $node;
            }
        } else {
            $path = self::onPage(self::figure($element)?->transformed($to), $tolerance);
            if ($path === null || ($left -= self::pieces($path)) < 0) {
                return null;
            }
            if ($stroke->isSeen()) {
                $line = self::line($element, $stroke, $tolerance, $to, $left);
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

    /**
     * What the stroke of a figure inks.
     *
     * @param  int  $left  segments that may come still
     */
    private static function line(DOMElement $element, SvgStroke $stroke, float $tolerance, Affine $to, int &$left): ?Path
    {
        $scale = $to->factor();
        if ($scale <= 0 || ! is_finite($scale)) {
            return null;
        }
        $path = self::figure($element, true);
        $line = $path === null ? null : self::onPage(Stroking::outline($path, $stroke->stroke, $tolerance / $scale, self::CHORDS * $left)?->transformed($to), $tolerance);
        $left -= $line === null ? 0 : intdiv(self::pieces($line), self::CHORDS);

        return $left < 0 ? null : $line;
    }

    private static function figure(DOMElement $element, bool $isStroked = false): ?Path
    {
        $number = function (string $name) use ($element): float {
            $told = $element->getAttribute($name);

            // Shares of the page and the like are left to the painter.
            return $told === '' ? 0.0 : (is_numeric($told) ? (float) $told : NAN);
        };
        [$x, $y, $width, $height, $cx, $cy, $r, $rx, $ry] = array_map($number, ['x', 'y', 'width', 'height', 'cx', 'cy', 'r', 'rx', 'ry']);
        [$x1, $y1, $x2, $y2] = array_map($number, ['x1', 'y1', 'x2', 'y2']);
        if (is_nan($x + $y + $width + $height + $cx + $cy + $r + $rx + $ry + $x1 + $y1 + $x2 + $y2) || min($width, $height, $r, $rx, $ry) < 0) {
            return null;
        }

        return match ($element->localName) {
            'path' => SvgPath::read($element->getAttribute('d'), $isStroked),
            'polygon' => SvgPath::read('M'.$element->getAttribute('points')),
            'polyline' => SvgPath::read('M'.$element->getAttribute('points'), $isStroked),
            'line' => new Path([['M', $x1, $y1], ['L', $x2, $y2]]),
            'circle' => $r > 0 ? Outline::ellipse(2 * $r, 2 * $r)->transformed(Affine::shift($cx, $cy)) : Path::empty(),
            'ellipse' => $rx > 0 && $ry > 0 ? Outline::ellipse(2 * $rx, 2 * $ry)->transformed(Affine::shift($cx, $cy)) : null,
            'rect' => $width > 0 && $height > 0 ? self::rectangle($x, $y, $width, $height, $element->hasAttribute('rx') ? $rx : $ry, $element->hasAttribute('ry') ? $ry : $rx) : Path::empty(),
            default => null,
        };
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

    /** What lies beyond the page is not drawn. Null for what has no bounds. */
    private static function onPage(?Path $path, float $tolerance): ?Path
    {
        if ($path === null || $path->isEmpty()) {
            return $path;
        }
        try {
            $box = $path->bounds();
        } catch (NothingToMeasure) {
            return null;
        }
        $beyond = max(-$box->left, $box->right, -$box->top, $box->bottom) - 0.5;

        return match (true) {
            ! ($beyond <= self::FAR) => null,
            $beyond <= 0 => $path,
            default => Clipping::toBox($path, new Box(-0.5, -0.5, 0.5, 0.5), $tolerance),
        };
    }
}
