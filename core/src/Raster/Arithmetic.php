<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/** Arithmetic and comparisons, sample by sample. Masks here are one 8-bit band unless said otherwise. */
trait Arithmetic
{
    public function inverted(): self
    {
        return $this->operation('invert');
    }

    /** sample × $by + $plus, rounded and clamped to 8 bits. */
    public function linearByte(float $by, float $plus = 0.0): self
    {
        return $this->operation('linear', [Boxed::doubles([$by]), Boxed::doubles([$plus + 0.5])], ['uchar' => true]);
    }

    /** sample × $by + $plus in floating point. */
    public function linear(float $by, float $plus = 0.0): self
    {
        return $this->operation('linear', [Boxed::doubles([$by]), Boxed::doubles([$plus])]);
    }

    /**
     * Each band times its own factor, in floating point; a single band becomes as many bands as there are factors.
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

    /** The samples rounded to multiples of 1/n. */
    public function roundedTo(int $n): self
    {
        return $this->linear((float) $n)->operation('round', [RoundOperation::Nearest])->linear(1 / $n);
    }

    /** The plain product of the samples (in contrast to times(), which treats 255 as 1). */
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

    /** Floating point 0 to 1 as 8-bit 0 to 255, rounded. */
    public function unitToByte(): self
    {
        return $this->operation('linear', [Boxed::doubles([255.0]), Boxed::doubles([0.5])], ['uchar' => true]);
    }

    /** Marks three bands as sRGB. */
    public function asColours(): self
    {
        return $this->operation('copy', [], ['interpretation' => Interpretation::Srgb]);
    }

    /** The product of two masks, where 255 counts as 1. */
    public function times(self $other): self
    {
        // A blend with 0, weighted by the other mask: one pass of rounded integer arithmetic.
        return self::of(Vips::image('ifthenelse', [$other, $this, self::empty($this->width(), $this->height(), 1)], [], ['blend' => true]));
    }

    /** Multiplies the alpha of ink by a mask of its size. */
    public function masked(self $mask): self
    {
        return $this->withAlpha($this->alpha()->times($mask));
    }

    /** The maximum of both, sample by sample. */
    public function lighter(self $other): self
    {
        return $this->isMore($other)->chosen($this, $other);
    }

    /** The minimum of both, sample by sample. */
    public function lesser(self $other): self
    {
        return $this->isMore($other)->chosen($other, $this);
    }

    /**
     * Clamps each band to bounds of its own.
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

    /** 255 where a sample has this value. */
    public function isEqual(float $to): self
    {
        return $this->operation('relational_const', [Relation::Equal, Boxed::doubles([$to])]);
    }

    public function both(self $other): self
    {
        return self::of(Vips::image('boolean', [$this, $other], [BooleanOperation::And]));
    }

    /** Bitwise or of two masks of 0 and 255. */
    public function either(self $other): self
    {
        return self::of(Vips::image('boolean', [$this, $other], [BooleanOperation::Or]));
    }

    /** Of a mask of 0 and 255: the value of one bit (0 to 7) where it is 255, and 0 elsewhere. */
    public function bit(int $number): self
    {
        return $this->operation('boolean_const', [BooleanOperation::And, Boxed::doubles([2 ** $number])]);
    }

    /** Uses this as a condition: one picture where it is not 0, the other elsewhere. */
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

    /** The area of a mask in pixels, where 255 counts as one pixel. */
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

    /** Whether its last band (the alpha) is 255 in every pixel. */
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
     * The bounding box of all pixels of a mask that are above 0.
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

    /** sample × $by + $plus, rounded and clamped to unsigned 16 bits. */
    public function linearShort(float $by, float $plus): self
    {
        return $this->operation('linear', [Boxed::doubles([$by]), Boxed::doubles([$plus + 0.5])])->operation('cast', [BandFormat::Short]);
    }

    /**
     * Premultiplied, in floating point: in 8 bits faint ink would lose its colour, and overshoot of a filter would be clipped in the alpha but not in the
     * colours.
     */
    private function premultiplied(): self
    {
        return $this->operation('premultiply');
    }

    /** From premultiplied to straight alpha, in 8 bits. @internal */
    public function unpremultiplied(): self
    {
        return $this->operation('unpremultiply')->linearByte(1.0);
    }
}
