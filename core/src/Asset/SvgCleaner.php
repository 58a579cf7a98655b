<?php

declare(strict_types=1);

namespace TallCrow\Asset;

use DOMElement;

/**
 * Keeps of an SVG only what is named here: figures, paint servers, clips, masks, filters, and pictures that lie within it. Style sheets
 * are laid on the elements that they name. Scripts, text (whose fonts are not the seller's), links, animation and every reference out
 * of the file go, and what the seller would miss is told. What would cost too much to draw is refused.
 */
final class SvgCleaner
{
    private const SVG = 'http://www.w3.org/2000/svg';

    private const XLINK = 'http://www.w3.org/1999/xlink';

    private const ELEMENTS = [
        'svg', 'g', 'defs', 'symbol', 'use', 'title', 'desc', 'path', 'rect', 'circle', 'ellipse', 'line', 'polyline', 'polygon', 'image', 'switch',
        'linearGradient', 'radialGradient', 'stop', 'pattern', 'clipPath', 'mask', 'marker', 'filter', 'feBlend', 'feColorMatrix', 'feComponentTransfer',
        'feComposite', 'feConvolveMatrix', 'feDiffuseLighting', 'feDisplacementMap', 'feDistantLight', 'feDropShadow', 'feFlood', 'feFuncA', 'feFuncB',
        'feFuncG', 'feFuncR', 'feGaussianBlur', 'feMerge', 'feMergeNode', 'feMorphology', 'feOffset', 'fePointLight', 'feSpecularLighting', 'feSpotLight',
        'feTile', 'feTurbulence',
    ];

    private const ATTRIBUTES = [
        'id', 'viewBox', 'width', 'height', 'x', 'y', 'x1', 'y1', 'x2', 'y2', 'cx', 'cy', 'r', 'rx', 'ry', 'fx', 'fy', 'fr', 'd', 'points',
        'transform', 'fill', 'fill-rule', 'fill-opacity', 'stroke', 'stroke-width', 'stroke-linecap', 'stroke-linejoin',
        'stroke-miterlimit', 'stroke-dasharray', 'stroke-dashoffset', 'stroke-opacity', 'opacity', 'color', 'clip-path', 'clip-rule',
        'mask', 'mask-type', 'offset', 'stop-color', 'stop-opacity', 'gradientUnits', 'gradientTransform', 'spreadMethod', 'patternUnits',
        'patternContentUnits', 'patternTransform', 'clipPathUnits', 'maskUnits', 'maskContentUnits', 'preserveAspectRatio', 'display', 'overflow',
        'visibility', 'href', 'marker-start', 'marker-mid', 'marker-end', 'markerWidth', 'markerHeight', 'markerUnits', 'refX', 'refY', 'orient', 'paint-order',
        'shape-rendering', 'vector-effect', 'filter', 'filterUnits', 'primitiveUnits', 'in', 'in2', 'result', 'mode', 'type', 'values', 'operator', 'k1', 'k2', 'k3', 'k4',
        'order', 'kernelMatrix', 'divisor', 'bias', 'targetX', 'targetY', 'edgeMode', 'preserveAlpha', 'surfaceScale', 'diffuseConstant', 'scale',
        'xChannelSelector', 'yChannelSelector', 'azimuth', 'elevation', 'dx', 'dy', 'stdDeviation', 'flood-color', 'flood-opacity', 'tableValues', 'slope',
        'intercept', 'amplitude', 'exponent', 'radius', 'z', 'specularConstant', 'specularExponent', 'pointsAtX', 'pointsAtY', 'pointsAtZ', 'limitingConeAngle',
        'baseFrequency', 'numOctaves', 'seed', 'stitchTiles', 'lighting-color', 'color-interpolation-filters',
    ];

    /** Kept as a style, since they are no attributes. */
    private const STYLES = ['mix-blend-mode', 'isolation'];

