<?php

declare(strict_types=1);

namespace App\Models;

use App\Tenancy\ShopScope;
use Illuminate\Database\Eloquent\Attributes\ScopedBy;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A font or picture used by the current sheet of a job, so that the shelf knows where each is used.
 *
 * @property int $shop_id
 * @property int $print_job_id
 * @property string $file
 * @property bool $prints  false where it stands on lines that are switched off only
 * @property PrintJob $job
 */
#[ScopedBy(ShopScope::class)]
final class JobFile extends Model
{
    public $timestamps = false;

    protected $fillable = ['shop_id', 'print_job_id', 'file', 'prints'];

    protected $casts = ['prints' => 'boolean'];

    /** @return BelongsTo<PrintJob, $this> */
    public function job(): BelongsTo
    {
        return $this->belongsTo(PrintJob::class, 'print_job_id');
    }
}
