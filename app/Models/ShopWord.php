<?php

declare(strict_types=1);

namespace App\Models;

use App\Tenancy\ShopScope;
use Illuminate\Database\Eloquent\Attributes\ScopedBy;
use Illuminate\Database\Eloquent\Model;

/**
 * A word of the shop's own dictionary, such as a name or a place.
 *
 * @property int $id
 * @property int $shop_id
 * @property string $word  in lower case
 */
#[ScopedBy(ShopScope::class)]
final class ShopWord extends Model
{
    protected $fillable = ['word'];
}
