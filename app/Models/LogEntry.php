<?php

declare(strict_types=1);

namespace App\Models;

use App\Tenancy\ShopScope;
use Illuminate\Database\Eloquent\Attributes\ScopedBy;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A log entry: a print file that was made, or a later event of a design. Rows are never changed and are kept when the job is deleted.
 *
 * @property int $id
 * @property int $shop_id
 * @property string $title
 * @property ?int $job_id
 * @property ?int $revision_id
 * @property string $file
 * @property string $sha256
 * @property string $house
 * @property string $place
 * @property int $width
 * @property int $height
 * @property float $ppi
 * @property int $bytes
 * @property array{fail: int, warn: int, pass: int} $checks
 * @property ?array<string, string> $rulings
 * @property string $why
 * @property string $who
 * @property Carbon $at
 * @property LogEvent $event
 * @property ?array<string, mixed> $details  of the event, such as what a house measured
 */
#[ScopedBy(ShopScope::class)]
final class LogEntry extends Model
{
    public $timestamps = false;

    protected $fillable = ['shop_id', 'title', 'job_id', 'revision_id', 'file', 'sha256', 'house', 'place', 'width', 'height', 'ppi', 'bytes', 'checks', 'rulings', 'why', 'who', 'at', 'event', 'details'];

    protected $casts = ['job_id' => 'integer', 'revision_id' => 'integer', 'width' => 'integer', 'height' => 'integer', 'ppi' => 'float', 'bytes' => 'integer', 'checks' => 'array', 'rulings' => 'array', 'at' => 'datetime', 'event' => LogEvent::class, 'details' => 'array'];

    protected $attributes = ['event' => 'file', 'house' => '', 'place' => '', 'why' => '', 'who' => ''];

    protected static function booted(): void
    {
        self::updating(fn (): never => throw new \LogicException('The log is only added to.'));
        self::deleting(fn (): never => throw new \LogicException('The log is only added to.'));
    }
}
