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

    private const USHORT = 2;

    private const UINT = 4;

    private const FLOAT = 6;

    /** VipsOperationBoolean. */
    private const SHIFT_LEFT = 3;

    private const SHIFT_RIGHT = 4;

    public function inverted(): self
    {
        return $this->made('invert');
    }

    /**
     * Colours as one 16-bit number: five bits of red, six of green, five of blue.
     */
    public function keyed(): self
    {
        return $this->band(0, 3)
            ->made('boolean_const', [self::SHIFT_RIGHT, Boxed::doubles([3.0, 2.0, 3.0])])
            ->made('cast', [self::USHORT])
            ->made('boolean_const', [self::SHIFT_LEFT, Boxed::doubles([11.0, 5.0, 0.0])])
            ->made('bandbool', [1]);
    }

    /**
     * How many pixels hold each value of a 16-bit band; what comes after the last that does is left out.
     *
     * @return list<int>
     */
    public function counts(): array
    {
        /** @var list<int> $counts */
        $counts = array_values((array) unpack('V*', $this->made('hist_find')->made('cast', [self::UINT])->toBytes()));

        return $counts;
    }

    /**
     * Sums of the samples, by what another picture has at the same place.
     *
     * @param  self  $by  one 8-bit band
     * @return list<float> 256 sums
     */
    public function summedBy(self $by): array
    {
        $sums = self::wrap(Vips::image('hist_find_indexed', [$this, $by]))->made('cast', [self::FLOAT]);
        /** @var list<float> $found */
        $found = array_values((array) unpack('g*', $sums->toBytes()));

        return array_pad($found, 256, 0.0);
    }

    /** Maps each 16-bit value by a table of 65,536 bytes. */
    public function lookedUp(string $table): self
    {
        return $this->made('maplut', [self::raw($table, 65536, 1, 1)]);
    }

    /** Every pixel of the value at the corner that is joined to it takes another value. */
    public function floodedFromCorner(float $value): self
    {
        $copy = $this->settled();
        Vips::operate('draw_flood', [$copy, Boxed::doubles([$value]), 0, 0], ['equal' => true]);

        return $copy;
    }

    /**
     * Regions of one value, each with a number of its own, and how many there are.
     *
     * @return array{self, int}
     */
    public function regions(): array
    {
        $mask = Vips::library()->new('VipsImage *');
        assert($mask instanceof \FFI\CData);
        Vips::operate('labelregions', [$this, \FFI::addr($mask)]);
        $numbered = self::wrap($mask)->settled();

        return [$numbered, (int) $numbered->range()[1] + 1];
    }

    /** As 16-bit numbers. */
    public function asNumbers(): self
    {
        return $this->made('cast', [self::USHORT]);
    }

    /** 255 where a sample is just this. */
    public function isEqual(float $to): self
    {
        return $this->made('relational_const', [0, Boxed::doubles([$to])]);
    }

    /** Either of two conditions. */
    public function either(self $other): self
    {
        return self::wrap(Vips::image('boolean', [$this, $other], [1]));
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
        return self::wrap(Vips::image('multiply', [$this, $other]))->made('linear', [Boxed::doubles([1 / 255]), Boxed::doubles([0.5])], ['uchar' => true]);
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

    /**
     * Each colour sample by one curve, 0 to 1; alpha stays.
     *
     * @param  \Closure(float): float  $curve
     */
    public function toned(\Closure $curve): self
    {
        $table = array_map(fn (int $level): int => (int) round(255 * min(1.0, max(0.0, $curve($level / 255)))), range(0, 255));

        return $this->band(0, 3)->looked($table)->asColours()->withBand($this->alpha());
    }

    /** Colours as far from their own grey as a factor says; alpha stays. */
    public function saturated(float $by): self
    {
        [$r, $g, $b] = [0.2126 * (1 - $by), 0.7152 * (1 - $by), 0.0722 * (1 - $by)];
        $matrix = self::wrap(Vips::matrix([[$r + $by, $g, $b], [$r, $g + $by, $b], [$r, $g, $b + $by]]));

        return $this->band(0, 3)->made('recomb', [$matrix])->made('cast', [self::UCHAR])->asColours()->withBand($this->alpha());
    }

    /** Lightness of three bands of sRGB as one: the weights of Rec. ITU-R BT.709 on the samples as they stand. */
    public function luminance(): self
    {
        $weights = self::wrap(Vips::matrix([[0.2126, 0.7152, 0.0722]]));

        return $this->band(0, 3)->made('recomb', [$weights])->made('cast', [self::UCHAR]);
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
     * How many pixels hold each value of an 8-bit band.
     *
     * @return list<int> 256 counts
     */
    public function histogram(): array
    {
        $bytes = $this->made('hist_find')->made('cast', [self::UINT])->toBytes();

        /** @var list<int> $counts */
        $counts = array_values((array) unpack('V*', $bytes));

        return array_pad($counts, 256, 0);
    }

    /**
     * Maps each 8-bit value by a table of 256.
     *
     * @param  list<int>  $table
     */
    public function looked(array $table): self
    {
        $lut = self::raw(implode('', array_map(chr(...), $table)), 256, 1, 1);

        return $this->made('maplut', [$lut]);
    }

    /**
     * Levels of an 8-bit band as colours: the given ones evenly apart, running into one another or in steps.
     *
     * @param  non-empty-list<Srgb>  $colours
     */
    public function tinted(array $colours, bool $stepped = false): self
    {
        $last = count($colours) - 1;
        $bytes = '';
        for ($level = 0; $level < 256; $level++) {
            $at = $stepped ? min($last, (int) floor($level * ($last + 1) / 256)) : $level / 255 * $last;
            $from = (int) floor($at);
            $colour = $colours[$from]->mixed($colours[min($last, $from + 1)], $at - $from);
            $bytes .= chr($colour->red).chr($colour->green).chr($colour->blue);
        }

        return $this->made('maplut', [self::raw($bytes, 256, 1, 3)])->asColours();
    }

    /** Every block of pixels as its mean. */
    public function blocks(int $across, int $down): self
    {
        return $this->made('shrink', [(float) $across, (float) $down])->made('zoom', [$across, $down]);
    }

    /** Spread over 0 to 255 so that every value is as common as any other. */
    public function equalised(): self
    {
        return $this->settled()->made('hist_equal');
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

    /** Floating point to 8 bits, its whole range spread out. */
    public function toMask(): self
    {
        $settled = $this->settled();
        [$least, $most] = $settled->range();

        return $settled->scaledBy(255 / max(1e-9, $most - $least), -$least * 255 / max(1e-9, $most - $least));
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
