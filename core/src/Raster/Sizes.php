<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/** Scaling. */
trait Sizes
{
    /** Smallest scale that is asked of the filter, which fails below about 1/300. */
    private const REACH = 1 / 64;

    /**
     * Scales by a filter that reads every pixel; the size is rounded to whole pixels. Enlarging shifts the picture by half a new pixel: that is how
     * libvips 8.14 does it.
     */
    public function resized(float $across, ?float $down = null): self
    {
        return $this->bands() === 4
            ? $this->premultiplied()->filtered($across, $down ?? $across)->unpremultiplied()
            : $this->filtered($across, $down ?? $across);
    }

    private function filtered(float $across, float $down): self
    {
        // The filter supports a few hundred pixels at most: beyond that, average whole blocks first.
        [$wide, $high] = [max(1, (int) floor(self::REACH / $across)), max(1, (int) floor(self::REACH / $down))];
        if ($wide > 1 || $high > 1) {
            [$width, $height] = [max(1.0, round($this->width() * $across)), max(1.0, round($this->height() * $down))];
            $blocks = $this->settled()->operation('shrink', [(float) min($wide, $this->width()), (float) min($high, $this->height())])->settled();

            return $blocks->filtered($width / $blocks->width(), $height / $blocks->height());
        }

        // gap = 0 turns off the library's own block averaging before the filter, which shifts tone and takes five times as long here.
        return $this->operation('resize', [$across], ['vscale' => $down, 'gap' => 0.0]);
    }

    /** Repeats each pixel so many times each way. */
    public function zoomed(int $across, ?int $down = null): self
    {
        return $across <= 1 && ($down ?? $across) <= 1 ? $this : $this->operation('zoom', [$across, $down ?? $across]);
    }

    /** One band enlarged by an integer factor, bilinearly interpolated between pixel centres. */
    public function enlarged(int $by): self
    {
        return $by <= 1 ? $this : $this->interpolated($by, $this->width() * $by, $this->height() * $by, ($by - 1) / 2);
    }

    /** Scaled to a size by bilinear interpolation between pixel centres: for smooth pictures. */
    public function stretched(int $width, int $height): self
    {
        $interpolate = Vips::run('vips_interpolate_new', 'bilinear');
        try {
            // The library measures from pixel centres, the sheet from pixel edges: correct by half a pixel on both sides.
            return $this->operation('affine', [Boxed::doubles([$width / $this->width(), 0.0, 0.0, $height / $this->height()])], [
                'interpolate' => $interpolate,
                'idx' => 0.5,
                'idy' => 0.5,
                'odx' => -0.5,
                'ody' => -0.5,
                'oarea' => Boxed::integers([0, 0, $width, $height]),
                'extend' => Extend::Copy,
                // No alpha: see Image::drawnOut().
                'premultiplied' => true,
            ]);
        } finally {
            Vips::run('g_object_unref', $interpolate);
        }
    }

    /** The mean of blocks of pixels. The sides need not be multiples of the block; a side smaller than a block becomes one pixel. */
    public function shrunk(int $by): self
    {
        return $by <= 1 ? $this : $this->operation('shrink', [(float) min($by, $this->width()), (float) min($by, $this->height())]);
    }

    /** Ink shrunk by blocks, with colours weighted by alpha. */
    public function shrunkInk(int $by): self
    {
        return $by <= 1 ? $this : $this->premultiplied()->shrunk($by)->unpremultiplied();
    }

    /** Shrunk by any factor; the mean is kept. */
    public function shrunkBy(float $by): self
    {
        return abs($by - round($by)) < 1e-9
            ? $this->shrunk((int) round($by))
            : $this->operation('resize', [1 / $by], ['kernel' => ResizeKernel::Linear, 'gap' => 0.0]);
    }

    /** Every so-many-th pixel each way, unfiltered; at least the first. */
    public function subsampled(int $every): self
    {
        return $every <= 1 ? $this : $this->operation('subsample', [min($every, $this->width()), min($every, $this->height())]);
    }
}
