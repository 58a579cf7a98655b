<?php

declare(strict_types=1);

namespace App\Upkeep;

/**
 * Free disk space. A reserve is kept for saves: caches and exports must not use it.
 */
final class Room
{
    /** Greatest size of one shop's picture cache; it is also limited to a tenth of the free space. */
    private const MOST_PICTURES = 1_500_000_000;

    /** @return int bytes that kept pictures in a folder may take */
    public static function forPictures(string $folder): int
    {
        return (int) min(self::MOST_PICTURES, max(0, self::free($folder) - self::reserve()) / 10 + self::held($folder) / 2);
    }

    /** Whether so many bytes can be written without using the reserve. */
    public static function isFor(string $folder, int $bytes): bool
    {
        return self::free($folder) - $bytes > self::reserve();
    }

    /** @throws NoRoom if only the reserve is left */
    public static function demand(string $folder, int $bytes): void
    {
        self::isFor($folder, $bytes) || throw NoRoom::on($folder);
    }

    /** Size of the reserve in bytes. */
    private static function reserve(): float
    {
        $megabytes = config('crow.limits.reserve_mb');

        return is_numeric($megabytes) ? 1e6 * $megabytes : 0.0;
    }

    private static function free(string $folder): float
    {
        $free = @disk_free_space($folder);

        return $free === false ? INF : $free;
    }

    private static function held(string $folder): int
    {
        return (int) array_sum(array_map(fn (string $file): int => (int) @filesize($file), glob($folder.'/*') ?: []));
    }
}
