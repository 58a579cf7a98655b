<?php

declare(strict_types=1);

namespace App\Models;

use App\Tenancy\ShopScope;
use Illuminate\Database\Eloquent\Attributes\ScopedBy;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One shirt of a series.
 *
 * @property int $id
 * @property int $shop_id
 * @property int $series_id
 * @property int $position
 * @property array<string, string> $values  by slot
 * @property ?array<string, string> $changes  corrections for this row only, by place
 * @property ?string $frozen  its sheet as it was frozen; null where it follows the pattern
 * @property string $checked  hash of the sheet that was checked last
 * @property string $verdict  of that; empty where it was not checked yet
 * @property ?list<array{grave: bool, says: string}> $told
 * @property Series $series
 */
#[ScopedBy(ShopScope::class)]
final class SeriesRow extends Model
{
    protected $fillable = ['shop_id', 'series_id', 'position', 'values', 'changes', 'frozen', 'checked', 'verdict', 'told'];

    protected $casts = ['position' => 'integer', 'values' => 'array', 'changes' => 'array', 'told' => 'array'];

    protected $attributes = ['checked' => '', 'verdict' => ''];

    /** @return BelongsTo<Series, $this> */
    public function series(): BelongsTo
    {
        return $this->belongsTo(Series::class);
    }
}