    /** What a seller would miss on the print, by the element that is left out. */
    private const MISSED = [
        'text' => 'words that are not outlines: turn them into paths in the drawing program', 'foreignObject' => 'a web page within the drawing',
        'animate' => 'movement', 'animateTransform' => 'movement', 'animateMotion' => 'movement', 'set' => 'movement', 'feImage' => 'a filter that reads a picture',
        'meshgradient' => 'a mesh gradient', 'hatch' => 'a hatch', 'video' => 'a film',
    ];

    /** By which a page and its view box may differ in shape and still be the same, through rounded lengths. */
    private const SAME_SHAPE = 0.002;

    private const MOST_NODES = 60_000;

    private const MOST_DEPTH = 60;

    /** Of what multiplies work pixel by pixel. */
    private const BOUNDS = ['numOctaves' => 8.0, 'order' => 9.0];

    private int $nodes = 0;

    /** @var array<string, true> */
    private array $leftOut = [];

    /** @var array<string, true> by id */
    private array $gradients = [];

    private function __construct(private readonly SvgStyles $styles) {}

    /** @throws PictureRefused */
    public static function clean(string $svg): CleanSvg
    {
        $root = SvgSource::read($svg);
        [$width, $height] = self::size($root);
        $sheets = '';
        foreach (iterator_to_array($root->getElementsByTagNameNS('*', 'style')) as $sheet) {
            $sheets .= $sheet->textContent."\n";
        }
        $cleaner = new self(new SvgStyles($sheets));
        foreach (['linearGradient', 'radialGradient'] as $kind) {
            foreach ($root->getElementsByTagNameNS('*', $kind) as $gradient) {
                $cleaner->gradients[$gradient->getAttribute('id')] = true;
            }
        }
        if ($cleaner->styles->partly) {
            $cleaner->leftOut['rules of its style sheet that choose by more than element, class and id'] = true;
        }
        $cleaner->walk($root, 0);
        self::framed($root, $width, $height);
        $root = $root->ownerDocument->documentElement ?? $root;
        $cost = DrawingCost::of($root);
        if (is_infinite($cost)) {
            throw PictureRefused::drawing('a figure in it has numbers beyond all bounds, such as 1e999. Take that figure out, or save it as a PNG picture.');
        }
        if ($cost > DrawingCost::MOST) {
            throw PictureRefused::drawing('it would take too long to draw: masks or clones within one another, blurs, large gradients and patterns by the dozen, dashes by the hundred thousand, or lines that cross thousands of times. Simplify it, or save it as a PNG picture.');
        }

        return new CleanSvg(self::markup($root), $width, $height, array_keys($cleaner->leftOut));
    }

    /** As text whose elements have no prefix, whatever the drawing called their name space. */
    private static function markup(DOMElement $root): string
    {
        $into = new \DOMDocument;

        return (string) $into->saveXML($into->appendChild(self::unprefixed($root, $into)));
    }

    private static function unprefixed(DOMElement $element, \DOMDocument $into): DOMElement
    {
        $own = $into->createElementNS(self::SVG, (string) $element->localName);
        foreach ($element->attributes as $attribute) {
            $own->setAttributeNS($attribute->namespaceURI, $attribute->nodeName, (string) $attribute->nodeValue);
        }
        foreach ($element->childNodes as $child) {
            $own->appendChild($child instanceof DOMElement ? self::unprefixed($child, $into) : $into->importNode($child));
        }

        return $own;
    }

    private function walk(DOMElement $element, int $depth): void
    {
        if (++$this->nodes > self::MOST_NODES || $depth > self::MOST_DEPTH) {
            throw PictureRefused::drawing('it has too many parts. Simplify it.');
        }
        $this->styled($element);
        foreach (iterator_to_array($element->attributes) as $attribute) {
            $name = (string) $attribute->localName;
            $value = (string) $attribute->nodeValue;
            $known = in_array($name, self::ATTRIBUTES, true) && in_array($attribute->namespaceURI, [null, '', self::XLINK], true);
            $kept = ($known && self::staysInside($element, $name, $value)) || ($name === 'style' && $attribute->namespaceURI === null);
            if (! $kept || (isset(self::BOUNDS[$name]) && (float) $value > self::BOUNDS[$name])) {
                $element->removeAttributeNode($attribute);
            } elseif (($plain = SvgLengths::plain($name, $value)) !== $value) {
                $attribute->nodeValue = $plain;
            }
        }
        $this->fadedFigure($element);
        foreach (iterator_to_array($element->childNodes) as $child) {
            if (! $child instanceof DOMElement) {
                $child->nodeType === XML_TEXT_NODE || $element->removeChild($child);
            } elseif ($this->isKept($child)) {
                $this->walk($child, $depth + 1);
            } else {
                $element->removeChild($child);
            }
        }
    }

