<?php

declare(strict_types=1);

namespace TallCrow\Asset;

use DOMDocument;
use DOMElement;

/**
 * Keeps of an SVG only what is named here: figures, paint servers, clips and masks. Scripts, styles sheets, text (whose
 * fonts are not the seller's), pictures within the picture, links, animation and every reference out of the file go.
 * A document type is refused whole, since entities live there.
 */
final class SvgCleaner
{
    private const ELEMENTS = [
        'svg', 'g', 'defs', 'symbol', 'use', 'title', 'desc', 'path', 'rect', 'circle', 'ellipse', 'line', 'polyline', 'polygon',
        'linearGradient', 'radialGradient', 'stop', 'pattern', 'clipPath', 'mask', 'marker',
    ];

    private const ATTRIBUTES = [
        'id', 'viewBox', 'width', 'height', 'x', 'y', 'x1', 'y1', 'x2', 'y2', 'cx', 'cy', 'r', 'rx', 'ry', 'fx', 'fy', 'd', 'points',
        'transform', 'fill', 'fill-rule', 'fill-opacity', 'stroke', 'stroke-width', 'stroke-linecap', 'stroke-linejoin',
        'stroke-miterlimit', 'stroke-dasharray', 'stroke-dashoffset', 'stroke-opacity', 'opacity', 'color', 'clip-path', 'clip-rule',
        'mask', 'offset', 'stop-color', 'stop-opacity', 'gradientUnits', 'gradientTransform', 'spreadMethod', 'patternUnits',
        'patternContentUnits', 'patternTransform', 'clipPathUnits', 'maskUnits', 'maskContentUnits', 'preserveAspectRatio', 'display',
        'visibility', 'href', 'marker-start', 'marker-mid', 'marker-end', 'markerWidth', 'markerHeight', 'refX', 'refY', 'orient', 'paint-order',
    ];

    private const MOST_NODES = 60_000;

    private const MOST_DEPTH = 60;

    private int $nodes = 0;

    private int $uses = 0;

    /** @param  array<string, true>  $cloned */
    private function __construct(private readonly array $cloned) {}

    /** @throws PictureRefused */
    public static function clean(string $svg): CleanSvg
    {
        if (preg_match('/<!(DOCTYPE|ENTITY)[^>]*(\[|ENTITY)/i', $svg) === 1) {
            throw PictureRefused::drawing('it declares entities, which can hide anything. Save it again as plain SVG.');
        }
        $document = new DOMDocument;
        $before = libxml_use_internal_errors(true);
        $loaded = $document->loadXML($svg, LIBXML_NONET | LIBXML_NOCDATA);
        $error = libxml_get_last_error();
        libxml_clear_errors();
        libxml_use_internal_errors($before);
        $root = $document->documentElement;
        if (! $loaded || $root === null || $root->localName !== 'svg') {
            throw PictureRefused::drawing($error === false ? 'it has no svg element.' : sprintf('line %d: %s', $error->line, trim($error->message)));
        }
        [$width, $height] = self::size($root);
        (new self(self::clonedIds($root)))->walk($root, 0);
        $root->removeAttribute('width');
        $root->removeAttribute('height');
        if (! $root->hasAttribute('viewBox')) {
            $root->setAttribute('viewBox', "0 0 $width $height");
        }

        $root->setAttribute('width', (string) $width);
        $root->setAttribute('height', (string) $height);

        return new CleanSvg((string) $document->saveXML($root), $width, $height);
    }

    private function walk(DOMElement $element, int $depth): void
    {
        if (++$this->nodes > self::MOST_NODES || $depth > self::MOST_DEPTH) {
            throw PictureRefused::drawing('it has too many parts. Simplify it.');
        }
        // A "use" of a "use" multiplies: a few lines can ask for millions of figures.
        if ($element->localName === 'use' && ++$this->uses > 500) {
            throw PictureRefused::drawing('it repeats parts of itself too often. Expand its clones and simplify it.');
        }
        self::styleToAttributes($element);
        foreach (iterator_to_array($element->attributes) as $attribute) {
            $name = (string) $attribute->localName;
            $harmless = in_array($name, self::ATTRIBUTES, true) && self::staysInside($name, (string) $attribute->nodeValue);
            if (! $harmless) {
                $element->removeAttributeNode($attribute);
            }
        }
        foreach (iterator_to_array($element->childNodes) as $child) {
            if ($child instanceof DOMElement && in_array($child->localName, self::ELEMENTS, true)
                && in_array($child->namespaceURI, [null, '', 'http://www.w3.org/2000/svg'], true)
                && ! ($child->localName === 'use' && $this->isCloned($child))) {
                $this->walk($child, $depth + 1);
            } elseif ($child->nodeType !== XML_TEXT_NODE) {
                $element->removeChild($child);
            }
        }
    }

    /** A clone inside something that is itself cloned is where doubling starts. */
    private function isCloned(DOMElement $use): bool
    {
        for ($up = $use->parentNode; $up instanceof DOMElement; $up = $up->parentNode) {
            if (isset($this->cloned[$up->getAttribute('id')])) {
                return true;
            }
        }

        return false;
    }

    /** @return array<string, true> ids that some "use" repeats */
    private static function clonedIds(DOMElement $root): array
    {
        $ids = [];
        foreach ($root->getElementsByTagNameNS('*', 'use') as $use) {
            foreach (iterator_to_array($use->attributes) as $attribute) {
                if ($attribute->localName === 'href') {
                    $ids[ltrim((string) $attribute->nodeValue, '#')] = true;
                }
            }
        }

        return $ids;
    }

    /** Presentation written as style="fill:red" counts as attributes, and is checked like them. */
    private static function styleToAttributes(DOMElement $element): void
    {
        foreach (explode(';', $element->getAttribute('style')) as $rule) {
            [$name, $value] = array_map(trim(...), explode(':', $rule, 2) + ['', '']);
            if ($name !== '' && in_array($name, self::ATTRIBUTES, true)) {
                $element->setAttribute($name, $value);
            }
        }
    }

    private static function staysInside(string $name, string $value): bool
    {
        if ($name === 'href') {
            return preg_match('/^#[\w.-]+$/', $value) === 1;
        }

        return preg_match('/url\s*\(\s*[\'"]?(?!#)/i', $value) !== 1
            && ! str_contains(strtolower($value), 'javascript:')
            && ! str_contains($value, '\\');
    }

    /** @return array{float, float} */
    private static function size(DOMElement $root): array
    {
        $box = preg_split('/[\s,]+/', trim($root->getAttribute('viewBox')));
        if (is_array($box) && count($box) === 4) {
            [$width, $height] = [(float) $box[2], (float) $box[3]];
        } else {
            [$width, $height] = [(float) $root->getAttribute('width'), (float) $root->getAttribute('height')];
        }
        if (! is_finite($width) || ! is_finite($height) || $width <= 0 || $height <= 0 || $width / $height > 1000 || $height / $width > 1000) {
            throw PictureRefused::drawing('it has no size: give its svg element a viewBox, or a width and height.');
        }

        return [$width, $height];
    }
}
