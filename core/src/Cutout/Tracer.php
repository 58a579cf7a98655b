<?php

declare(strict_types=1);

namespace TallCrow\Cutout;

use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;

/** Traces masks to smooth outlines, by Debian's potrace. */
final class Tracer
{
    /** Exit code of a shell for a command that was not found (POSIX). */
    private const NOT_FOUND = 127;

    /** Most processes at the same time. */
    private const BESIDE = 4;

    /** The outline of a mask, thresholded at half. */
    public static function outline(Image $mask): TracedPath
    {
        return self::outlines([$mask])[0];
    }

    /**
     * Outlines of several masks, traced in parallel.
     *
     * @param  list<Image>  $masks
     * @return list<TracedPath>
     */
    public static function outlines(array $masks): array
    {
        $folder = sys_get_temp_dir().'/crow-'.bin2hex(random_bytes(8));
        mkdir($folder, 0o700);
        $running = $paths = [];
        try {
            foreach ($masks as $i => $mask) {
                if ($i >= self::BESIDE) {
                    $paths[] = self::ended($running[$i - self::BESIDE], "$folder/".($i - self::BESIDE), $masks[$i - self::BESIDE]);
                }
                $running[] = self::begun($mask, "$folder/$i");
            }
            for ($i = count($paths); $i < count($masks); $i++) {
                $paths[] = self::ended($running[$i], "$folder/$i", $masks[$i]);
            }
        } finally {
            foreach ($running as $process) {
                is_resource($process) && proc_close($process);
            }
            array_map(unlink(...), glob("$folder/*") ?: []);
            rmdir($folder);
        }

        return $paths;
    }

    /** @return resource */
    private static function begun(Image $mask, string $base)
    {
        // One empty pixel all around, so that ink at the edge is closed there; and rows of whole bytes, since libvips 8.14 loses
        // a column when it packs the last bits of a row.
        ImageFile::writeBitmap($mask->embed(1, 1, intdiv($mask->width() + 2 + 7, 8) * 8, $mask->height() + 2), "$base.pbm");
        $process = proc_open(
            ['potrace', '--backend', 'svg', '--flat', '--turdsize', '2', '--alphamax', '1', '--unit', (string) TracedPath::UNITS, '--output', "$base.svg", "$base.pbm"],
            [1 => ['file', '/dev/null', 'w'], 2 => ['file', "$base.txt", 'w']],
            $pipes,
        );

        return is_resource($process) ? $process : throw TracerFailed::because('it could not be started');
    }

    /** @param  resource  $process */
    private static function ended($process, string $base, Image $mask): TracedPath
    {
        $code = proc_close($process);
        if ($code !== 0) {
            throw TracerFailed::because($code === self::NOT_FOUND ? 'it could not be started' : trim((string) file_get_contents("$base.txt")));
        }

        return TracedPath::read((string) file_get_contents("$base.svg"), $mask->height() + 2, 1);
    }
}
