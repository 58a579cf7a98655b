<?php

declare(strict_types=1);

namespace App\Rights;

use App\Models\PrintJob;
use App\Models\Sale;
use App\Models\Shop;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use TallCrow\Rights\Counts;

/** Records of shirts sold, entered by hand or imported, and their counts towards licence limits. */
final class SalesBook
{
    private const MOST_UNITS = 1_000_000;

    private const MOST_TOLD = 50;

    public function enter(PrintJob $job, int $units, Carbon $on, string $cloth = '', string $house = ''): Sale
    {
        return Sale::query()->create(['shop_id' => $job->shop_id, 'print_job_id' => $job->id, 'units' => $units, 'sold_on' => $on, 'cloth' => $cloth, 'house' => $house, 'source' => 'entered', 'key' => hash('sha256', 'entered '.bin2hex(random_bytes(16)))]);
    }

    /**
     * Reads a report. Rows that fit no design, or have no number, are told and left; a row that was read before counts once.
     *
     * @param  array<string, string>  $asked  which column holds what, where its heading does not tell
     * @return array{taken: int, units: int, known: int, problems: list<string>}
     *
     * @throws SalesRefused
     */
    public function read(Shop $shop, string $path, string $name, array $asked): array
    {
        $table = SalesTable::read($path);
        $kept = $shop->sales_columns ?? [];
        $columns = $table->columns($asked, $kept);
        $jobs = [];
        foreach ($shop->jobs()->orderBy('id')->get(['id', 'title', 'shop_id']) as $job) {
            $jobs[mb_strtolower(trim($job->title))] ??= $job;
        }
        $result = ['taken' => 0, 'units' => 0, 'known' => 0, 'problems' => []];
        $again = [];
        DB::transaction(function () use ($table, $columns, $jobs, $shop, $name, &$result, &$again): void {
            foreach ($table->rows as $line => $row) {
                [$title, $units, $day] = [$row[$columns['title']] ?? '', $row[$columns['units']] ?? '', $row[$columns['date']] ?? ''];
                $job = $jobs[mb_strtolower($title)] ?? null;
                $on = self::day($day);
                $isCount = preg_match('/^-?\d{1,7}$/', $units) === 1 && abs((int) $units) <= self::MOST_UNITS;
                if ($job === null || $on === null || ! $isCount) {
                    [$column, $wrong] = match (true) {
                        $job === null => ['title', sprintf('"%s" is the title of no design', mb_substr($title, 0, 80))],
                        ! $isCount => ['units', sprintf('"%s" is no number of shirts', mb_substr($units, 0, 20))],
                        default => ['date', sprintf('"%s" is no day; write it as 2031-04-30', mb_substr($day, 0, 20))],
                    };
                    $result['problems'][] = sprintf('Row %d, column %s: %s.', $line, $table->headings[$columns[$column]], $wrong);

                    continue;
                }
                $told = implode("\x1f", $row);
                $again[$told] = ($again[$told] ?? 0) + 1;
                $made = Sale::query()->firstOrCreate(
                    ['shop_id' => $shop->id, 'key' => hash('sha256', "$told\x1e{$again[$told]}")],
                    ['print_job_id' => $job->id, 'sold_on' => $on, 'units' => (int) $units, 'source' => mb_substr($name, 0, 200)],
                );
                $result[$made->wasRecentlyCreated ? 'taken' : 'known']++;
                $result['units'] += $made->wasRecentlyCreated ? (int) $units : 0;
            }
            $shop->update(['sales_columns' => array_map(fn (int $place): string => $table->headings[$place], $columns)]);
        });
        if (count($result['problems']) > self::MOST_TOLD) {
            $more = count($result['problems']) - self::MOST_TOLD;
            $result['problems'] = [...array_slice($result['problems'], 0, self::MOST_TOLD), "And $more more rows."];
        }

        return $result;
    }

    /** Shirts of all designs that print an asset. */
    public function ofAsset(Shop $shop, string $file): int
    {
        return (int) Sale::query()->where('shop_id', $shop->id)->whereIn('print_job_id', DB::table('job_files')->where('shop_id', $shop->id)->where('prints', true)->where('file', $file)->select('print_job_id'))->sum('units');
    }

    /** The counts for the limits of one asset in one design. */
    public function counts(PrintJob $job, string $file, ?int $licence): Counts
    {
        $of = fn (\Closure $where): int => (int) Sale::query()->where($where)->sum('units');
        $printing = fn (array $files) => DB::table('job_files')->where('shop_id', $job->shop_id)->where('prints', true)->whereIn('file', $files)->select('print_job_id');
        $under = $licence === null ? [$file] : DB::table('assets')->where('shop_id', $job->shop_id)->where('licence_id', $licence)->pluck('file')->all();

        return new Counts(
            max(0, $of(fn ($query) => $query->where('shop_id', $job->shop_id)->whereIn('print_job_id', $printing([$file])))),
            max(0, $of(fn ($query) => $query->where('print_job_id', $job->id))),
            max(0, $of(fn ($query) => $query->where('shop_id', $job->shop_id)->whereIn('print_job_id', $printing($under)))),
        );
    }

    private static function day(string $written): ?Carbon
    {
        // Only dates with the year first (ISO 8601) are unambiguous; the order of day and month in other forms would be a guess.
        return preg_match('/^(\d{4})-(\d{2})-(\d{2})(?:[T ].*)?$/', $written, $part) === 1 && checkdate((int) $part[2], (int) $part[3], (int) $part[1])
            ? Carbon::createStrict((int) $part[1], (int) $part[2], (int) $part[3], 0, 0, 0)
            : null;
    }
}
