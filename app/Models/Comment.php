<?php

declare(strict_types=1);

namespace App\Models;

use App\Tenancy\ShopScope;
use Illuminate\Database\Eloquent\Attributes\ScopedBy;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A comment on one revision of a job.
 *
 * @property int $id
 * @property int $shop_id
 * @property int $print_job_id
 * @property int $revision_id
 * @property ?int $user_id
 * @property Verdict $verdict
 * @property string $text
 * @property ?User $user
 * @property \Illuminate\Support\Carbon $created_at
 */
#[ScopedBy(ShopScope::class)]
final class Comment extends Model
{
    protected $fillable = ['shop_id', 'print_job_id', 'revision_id', 'user_id', 'verdict', 'text'];

    protected $casts = ['verdict' => Verdict::class];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
