<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/** Sums, products and comparisons, sample by sample. Masks here are one 8-bit band unless said otherwise. */
trait Arithmetic
{
    public function inverted(): self
    {
        return $this->operation('invert');
    }

    /** Rounded to 8 bits. @param  float  $by 1 leaves it as it is */
    public function linearByte(float $by, float $plus = 0.0): self
    {
        return $this->operation('linear', [Boxed::doubles([$by]), Boxed::doubles([$plus + 0.5])], ['uchar' => true]);
    }

    /** The same sum in floating point, for fields that are no masks yet. */
    public function linear(float $by, float $plus = 0.0): self
    {
        return $this->operation('linear', [Boxed::doubles([$by]), Boxed::doubles([$plus])]);
    }

    /**
     * As many bands as factors, each by its own: floating point. One band becomes several.
     *
     * @param  list<float>  $by
     */
    public function linearBands(array $by): self
    {
        return $this->operation('linear', [Boxed::doubles($by), Boxed::doubles(array_fill(0, count($by), 0.0))]);
    }

    public function plus(self $other): self
    {
        return self::of(Vips::image('add', [$this, $other]));
    }

    public function minus(self $other): self
    {
        return self::of(Vips::image('subtract', [$this, $other]));
    }

    /** Product of the samples as they are, for floating point. */
    public function multiplied(self $by): self
    {
        return self::of(Vips::image('multiply', [$this, $by]));
    }

    public function divided(self $by): self
    {
        return self::of(Vips::image('divide', [$this, $by]));
    }

    public function raised(float $to): self
    {
        return $this->operation('math2_const', [PowerOperation::Power, Boxed::doubles([$to])]);
    }

    /** 0 to 1 in floating point as 0 to 255, rounded. */
    public function unitToByte(): self
    {
        return $this->operation('linear', [Boxed::doubles([255.0]), Boxed::doubles([0.5])], ['uchar' => true]);
    }

    /** Three bands known as sRGB. */
    public function asColours(): self
    {
        return $this->operation('copy', [], ['interpretation' => Interpretation::Srgb]);
    }

    /** Two masks at once: what both let through. */
    public function times(self $other): self
    {
        // Blended with nothing by the other: one pass in whole numbers, rounded.
        return self::of(Vips::image('ifthenelse', [$other, $this, self::empty($this->width(), $this->height(), 1)], [], ['blend' => true]));
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

    /**
     * Each band held between bounds of its own.
     *
     * @param  list<float>  $least
     * @param  list<float>  $most
     */
    public function held(array $least, array $most): self
    {
        $none = Boxed::doubles(array_fill(0, count($least), 0.0));
        [$low, $high] = [$this->operation('linear', [$none, Boxed::doubles($least)]), $this->operation('linear', [$none, Boxed::doubles($most)])];

        return $this->lesser($high)->lighter($low);
    }

    /** 255 where true. */
    public function isMore(self|float $than): self
    {
        return $than instanceof self
            ? self::of(Vips::image('relational', [$this, $than], [Relation::More]))
            : $this->operation('relational_const', [Relation::More, Boxed::doubles([$than])]);
    }

    /** 255 where true. */
    public function isLess(float $than): self
    {
        return $this->operation('relational_const', [Relation::Less, Boxed::doubles([$than])]);
    }

    /** 255 where a sample is just this. */
    public function isEqual(float $to): self
    {
        return $this->operation('relational_const', [Relation::Equal, Boxed::doubles([$to])]);
    }

    public function both(self $other): self
    {
        return self::of(Vips::image('boolean', [$this, $other], [BooleanOperation::And]));
    }

    /** Either of two conditions. */
    public function either(self $other): self
    {
        return self::of(Vips::image('boolean', [$this, $other], [BooleanOperation::Or]));
    }

    /** Taken as a condition: one picture where it is true, the other elsewhere. */
    public function chosen(self $then, self $else): self
    {
        return self::of(Vips::image('ifthenelse', [$this, $then, $else]));
    }

    /** Standard deviation of all samples. */
    public function deviation(): float
    {
        $out = Vips::library()->new('double');
        assert($out instanceof \FFI\CData);
        Vips::operate('deviate', [$this, \FFI::addr($out)]);

        return (float) $out->cdata;
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
        return [$this->extreme('min'), $this->extreme('max')];
    }

    /** Whether its last band is full in every pixel. */
    public function isOpaque(): bool
    {
        return $this->alpha()->extreme('min') >= 255.0;
    }

    private function extreme(string $which): float
    {
        $found = Vips::library()->new('double');
        assert($found instanceof \FFI\CData);
        Vips::operate($which, [$this, \FFI::addr($found)]);

        return (float) $found->cdata;
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
        [$across, $down] = [$span(self::of($columns)), $span(self::of($rows))];

        return $across === null || $down === null ? null : [$across[0], $down[0], $across[1], $down[1]];
    }

    /** As 16-bit numbers. */
    public function asNumbers(): self
    {
        return $this->operation('cast', [BandFormat::Short]);
    }

    /** As 16-bit numbers of a sum, rounded and held within their range. */
    public function linearShort(float $by, float $plus): self
    {
        return $this->operation('linear', [Boxed::doubles([$by]), Boxed::doubles([$plus + 0.5])])->operation('cast', [BandFormat::Short]);
    }

    /** In floating point: cut to 8 bits, faint ink loses its colour, and what a filter shoots over an edge is cut off in the alpha alone. */
    private function premultiplied(): self
    {
        return $this->operation('premultiply');
    }

    /** Straight alpha from colours that are weighed by it, in 8 bits. @internal */
    public function unpremultiplied(): self
    {
        return $this->operation('unpremultiply')->linearByte(1.0);
    }
}
