<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/** A picture in fewer pixels, or in more. */
trait Sizes
{
    /** What the filter is asked for at least, as a share of the size: it fails below a three hundredth. */
    private const REACH = 1 / 64;

    /**
     * To so many times its size, by a filter that looks at every pixel; a size of whole pixels, the nearest. What is made larger comes to lie half a
     * pixel of the new ones further on: so libvips 8.14 has it.
     */
    public function resized(float $across, ?float $down = null): self
    {
        return $this->bands() === 4
            ? $this->premultiplied()->filtered($across, $down ?? $across)->unpremultiplied()
            : $this->filtered($across, $down ?? $across);
    }

    private function filtered(float $across, float $down): self
    {
        // The filter reaches no further than a few hundred pixels: of more, the mean of whole blocks comes first.
        [$wide, $high] = [max(1, (int) floor(self::REACH / $across)), max(1, (int) floor(self::REACH / $down))];
        if ($wide > 1 || $high > 1) {
            [$width, $height] = [max(1.0, round($this->width() * $across)), max(1.0, round($this->height() * $down))];
            $blocks = $this->settled()->operation('shrink', [(float) min($wide, $this->width()), (float) min($high, $this->height())])->settled();

            return $blocks->filtered($width / $blocks->width(), $height / $blocks->height());
        }

        // No rough shrinking ahead of the filter otherwise: it costs tone, and here five times the time as well.
        return $this->operation('resize', [$across], ['vscale' => $down, 'gap' => 0.0]);
    }

    /** Each pixel becomes a rectangle of as many. */
    public function zoomed(int $across, ?int $down = null): self
    {
        return $across <= 1 && ($down ?? $across) <= 1 ? $this : $this->operation('zoom', [$across, $down ?? $across]);
    }

    /** One band so many times as large, straight between the middles of its pixels. */
    public function enlarged(int $by): self
    {
        return $by <= 1 ? $this : $this->interpolated($by, $this->width() * $by, $this->height() * $by, ($by - 1) / 2);
    }

    /** Made as large as that, straight between the middles of its pixels: for what has nothing fine in it. */
    public function stretched(int $width, int $height): self
    {
        $interpolate = Vips::run('vips_interpolate_new', 'bilinear');
        try {
            // The library counts pixel centres, the sheet counts edges: half a pixel either side.
            return $this->operation('affine', [Boxed::doubles([$width / $this->width(), 0.0, 0.0, $height / $this->height()])], [
                'interpolate' => $interpolate,
                'idx' => 0.5,
                'idy' => 0.5,
                'odx' => -0.5,
                'ody' => -0.5,
                'oarea' => Boxed::integers([0, 0, $width, $height]),
                'extend' => Extend::Copy,
                // As in Image::interpolated: bands are numbers.
                'premultiplied' => true,
            ]);
        } finally {
            Vips::run('g_object_unref', $interpolate);
        }
    }

    /** The mean of whole blocks of pixels; the picture's sides need not divide, and of one that is less than a block there is one pixel. */
    public function shrunk(int $by): self
    {
        return $by <= 1 ? $this : $this->operation('shrink', [(float) min($by, $this->width()), (float) min($by, $this->height())]);
    }

    /** Ink shrunk by whole blocks, colours weighed by how much of them there is. */
    public function shrunkInk(int $by): self
    {
        return $by <= 1 ? $this : $this->premultiplied()->shrunk($by)->unpremultiplied();
    }

    /** Shrunk by any factor so that the mean stays what it was. */
    public function shrunkBy(float $by): self
    {
        return abs($by - round($by)) < 1e-9
            ? $this->shrunk((int) round($by))
            : $this->operation('resize', [1 / $by], ['kernel' => ResizeKernel::Linear, 'gap' => 0.0]);
    }

    /** Every so-manieth pixel each way, as it is; the first at least. */
    public function subsampled(int $every): self
    {
        return $every <= 1 ? $this : $this->operation('subsample', [min($every, $this->width()), min($every, $this->height())]);
    }
}
