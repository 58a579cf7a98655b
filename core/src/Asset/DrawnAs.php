<?php

declare(strict_types=1);

namespace TallCrow\Asset;

use DOMElement;
use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Box;

/**
 * Inherited painting state and coordinate system of an element's children.
 *
 * @internal
 */
final readonly class DrawnAs
{
    /** Elements that are not drawn in place; their cost is counted where they are referenced. */
    private const TEMPLATES = ['pattern', 'marker', 'clipPath'];

    /**
     * @param  ?Affine  $to  map to shares of the page; null if unknown
     * @param  bool  $isTemplate  whether it is part of such a template
     */
    private function __construct(public string $fill, public SvgStroke $stroke, private ?Affine $to, private bool $isTemplate = false) {}

    /** @param  DOMElement  $root  with a view box that is its page */
    public static function page(DOMElement $root): self
    {
        return (new self('black', SvgStroke::plain(), self::toWhole($root)))->paintedAs($root);
    }

    /** @param  ?DOMElement  $use  that names the element */
    public function within(DOMElement $element, ?DOMElement $use = null): self
    {
        $as = $this->paintedAs($element);
        if ($as->isTemplate || in_array($element->localName, self::TEMPLATES, true)) {
            return new self($as->fill, $as->stroke, null, true);
        }
        $to = $as->to === null ? null : SvgTransform::read($element->getAttribute('transform'))?->then($as->to);

        return new self($as->fill, $as->stroke, $to === null ? null : self::placed($element, $use, $to));
    }

    /** The map of a nested svg element with its own size, or the size of the page. */
    private static function placed(DOMElement $element, ?DOMElement $use, Affine $to): Affine
    {
        $at = in_array($element->localName, ['use', 'svg'], true) ? Affine::shift((float) $element->getAttribute('x'), (float) $element->getAttribute('y')) : Affine::identity();
        $whole = self::toWhole($element);
        if ($whole === null) {
            return $at->then($to);
        }
        [$width, $height] = array_map(fn (string $side): string => ($use?->getAttribute($side) ?: null) ?? $element->getAttribute($side), ['width', 'height']);

        return is_numeric($width) && is_numeric($height) ? $whole->then(Affine::scale((float) $width, (float) $height))->then($at)->then($to) : $whole;
    }

    private function paintedAs(DOMElement $element): self
    {
        $fill = trim($element->getAttribute('fill'));

        return new self($fill === '' || $fill === 'inherit' ? $this->fill : $fill, $this->stroke->of($element) ?? $this->stroke, $this->to, $this->isTemplate);
    }

    /** From an element's viewBox to shares of it. */
    private static function toWhole(DOMElement $element): ?Affine
    {
        $box = SvgViewBox::read($element->getAttribute('viewBox'));

        return $box !== null ? Affine::shift(-$box[0], -$box[1])->then(Affine::scale(1 / $box[2], 1 / $box[3])) : null;
    }

    /** The share of the page that a box covers; the maximum if unknown. */
    public function share(Box $box): float
    {
        if ($this->to === null) {
            return $this->isTemplate ? 0.0 : 1.0;
        }
        $shown = $box->transformed($this->to)->intersection(new Box(0, 0, 1, 1));

        return $shown->isEmpty() ? 0.0 : min($shown->width() * $shown->height(), $this->shareOf($box->width() * $box->height()));
    }

    /** @param  float  $area  area in user units */
    public function shareOf(float $area): float
    {
        return $this->to === null ? ($this->isTemplate ? 0.0 : 1.0) : min(1.0, $area * $this->to->factor() ** 2);
    }
}
