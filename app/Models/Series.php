<?php

declare(strict_types=1);

namespace App\Models;

use App\Tenancy\ShopScope;
use Illuminate\Database\Eloquent\Attributes\ScopedBy;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use TallCrow\Series\Pattern;

/**
 * A job as the pattern of a series.
 *
 * @property int $id
 * @property int $shop_id
 * @property int $print_job_id
 * @property string $pattern  in the form tallcrow.pattern
 * @property ?\Illuminate\Support\Carbon $updated_at
 * @property PrintJob $job
 */
#[ScopedBy(ShopScope::class)]
final class Series extends Model
{
    protected $fillable = ['shop_id', 'print_job_id', 'pattern'];

    /** @return BelongsTo<PrintJob, $this> */
    public function job(): BelongsTo
    {
        return $this->belongsTo(PrintJob::class, 'print_job_id');
    }

    /** @return HasMany<SeriesRow, $this> */
    public function rows(): HasMany
    {
        return $this->hasMany(SeriesRow::class)->orderBy('position');
    }

    public function read(): Pattern
    {
        return Pattern::json($this->pattern);
    }
}
