<?php

declare(strict_types=1);

namespace App\Models;

use App\Tenancy\ShopScope;
use Illuminate\Database\Eloquent\Attributes\ScopedBy;
use Illuminate\Database\Eloquent\Model;

/**
 * A word that no dictionary has and that this shop spells so: a name, a place.
 *
 * @property int $id
 * @property int $shop_id
 * @property string $word  in small letters
 */
#[ScopedBy(ShopScope::class)]
final class ShopWord extends Model
{
    protected $fillable = ['word'];
}
