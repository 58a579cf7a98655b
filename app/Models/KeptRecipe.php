<?php

declare(strict_types=1);

namespace App\Models;

use App\Tenancy\ShopScope;
use Illuminate\Database\Eloquent\Attributes\ScopedBy;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use TallCrow\Artwork\Recipe;

/**
 * A saved recipe.
 *
 * @property int $id
 * @property int $shop_id
 * @property string $name
 * @property string $body
 * @property Shop $shop
 */
#[ScopedBy(ShopScope::class)]
final class KeptRecipe extends Model
{
    protected $table = 'recipes';

    protected $fillable = ['name', 'body'];

    /** @return BelongsTo<Shop, $this> */
    public function shop(): BelongsTo
    {
        return $this->belongsTo(Shop::class);
    }

    public function read(): Recipe
    {
        return Recipe::json($this->body);
    }
}
