<?php

declare(strict_types=1);

namespace TallCrow\Raster;

use TallCrow\Colour\Srgb;

/** Levels and colours: tables over them, what is common among them, regions of one. */
trait ImageLevels
{
    /** VipsBandFormat. */
    private const USHORT = 2;

    private const FLOAT = 6;

    /** VipsOperationBoolean. */
    private const SHIFT_LEFT = 3;

    private const SHIFT_RIGHT = 4;

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
     * Regions of one value, each with a number of its own from 1 on, and how many there are.
     *
     * @return array{self, int}
     */
    public function regions(): array
    {
        $mask = Vips::library()->new('VipsImage *');
        assert($mask instanceof \FFI\CData);
        Vips::operate('labelregions', [$this, \FFI::addr($mask)]);
        $numbered = self::wrap($mask)->settled();

        return [$numbered, (int) $numbered->range()[1]];
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

    /** As 16-bit numbers of a sum, rounded and held within their range. */
    public function scaledTo16(float $by, float $plus): self
    {
        return $this->made('linear', [Boxed::doubles([$by]), Boxed::doubles([$plus + 0.5])])->made('cast', [self::USHORT]);
    }

    /** Maps each 16-bit value by a table of 65,536 16-bit values, lowest byte first. */
    public function lookedUp16(string $table): self
    {
        return $this->made('maplut', [self::words($table, 65536)]);
    }

    /** Squared distance of each colour from another, in sRGB: one floating point band. */
    public function distanceTo(Srgb $colour): self
    {
        $weights = self::wrap(Vips::matrix([[1.0, 1.0, 1.0]]));
        $off = $this->band(0, 3)->made('linear', [Boxed::doubles([1.0, 1.0, 1.0]), Boxed::doubles([-(float) $colour->red, -(float) $colour->green, -(float) $colour->blue])]);

        return $off->multiplied($off)->made('recomb', [$weights]);
    }

    /**
     * The colour of each number: three bands.
     *
     * @param  list<Srgb>  $colours
     */
    public function indexed(array $colours): self
    {
        $bytes = '';
        for ($i = 0; $i < 256; $i++) {
            $colour = $colours[min($i, count($colours) - 1)] ?? Srgb::of(0, 0, 0);
            $bytes .= chr($colour->red).chr($colour->green).chr($colour->blue);
        }

        return $this->made('maplut', [self::raw($bytes, 256, 1, 3)])->asColours();
    }

    /**
     * One 8-bit band under a whole Gaussian bell; beyond the picture its edge goes on. A broad bell leaves nothing fine, so
     * it is worked at a fraction of the size: within three levels of the bell itself, from six pixels on within one and a half.
     *
     * @param  float  $sigma  in pixels
     */
    public function softened(float $sigma): self
    {
        if ($sigma < 4) {
            return $this->blurred($sigma, 0.01);
        }
        // A bell of four samples and more is carried well by straight lines between them; blocks of an odd side have a middle.
        $by = max(3, 2 * (int) floor(($sigma / 4 - 1) / 2) + 1);
        [$across, $down] = [intdiv($this->width(), $by) + 3, intdiv($this->height(), $by) + 3];
        // Means of blocks, and straight lines in between, soften by themselves: variances of 1/12 and 1/6 of a block.
        $rest = sqrt(($sigma / $by) ** 2 - 1 / 12 - 1 / 6);
        $small = $this->made('embed', [$by, $by, $across * $by, $down * $by], ['extend' => Extend::Copy])->shrunk($by)->stretched(1.0)
            ->made('gaussblur', [$rest], ['min-ampl' => 0.003, 'precision' => 1])->settled();
        $middle = intdiv($by, 2);

        return $small->spread($by, $across * $by - $by, $down * $by - $by)->crop($by - $middle, $by - $middle, $this->width(), $this->height())->scaledBy(1.0);
    }

    /** The colours of ink carried outwards under clear pixels, so that an edge can be moved there. */
    public function spreadOut(float $pixels): self
    {
        // Colours that are carried need not be sharp: an eighth of the size will do.
        $eighth = 8;
        [$across, $down] = [(int) ceil($this->width() / $eighth), (int) ceil($this->height() / $eighth)];
        $small = $this->embed(0, 0, $across * $eighth, $down * $eighth)->shrunkInk($eighth)->settled();
        $weight = $small->alpha()->stretched(1 / 255)->settled();
        $sigma = max(0.8, $pixels / $eighth);
        $carried = $small->band(0, 3)->multiplied($weight)->blurred($sigma)->divided($weight->blurred($sigma)->stretched(1, 1e-5))->scaledBy(1.0)->settled();
        $wide = $carried->made('zoom', [$eighth, $eighth])->crop(0, 0, $this->width(), $this->height());

        return $this->alpha()->isMore(250.0)->chosen($this->band(0, 3), $wide)->asColours()->withBand($this->alpha());
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

        return $this->band(0, 3)->made('recomb', [$matrix])->scaledBy(1.0)->asColours()->withBand($this->alpha());
    }

    /** Lightness of three bands of sRGB as one: the weights of Rec. ITU-R BT.709 on the samples as they stand. */
    public function luminance(): self
    {
        $weights = self::wrap(Vips::matrix([[0.2126, 0.7152, 0.0722]]));

        return $this->band(0, 3)->made('recomb', [$weights])->scaledBy(1.0);
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

    /** Spread over 0 to 255 so that every value is as common as any other. */
    public function equalised(): self
    {
        return $this->settled()->made('hist_equal');
    }

    /** Floating point to 8 bits, its whole range spread out. */
    public function toMask(): self
    {
        $settled = $this->settled();
        [$least, $most] = $settled->range();

        return $settled->scaledBy(255 / max(1e-9, $most - $least), -$least * 255 / max(1e-9, $most - $least));
    }
}