    /** A link around figures is a group of them. */
    private function isKept(DOMElement &$child): bool
    {
        $name = (string) $child->localName;
        if (! in_array($child->namespaceURI, [null, '', self::SVG], true)) {
            return false;
        }
        if ($name === 'a') {
            $child = self::asGroup($child);

            return true;
        }
        if (! in_array($name, self::ELEMENTS, true)) {
            // What a switch offers to one program, and offers otherwise to all others, is not missed.
            $isExtra = $child->hasAttribute('requiredExtensions') && $child->parentNode?->localName === 'switch';
            if (isset(self::MISSED[$name]) && ! $isExtra && ($name !== 'text' || trim($child->textContent) !== '')) {
                $this->leftOut[self::MISSED[$name]] = true;
            }

            return false;
        }
        if ($name === 'image' && EmbeddedPicture::kept(self::link($child)) === null) {
            $this->leftOut['a picture that lies outside the file, or is none that can be read'] = true;

            return false;
        }

        return true;
    }

    private static function asGroup(DOMElement $link): DOMElement
    {
        $group = $link->ownerDocument?->createElementNS(self::SVG, 'g') ?: throw PictureRefused::drawing('it cannot be read.');
        foreach (iterator_to_array($link->attributes) as $attribute) {
            if ($attribute->namespaceURI === null && $attribute->localName !== 'href') {
                $group->setAttribute($attribute->nodeName, (string) $attribute->nodeValue);
            }
        }
        while ($link->firstChild !== null) {
            $group->appendChild($link->firstChild);
        }
        $link->parentNode?->replaceChild($group, $link);

        return $group;
    }

    /** Lays what style sheets and the element's own style declare on it as attributes, which are then checked like all others. */
    private function styled(DOMElement $element): void
    {
        $declared = array_merge($this->styles->of($element), SvgStyles::declarations($element->getAttribute('style')));
        $element->removeAttribute('style');
        $style = '';
        foreach ($declared as $name => $value) {
            if (in_array($name, self::STYLES, true) && preg_match('/^[a-z-]+$/', $value) === 1) {
                $style .= "$name:$value;";
            } elseif (in_array($name, self::ATTRIBUTES, true)) {
                $element->setAttribute($name, $value);
            }
        }
        $style === '' || $element->setAttribute('style', $style);
    }

    /** A figure that is only filled fades by its fill: the same picture, without a sheet of pixels of its own. */
    private function fadedFigure(DOMElement $element): void
    {
        $opacity = $element->getAttribute('opacity');
        if (! is_numeric($opacity) || ! in_array($element->localName, ['path', 'rect', 'circle', 'ellipse', 'polygon', 'polyline', 'line'], true) || self::hasMarkers($element) || self::isTemplate($element)) {
            return;
        }
        // Of fill and stroke together the one would show through the other.
        [$paint, $default] = match ('none') {
            self::inherited($element, 'stroke', 'none') => ['fill', 'black'],
            self::inherited($element, 'fill', 'black') => ['stroke', 'none'],
            default => ['', ''],
        };
        $own = $paint === '' ? '' : self::inherited($element, "$paint-opacity", '1');
        if (is_numeric($own) && $this->isColours(self::inherited($element, $paint, $default))) {
            $element->setAttribute("$paint-opacity", (string) ((float) $own * min(1.0, max(0.0, (float) $opacity))));
            $element->removeAttribute('opacity');
        }
    }

