<?php

declare(strict_types=1);

namespace App\Models;

use App\Tenancy\ShopScope;
use Illuminate\Database\Eloquent\Attributes\ScopedBy;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;

/**
 * A named collection of assets, such as all for one season; an asset may belong to several.
 *
 * @property int $id
 * @property int $shop_id
 * @property string $name
 */
#[ScopedBy(ShopScope::class)]
final class Collection extends Model
{
    protected $fillable = ['name'];

    /** @return BelongsToMany<Asset, $this> */
    public function assets(): BelongsToMany
    {
        return $this->belongsToMany(Asset::class, 'collection_pieces');
    }
}
