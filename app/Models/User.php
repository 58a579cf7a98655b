<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Laravel\Sanctum\HasApiTokens;
use Laravel\Sanctum\PersonalAccessToken;
use Laravel\Sanctum\TransientToken;

/**
 * A person who works in a shop.
 *
 * @property int $id
 * @property int $shop_id
 * @property string $name
 * @property string $login
 * @property ?string $password
 * @property Role $role
 * @property ?string $totp_secret
 * @property bool $totp_on
 * @property int $totp_step  the last time step whose code was used; a code works once
 * @property int $session_era  sessions of an earlier era have ended
 * @property Shop $shop
 */
final class User extends Authenticatable
{
    /** @use HasApiTokens<PersonalAccessToken|TransientToken> */
    use HasApiTokens;

    /** Sessions last a week; there is no remember-me cookie. */
    protected $rememberTokenName = '';

    protected $fillable = ['shop_id', 'name', 'login', 'password', 'role', 'totp_secret', 'totp_on', 'totp_step', 'session_era'];

    protected $hidden = ['password', 'totp_secret'];

    protected $casts = ['password' => 'hashed', 'role' => Role::class, 'totp_secret' => 'encrypted', 'totp_on' => 'boolean'];

    /** @return BelongsTo<Shop, $this> */
    public function shop(): BelongsTo
    {
        return $this->belongsTo(Shop::class);
    }
}
