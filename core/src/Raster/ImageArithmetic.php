<?php

declare(strict_types=1);

namespace TallCrow\Raster;

use TallCrow\Colour\Srgb;

/** Sums over pixels. Masks here are one 8-bit band unless said otherwise. */
trait ImageArithmetic
{
    /** VipsOperationRelational. */
    private const LESS = 2;

    private const MORE = 4;

    /** VipsBandFormat. */
    private const UCHAR = 0;

    private const UINT = 4;

    public function inverted(): self
    {
        return $this->made('invert');
    }

    /** Rounded to 8 bits. @param  float  $by 1 leaves it as it is */
    public function scaledBy(float $by, float $plus = 0.0): self
    {
        return $this->made('linear', [Boxed::doubles([$by]), Boxed::doubles([$plus + 0.5])], ['uchar' => true]);
    }

    /** The same sum in floating point, for fields that are no masks yet. */
    public function stretched(float $by, float $plus = 0.0): self
    {
        return $this->made('linear', [Boxed::doubles([$by]), Boxed::doubles([$plus])]);
    }

    public function plus(self $other): self
    {
        return self::wrap(Vips::image('add', [$this, $other]));
    }

    public function minus(self $other): self
    {
        return self::wrap(Vips::image('subtract', [$this, $other]));
    }

    /** Product of the samples as they are, for floating point. */
    public function multiplied(self $by): self
    {
        return self::wrap(Vips::image('multiply', [$this, $by]));
    }

    public function divided(self $by): self
    {
        return self::wrap(Vips::image('divide', [$this, $by]));
    }

    public function raised(float $to): self
    {
        return $this->made('math2_const', [0, Boxed::doubles([$to])]);
    }

    /** 0 to 1 in floating point as 0 to 255, rounded. */
    public function toBytesRange(): self
    {
        return $this->made('linear', [Boxed::doubles([255.0]), Boxed::doubles([0.5])], ['uchar' => true]);
    }

    /** Three bands known as sRGB. */
    public function asColours(): self
    {
        return $this->made('copy', [], ['interpretation' => 22]);
    }

    /** Two masks at once: what both let through. */
    public function times(self $other): self
    {
        // Blended with nothing by the other: one pass in whole numbers, rounded.
        return self::wrap(Vips::image('ifthenelse', [$other, $this, self::empty($this->width(), $this->height(), 1)], [], ['blend' => true]));
    }

    /** Multiplies the alpha of ink by a mask of its size. */
    public function masked(self $mask): self
    {
        return $this->withAlpha($this->alpha()->times($mask));
    }

    /** The larger of the two at each place. */
    public function lighter(self $other): self
    {
        return $this->isMore($other)->chosen($this, $other);
    }

    /** The lesser of the two at each place. */
    public function lesser(self $other): self
    {
        return $this->isMore($other)->chosen($other, $this);
    }

    /** 255 where true. */
    public function isMore(self|float $than): self
    {
        return $than instanceof self
            ? self::wrap(Vips::image('relational', [$this, $than], [self::MORE]))
            : $this->made('relational_const', [self::MORE, Boxed::doubles([$than])]);
    }

    /** 255 where true. */
    public function isLess(float $than): self
    {
        return $this->made('relational_const', [self::LESS, Boxed::doubles([$than])]);
    }

    public function both(self $other): self
    {
        return self::wrap(Vips::image('boolean', [$this, $other], [0]));
    }

    /** Taken as a condition: one picture where it is true, the other elsewhere. */
    public function chosen(self $then, self $else): self
    {
        return self::wrap(Vips::image('ifthenelse', [$this, $then, $else]));
    }

    /** Each pixel becomes the least of its square of neighbours. */
    public function leastNear(int $side = 3): self
    {
        return $this->made('rank', [$side, $side, 0]);
    }

    /** Each pixel becomes the largest of its square of neighbours. */
    public function largestNear(int $side = 3): self
    {
        return $this->made('rank', [$side, $side, $side * $side - 1]);
    }

    /**
     * Colour under full transparency set to nothing, as a print house's reader expects it. Each pixel is taken as one
     * 32-bit number, its alpha the highest byte: a quarter of the work, and what lies upstream is computed once.
     */
    public function cleared(): self
    {
        $pixels = $this->made('copy', [], ['bands' => 1, 'format' => self::UINT, 'interpretation' => 0]);
        $clear = self::wrap(Vips::image('black', [], [$this->width(), $this->height()]))->made('cast', [self::UINT]);

        return $pixels->made('relational_const', [self::MORE, Boxed::doubles([(float) 0xFFFFFF])])
            ->chosen($pixels, $clear)
            ->made('copy', [], ['bands' => 4, 'format' => self::UCHAR, 'interpretation' => 22]);
    }

    /** Ink laid on cloth of one colour: three bands. */
    public function onCloth(Srgb $cloth): self
    {
        return $this->made('flatten', [], ['background' => Boxed::doubles([(float) $cloth->red, (float) $cloth->green, (float) $cloth->blue])]);
    }

    public function mean(): float
    {
        $out = Vips::library()->new('double');
        assert($out instanceof \FFI\CData);
        Vips::operate('avg', [$this, \FFI::addr($out)]);

        return (float) $out->cdata;
    }

    /** Sum of a mask, where a full pixel counts one. */
    public function area(): float
    {
        return $this->mean() / 255 * $this->width() * $this->height();
    }

    /**
     * Smallest and largest value.
     *
     * @return array{float, float}
     */
    public function range(): array
    {
        $least = Vips::library()->new('double');
        $most = Vips::library()->new('double');
        assert($least instanceof \FFI\CData && $most instanceof \FFI\CData);
        Vips::operate('min', [$this, \FFI::addr($least)]);
        Vips::operate('max', [$this, \FFI::addr($most)]);

        return [(float) $least->cdata, (float) $most->cdata];
    }

    /**
     * The box about all pixels of a mask that are above nothing.
     *
     * @return array{int, int, int, int}|null left, top, width, height
     */
    public function inkBox(): ?array
    {
        $columns = Vips::library()->new('VipsImage *');
        $rows = Vips::library()->new('VipsImage *');
        assert($columns instanceof \FFI\CData && $rows instanceof \FFI\CData);
        Vips::operate('project', [$this, \FFI::addr($columns), \FFI::addr($rows)]);
        $span = function (self $sums): ?array {
            $full = array_keys(array_filter(array_values((array) unpack('V*', $sums->toBytes()))));

            return $full === [] ? null : [$full[0], $full[count($full) - 1] + 1 - $full[0]];
        };
        [$across, $down] = [$span(self::wrap($columns)), $span(self::wrap($rows))];

        return $across === null || $down === null ? null : [$across[0], $down[0], $across[1], $down[1]];
    }

    /** In 8 bits: what is lost of the colour of nearly clear ink is not to be seen. */
    private function premultiplied(): self
    {
        return $this->made('premultiply')->made('cast', [self::UCHAR]);
    }

    /** Straight alpha from colours that are weighed by it. @internal */
    public function unpremultiplied(): self
    {
        return $this->made('unpremultiply')->made('cast', [self::UCHAR]);
    }
}
