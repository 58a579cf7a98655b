<?php

declare(strict_types=1);

namespace TallCrow\Asset;

use DOMElement;
use TallCrow\Geometry\Cap;
use TallCrow\Geometry\Join;
use TallCrow\Geometry\Stroke;

/**
 * Inherited stroke properties of SVG elements (SVG 2, 13).
 *
 * @internal
 */
final readonly class SvgStroke
{
    public const ATTRIBUTES = [
        'stroke', 'stroke-width', 'stroke-linecap', 'stroke-linejoin', 'stroke-miterlimit', 'stroke-dasharray', 'stroke-dashoffset', 'stroke-opacity', 'paint-order',
    ];

    /**
     * @param  string  $colour  in the syntax of fill
     * @param  bool  $isBelow  whether it is painted below the fill
     */
    private function __construct(public string $colour, private string $opacity, public Stroke $stroke, public bool $isBelow) {}

    /** The initial values. */
    public static function plain(): self
    {
        return new self('none', '1', new Stroke(1.0), false);
    }

    /** The properties of a child element; null if it uses values that are not supported here. */
    public function of(DOMElement $element): ?self
    {
        $told = [];
        foreach (self::ATTRIBUTES as $name) {
            $value = trim($element->getAttribute($name));
            if ($value !== '' && $value !== 'inherit') {
                $told[$name] = $value;
            }
        }
        if ($told === []) {
            return $this;
        }
        $stroke = $this->stroke;
        $join = match ($told['stroke-linejoin'] ?? '') {
            '' => $stroke->join,
            'miter' => Join::Mitre,
            'round' => Join::Round,
            'bevel' => Join::Bevel,
            default => null,
        };
        $cap = isset($told['stroke-linecap']) ? Cap::tryFrom($told['stroke-linecap']) : $stroke->cap;
        $width = isset($told['stroke-width']) ? self::length($told['stroke-width']) : $stroke->width;
        $limit = isset($told['stroke-miterlimit']) ? self::length($told['stroke-miterlimit']) : $stroke->limit;
        $dashes = isset($told['stroke-dasharray']) ? self::dashes($told['stroke-dasharray']) : $stroke->dashes;
        $offset = isset($told['stroke-dashoffset']) ? self::length($told['stroke-dashoffset']) : $stroke->offset;
        if ($join === null || $cap === null || $width === null || $width < 0 || $limit === null || $limit < 1 || $dashes === null || $offset === null) {
            return null;
        }
        // Parts that paint-order omits are painted after those it lists.
        $order = isset($told['paint-order']) ? preg_match('/^(?!.*\bfill\b.*\bstroke\b).*\bstroke\b/', $told['paint-order']) === 1 : $this->isBelow;

        return new self($told['stroke'] ?? $this->colour, $told['stroke-opacity'] ?? $this->opacity, new Stroke($width, $cap, $join, $limit, $dashes, $offset), $order);
    }

    public function isSeen(): bool
    {
        return $this->colour !== 'none' && $this->stroke->width > 0;
    }

    /** Attributes of a path that is filled with the stroke's paint. */
    public function attributes(): string
    {
        return sprintf(' fill="%s" fill-opacity="%s" fill-rule="nonzero"', htmlspecialchars($this->colour, ENT_QUOTES | ENT_XML1), htmlspecialchars($this->opacity, ENT_QUOTES | ENT_XML1));
    }

    private static function length(string $told): ?float
    {
        $number = (string) preg_replace('/px$/', '', $told);

        return is_numeric($number) && is_finite((float) $number) ? (float) $number : null;
    }

    /** @return ?list<float> empty for a solid line */
    private static function dashes(string $told): ?array
    {
        if ($told === 'none') {
            return [];
        }
        $dashes = array_map(self::length(...), preg_split('/[\s,]+/', $told, -1, PREG_SPLIT_NO_EMPTY) ?: []);
        foreach ($dashes as $dash) {
            if ($dash === null) {
                return null;
            }
            if ($dash < 0) {
                return [];
            }
        }

        /** @var list<float> $dashes */
        return array_sum($dashes) > 0 ? $dashes : [];
    }
}
