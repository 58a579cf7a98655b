<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A one-time secret for an invitation, a password reset or the demo link. Only its hash is stored.
 *
 * @property int $id
 * @property int $shop_id
 * @property ?int $user_id
 * @property PassKind $kind
 * @property string $hash
 * @property ?Role $role
 * @property \Illuminate\Support\Carbon $expires_at
 * @property ?User $user
 * @property Shop $shop
 */
final class Pass extends Model
{
    protected $fillable = ['shop_id', 'user_id', 'kind', 'hash', 'role', 'expires_at'];

    protected $casts = ['kind' => PassKind::class, 'role' => Role::class, 'expires_at' => 'datetime'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Shop, $this> */
    public function shop(): BelongsTo
    {
        return $this->belongsTo(Shop::class);
    }
}
