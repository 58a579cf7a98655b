<?php

declare(strict_types=1);

namespace App\Models;

use App\Tenancy\ShopScope;
use Illuminate\Database\Eloquent\Attributes\ScopedBy;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * The seller's own event.
 *
 * @property int $id
 * @property int $shop_id
 * @property string $name
 * @property Carbon $starts_on
 * @property int $days
 * @property string $rrule  as RFC 5545 has it; empty for once
 * @property string $uid  of the calendar that it came from
 */
#[ScopedBy(ShopScope::class)]
final class CalendarEvent extends Model
{
    protected $fillable = ['shop_id', 'name', 'starts_on', 'days', 'rrule', 'uid'];

    protected $casts = ['starts_on' => 'date', 'days' => 'integer'];

    protected $attributes = ['days' => 1, 'rrule' => '', 'uid' => ''];
}
