<?php

declare(strict_types=1);

namespace TallCrow\Render;

/**
 * A fingerprint of everything that makes a picture of a sheet: the code of the core's drawing folders and the libraries they call. It is part of every
 * cache key, so a change of any part invalidates old pictures by itself. It is the same in every process on the same code. Measurements of a sheet use a
 * fingerprint of the whole core.
 */
final class DrawingCode
{
    /** Folders of the core whose code influences a picture. */
    public const FOLDERS = ['Artwork', 'Asset', 'Colour', 'Cutout', 'Effect', 'Geometry', 'Look', 'Mask', 'Noise', 'Paper', 'Raster', 'Render', 'Texture', 'Type'];

    /** The whole core, for what is computed from more than pictures. */
    public const ALL = ['.'];

    private const LIBRARIES = ['libvips.so.42', 'librsvg-2.so.2', 'libcairo.so.2', 'libfreetype.so.6', 'libharfbuzz.so.0', 'libfribidi.so.0', 'libgeos_c.so.1', 'libjpeg.so.62', 'libjpeg.so.8', 'libpng16.so.16', 'libwebp.so.7'];

    private const PROGRAMS = ['/usr/bin/potrace'];

    /** @var array<string, string> by folder where it is kept */
    private static array $known = [];

    /**
     * Reading every file takes some 12 ms; looking whether one changed takes 2. So the digest is kept in a file whose name
     * follows from the files' sizes and times. Times are whole seconds: files changed within the last two are read anew,
     * for they may change again and keep size and time.
     *
     * @param  string  $folder  where the digest may be kept
     * @param  string  $root  the folder of the core's source
     * @param  list<string>  $parts  of it whose code counts
     */
    public static function fingerprint(string $folder, string $root = __DIR__.'/..', array $parts = self::FOLDERS): string
    {
        return self::$known[implode(' ', [$folder, $root, ...$parts])] ??= self::found($folder, $root, $parts);
    }

    /** @param  list<string>  $parts */
    private static function found(string $folder, string $root, array $parts): string
    {
        $root = realpath($root) ?: $root;
        $files = self::files($root, $parts);
        $engines = self::engines();
        $stats = implode(' ', $engines);
        $newest = 0;
        foreach ($files as $file) {
            $time = (int) filectime($file);
            $newest = max($newest, $time);
            $stats .= " $file:".filesize($file).":$time";
        }
        $kept = $folder.'/code-'.hash('xxh128', $stats);
        $digest = is_file($kept) ? (string) file_get_contents($kept) : '';
        if (strlen($digest) === 32) {
            return $digest;
        }
        $digest = self::digest($files, $root, $engines);
        if ($newest > time() - 2) {
            return $digest;
        }
        // If the file cannot be written, the digest is computed each time.
        @file_put_contents($kept.'.'.getmypid(), $digest) && @rename($kept.'.'.getmypid(), $kept);

        return $digest;
    }

    /**
     * @param  list<string>  $files
     * @param  list<string>  $engines
     */
    private static function digest(array $files, string $root, array $engines): string
    {
        $hash = hash_init('xxh128');
        foreach ($files as $file) {
            hash_update($hash, substr($file, strlen($root)).' ');
            hash_update_file($hash, $file);
        }
        hash_update($hash, implode(' ', $engines));

        return hash_final($hash);
    }

    /**
     * @param  list<string>  $parts
     * @return list<string> the source files, in an order that is always the same
     */
    private static function files(string $root, array $parts): array
    {
        return array_merge(...array_map(fn (string $folder): array => self::within("$root/$folder"), $parts));
    }

    /** @return list<string> */
    private static function within(string $folder): array
    {
        $files = [];
        foreach (@scandir($folder) ?: [] as $name) {
            if (str_ends_with($name, '.php')) {
                $files[] = "$folder/$name";
            } elseif (! str_contains($name, '.')) {
                array_push($files, ...self::within("$folder/$name"));
            }
        }

        return $files;
    }

    /** @return list<string> libraries by their file names, which carry the version, and programs by their size */
    private static function engines(): array
    {
        // All of them lie where libvips does.
        $place = dirname((glob('/usr/lib/*/'.self::LIBRARIES[0]) ?: [''])[0]);
        $names = array_map(fn (string $name): string => basename((string) realpath("$place/$name")), self::LIBRARIES);

        return [...$names, ...array_map(fn (string $program): string => $program.':'.(is_file($program) ? filesize($program) : 0), self::PROGRAMS)];
    }
}
