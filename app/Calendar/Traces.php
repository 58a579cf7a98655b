<?php

declare(strict_types=1);

namespace App\Calendar;

use App\Models\Asset;
use App\Models\Export;
use App\Models\Revision;
use App\Models\Shop;
use Illuminate\Database\Eloquent\Builder;
use TallCrow\Calendar\Act;
use TallCrow\Calendar\WorkHours;
use TallCrow\Calendar\WorkStage;

/** Recorded actions of a shop: saves, exports, and assets added to the shelf. */
final class Traces
{
    public static function hours(Shop $shop, \DateTimeInterface $from, \DateTimeInterface $to): WorkHours
    {
        $acts = [];
        $within = fn (Builder $query, string $table): Builder => $query->where("$table.shop_id", $shop->id)->whereBetween("$table.created_at", [$from, $to]);
        foreach ($within(Revision::query(), 'revisions')->toBase()->select('user_id', 'created_at', 'print_job_id')->orderBy('id')->cursor() as $row) {
            $acts[] = self::act($row, WorkStage::Draw, self::number($row->print_job_id ?? null));
        }
        $exports = $within(Export::query(), 'exports')->join('revisions', 'revisions.id', '=', 'exports.revision_id')->toBase()->select('exports.user_id', 'exports.created_at', 'revisions.print_job_id')->orderBy('exports.id');
        foreach ($exports->cursor() as $row) {
            $acts[] = self::act($row, WorkStage::Send, self::number($row->print_job_id ?? null));
        }
        foreach ($within(Asset::query(), 'assets')->toBase()->select('created_at')->orderBy('id')->cursor() as $row) {
            $acts[] = self::act($row, WorkStage::Gather, null);
        }

        return WorkHours::of($acts);
    }

    private static function act(object $row, WorkStage $stage, ?int $design): Act
    {
        $at = $row->created_at ?? null;

        return new Act(self::number($row->user_id ?? null) ?? 0, is_string($at) ? (int) strtotime("$at UTC") : 0, $stage, $design);
    }

    private static function number(mixed $value): ?int
    {
        return is_numeric($value) ? (int) $value : null;
    }
}
