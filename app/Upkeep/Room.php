<?php

declare(strict_types=1);

namespace App\Upkeep;

/**
 * Room on the disk. A reserve is kept for saves: what can be drawn again, and exports, stop before it is touched.
 */
final class Room
{
    /** Kept pictures of one shop take no more, and no more than a tenth of what is free. */
    private const MOST_PICTURES = 1_500_000_000;

    /** @return int bytes that kept pictures in a folder may take */
    public static function forPictures(string $folder): int
    {
        return (int) min(self::MOST_PICTURES, max(0, self::free($folder) - self::reserve()) / 10 + self::held($folder) / 2);
    }

    /** Whether something of this size can be written without touching the reserve. */
    public static function isFor(string $folder, int $bytes): bool
    {
        return self::free($folder) - $bytes > self::reserve();
    }

    /** @throws NoRoom when only the reserve is left */
    public static function demand(string $folder, int $bytes): void
    {
        self::isFor($folder, $bytes) || throw NoRoom::on($folder);
    }

    /** Bytes that only saves may use. */
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
