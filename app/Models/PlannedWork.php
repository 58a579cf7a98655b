<?php

declare(strict_types=1);

namespace App\Models;

use App\Tenancy\ShopScope;
use Illuminate\Database\Eloquent\Attributes\ScopedBy;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Designs planned for an event.
 *
 * @property int $id
 * @property int $shop_id
 * @property ?int $print_job_id
 * @property string $title
 * @property string $event
 * @property Carbon $occurs_on
 * @property int $designs  a series counts as its rows
 * @property int $list_weeks  before the day, by which it is listed
 * @property bool $dropped
 * @property ?PrintJob $job
 */
#[ScopedBy(ShopScope::class)]
final class PlannedWork extends Model
{
    protected $table = 'plan_items';

    protected $fillable = ['shop_id', 'print_job_id', 'title', 'event', 'occurs_on', 'designs', 'list_weeks', 'dropped'];

    protected $casts = ['occurs_on' => 'date', 'designs' => 'integer', 'list_weeks' => 'integer', 'dropped' => 'boolean'];

    protected $attributes = ['event' => '', 'designs' => 1, 'dropped' => false];

    /** @return BelongsTo<PrintJob, $this> */
    public function job(): BelongsTo
    {
        return $this->belongsTo(PrintJob::class, 'print_job_id');
    }
}
