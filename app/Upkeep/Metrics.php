<?php

declare(strict_types=1);

namespace App\Upkeep;

use App\Models\Export;
use App\Tenancy\ShopScope;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Queue;

/** Counters of drawings and refusals, and queue lengths. */
final class Metrics
{
    /** Upper bounds of the histogram of drawing times, in seconds. */
    private const BUCKETS = [0.1, 0.25, 0.5, 1.0, 2.5, 5.0, 10.0, 30.0];

    private const KEPT = 86_400 * 30;

    public static function drew(string $what, float $seconds): void
    {
        foreach (self::BUCKETS as $bound) {
            if ($seconds <= $bound) {
                self::add("drawn:$what:$bound", 1);
            }
        }
        self::add("drawn:$what:count", 1);
        self::add("drawn:$what:millis", (int) round(1000 * $seconds));
    }

    public static function refused(string $what): void
    {
        self::add("refused:$what", 1);
    }

    public static function text(): string
    {
        $lines = ['# TYPE tallcrow_queue_length gauge', 'tallcrow_queue_length '.Queue::size(), '# TYPE tallcrow_exports gauge'];
        foreach (Export::query()->withoutGlobalScope(ShopScope::class)->toBase()->selectRaw('state, count(*) as number')->groupBy('state')->get() as $row) {
            $lines[] = sprintf('tallcrow_exports{state="%s"} %d', $row->state, $row->number);
        }
        $lines[] = '# TYPE tallcrow_draw_seconds histogram';
        foreach (['proof', 'gauges'] as $what) {
            foreach (self::BUCKETS as $bound) {
                $lines[] = sprintf('tallcrow_draw_seconds_bucket{what="%s",le="%s"} %d', $what, $bound, self::get("drawn:$what:$bound"));
            }
            $lines[] = sprintf('tallcrow_draw_seconds_bucket{what="%s",le="+Inf"} %d', $what, self::get("drawn:$what:count"));
            $lines[] = sprintf('tallcrow_draw_seconds_sum{what="%s"} %.3f', $what, self::get("drawn:$what:millis") / 1000);
            $lines[] = sprintf('tallcrow_draw_seconds_count{what="%s"} %d', $what, self::get("drawn:$what:count"));
        }
        $lines[] = '# TYPE tallcrow_refused_total counter';
        foreach (['upload', 'sign-in'] as $what) {
            $lines[] = sprintf('tallcrow_refused_total{what="%s"} %d', $what, self::get("refused:$what"));
        }

        return implode("\n", $lines)."\n";
    }

    private static function add(string $name, int $by): void
    {
        if (! is_string(config('crow.metrics_token'))) {
            return;
        }
        Cache::add("metrics:$name", 0, self::KEPT);
        Cache::increment("metrics:$name", $by);
    }

    private static function get(string $name): int
    {
        $value = Cache::get("metrics:$name");

        return is_numeric($value) ? (int) $value : 0;
    }
}