    /** Whether it is drawn where it is named alone, and takes its colours from there. */
    private static function isTemplate(DOMElement $element): bool
    {
        for ($up = $element; $up instanceof DOMElement; $up = $up->parentNode) {
            if (in_array($up->localName, ['defs', 'symbol'], true)) {
                return true;
            }
        }

        return false;
    }

    private static function hasMarkers(DOMElement $element): bool
    {
        return array_filter(['marker-start', 'marker-mid', 'marker-end'], fn (string $name): bool => self::inherited($element, $name, 'none') !== 'none') !== [];
    }

    /** Whether a paint is a colour or a gradient, and no pattern. */
    private function isColours(string $paint): bool
    {
        return preg_match('/^\s*url\(\s*[\'"]?#([^)\'"]+)/', $paint, $found) !== 1 || isset($this->gradients[$found[1]]);
    }

    private static function inherited(DOMElement $element, string $name, string $unless): string
    {
        for ($up = $element; $up instanceof DOMElement; $up = $up->parentNode) {
            if ($up->hasAttribute($name) && $up->getAttribute($name) !== 'inherit') {
                return $up->getAttribute($name);
            }
        }

        return $unless;
    }

    private static function link(DOMElement $element): string
    {
        return $element->getAttribute('href') ?: $element->getAttributeNS(self::XLINK, 'href');
    }

    private static function staysInside(DOMElement $element, string $name, string $value): bool
    {
        if ($name === 'href') {
            return preg_match('/^#[\w.-]+$/', $value) === 1 || ($element->localName === 'image' && EmbeddedPicture::kept($value) !== null);
        }

        return preg_match('/url\s*\(\s*[\'"]?(?!#)/i', $value) !== 1
            && ! str_contains(strtolower($value), 'javascript:')
            && ! str_contains($value, '\\');
    }

    /**
     * The page in user units (SVG 2, chapter 8): its width and height where both are lengths, else those of its view box.
     *
     * @return array{float, float}
     */
    private static function size(DOMElement $root): array
    {
        $box = SvgViewBox::read($root->getAttribute('viewBox'));
        [$width, $height] = [SvgLengths::size($root->getAttribute('width')), SvgLengths::size($root->getAttribute('height'))];
        [$width, $height] = match (true) {
            $width !== null && $height !== null => [$width, $height],
            $box === null => [0.0, 0.0],
            $width !== null => [$width, $width * $box[3] / max(1e-9, $box[2])],
            $height !== null => [$height * $box[2] / max(1e-9, $box[3]), $height],
            default => [$box[2], $box[3]],
        };
        if (! is_finite($width) || ! is_finite($height) || $width <= 0 || $height <= 0 || $width / $height > 1000 || $height / $width > 1000) {
            throw PictureRefused::drawing('it has no size: give its svg element a viewBox, or a width and height.');
        }

        return [$width, $height];
    }

    /** Gives the drawing a view box that is its page. What is fitted into the page otherwise becomes a drawing within it. */
    private static function framed(DOMElement $root, float $width, float $height): void
    {
        $box = SvgViewBox::read($root->getAttribute('viewBox'));
        if ($box !== null && abs($box[2] * $height / ($box[3] * $width) - 1) > self::SAME_SHAPE) {
            $page = $root->ownerDocument?->createElementNS((string) $root->namespaceURI, 'svg');
            if (! $page instanceof DOMElement) {
                throw new \LogicException('A drawing has a document.');
            }
            array_map($root->removeAttribute(...), ['x', 'y']);
            $root->setAttribute('width', (string) $width);
            $root->setAttribute('height', (string) $height);
            $root->replaceWith($page);
            $page->appendChild($root);
            $root = $page;
            $box = null;
        }
        $root->setAttribute('viewBox', $box === null ? "0 0 $width $height" : implode(' ', $box));
        $root->setAttribute('width', (string) $width);
        $root->setAttribute('height', (string) $height);
    }
}
