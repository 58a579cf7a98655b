<?php

declare(strict_types=1);

namespace App\Series;

use App\Bench\Studio;
use App\Models\PrintJob;
use App\Models\Revision;
use App\Models\Series;
use App\Models\SeriesRow;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\ArtworkReader;
use TallCrow\Render\Placer;
use TallCrow\Series\Filled;
use TallCrow\Series\Filling;
use TallCrow\Series\Pattern;
use TallCrow\Series\PatternInvalid;
use TallCrow\Series\RowTable;

/** The series of a shop: patterns, their rows, and the sheet made from each row. */
final class SeriesBook
{
    /** @throws ValidationException if a slot's place does not exist on the sheet */
    public static function set(PrintJob $job, Pattern $pattern): Series
    {
        $data = $job->head?->read()->toArray() ?? abort(422, 'There is nothing on the sheet yet.');
        foreach ($pattern->slots as $slot) {
            foreach ($slot->places as $place) {
                try {
                    $place->value($data);
                } catch (PatternInvalid $gone) {
                    throw ValidationException::withMessages(['pattern' => "$slot->name: {$gone->getMessage()}"]);
                }
            }
        }

        return Series::query()->updateOrCreate(['print_job_id' => $job->id], ['shop_id' => $job->shop_id, 'pattern' => json_encode($pattern->toArray(), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES)]);
    }

    /**
     * @param  list<array<string, string>>  $rows  values by slot
     * @return int how many were added
     */
    public static function add(Series $series, array $rows, bool $instead): int
    {
        return DB::transaction(function () use ($series, $rows, $instead): int {
            if ($instead) {
                $series->rows()->delete();
            }
            $held = $series->rows()->count();
            $last = $series->rows()->max('position');
            $at = is_numeric($last) ? (int) $last : 0;
            $rows = array_slice($rows, 0, max(0, RowTable::MOST_ROWS - $held));
            foreach (array_chunk($rows, 200) as $some) {
                SeriesRow::query()->insert(array_map(function (array $values) use ($series, &$at): array {
                    return ['shop_id' => $series->shop_id, 'series_id' => $series->id, 'position' => ++$at, 'values' => json_encode($values, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE), 'created_at' => now(), 'updated_at' => now()];
                }, $some));
            }

            return count($rows);
        });
    }

    /** The filling for a revision of the pattern. */
    public static function filling(Series $series, Revision $revision, Placer $placer): Filling
    {
        return new Filling($revision->read(), $series->read(), $placer);
    }

    /** @throws PatternInvalid if the row's values cannot be filled in */
    public static function filled(SeriesRow $row, Series $series, Revision $revision, Filling $filling): Filled
    {
        return $row->frozen === null ? $filling->row($row->values, $row->changes ?? [], self::title($row, $series, $revision)) : new Filled(ArtworkReader::json($row->frozen), [], []);
    }

    public static function title(SeriesRow $row, Series $series, Revision $revision): string
    {
        return $series->read()->called($row->values, $revision->read()->title, $row->position);
    }

    /** The sheet of one row. */
    public static function artwork(SeriesRow $row, Revision $revision): Artwork
    {
        $placer = Studio::of($revision->job->load('shop')->shop)->renderer->placer;

        return self::filled($row, $row->series, $revision, self::filling($row->series, $revision, $placer))->artwork;
    }
}
