<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Path;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;

/**
 * Outlines of ink that has none of its own (pictures, drawings, groups, masked pieces), traced by potrace from the
 * alpha at print resolution, so that rings and gaps of them are as crisp as those of letters and the same at every ppi.
 */
final class Silhouettes
{
    public const PPI = 300.0;

    /**
     * @param  Piece  $piece  drawn at PPI
     * @return Path in inches on the sheet
     */
    public static function trace(Piece $piece): Path
    {
        return self::mask($piece->image->alpha())
            ->transformed(Affine::shift($piece->frame->left, $piece->frame->top))
            ->transformed(Affine::scale(1 / self::PPI, 1 / self::PPI));
    }

    /**
     * The outline of a mask, where it is half full or more.
     *
     * @return Path in pixels of the mask
     */
    public static function mask(Image $mask): Path
    {
        // One empty pixel all about, so that ink at the window's edge is closed there; and rows of whole bytes, since
        // libvips 8.14 loses a column when it packs the last bits of a row.
        return self::potrace($mask->embed(1, 1, intdiv($mask->width() + 2 + 7, 8) * 8, $mask->height() + 2))->transformed(Affine::shift(-1, -1));
    }

    private static function potrace(Image $alpha): Path
    {
        $bitmap = (string) tempnam(sys_get_temp_dir(), 'crow');
        try {
            ImageFile::writeBitmap($alpha, $bitmap);
            $process = proc_open(
                ['potrace', '--backend', 'svg', '--flat', '--turdsize', '2', '--alphamax', '1', '--unit', '10', '--output', '-', $bitmap],
                [1 => ['pipe', 'w'], 2 => ['pipe', 'w']],
                $pipes,
            );
            if (! is_resource($process)) {
                throw RenderFailed::tracer('it could not be started');
            }
            $svg = (string) stream_get_contents($pipes[1]);
            $complaint = (string) stream_get_contents($pipes[2]);
            if (proc_close($process) !== 0) {
                throw RenderFailed::tracer(trim($complaint));
            }
        } finally {
            @unlink($bitmap);
        }

        return TracedPath::read($svg, $alpha->height());
    }
}
