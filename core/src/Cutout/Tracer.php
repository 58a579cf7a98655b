<?php

declare(strict_types=1);

namespace TallCrow\Cutout;

use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Path;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;

/** Smooth outlines of what is inked, by Debian's potrace. */
final class Tracer
{
    /**
     * The outline of a mask, where it is half full or more.
     *
     * @return Path in pixels of the mask
     */
    public static function outline(Image $mask): Path
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
                throw TracerFailed::because('it could not be started');
            }
            $svg = (string) stream_get_contents($pipes[1]);
            $complaint = (string) stream_get_contents($pipes[2]);
            if (proc_close($process) !== 0) {
                throw TracerFailed::because(trim($complaint));
            }
        } finally {
            @unlink($bitmap);
        }

        return TracedPath::read($svg, $alpha->height());
    }
}
