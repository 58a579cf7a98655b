<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property int $id
 * @property string $name
 */
final class Shop extends Model
{
    protected $fillable = ['name'];

    /** @return HasMany<PrintJob, $this> */
    public function jobs(): HasMany
    {
        return $this->hasMany(PrintJob::class);
    }

    /** @return HasMany<Asset, $this> */
    public function assets(): HasMany
    {
        return $this->hasMany(Asset::class);
    }

    /** @return HasMany<SellersArea, $this> */
    public function areas(): HasMany
    {
        return $this->hasMany(SellersArea::class);
    }

    /** @return HasMany<ShopWord, $this> */
    public function words(): HasMany
    {
        return $this->hasMany(ShopWord::class);
    }

    /** @return HasMany<KeptRecipe, $this> */
    public function recipes(): HasMany
    {
        return $this->hasMany(KeptRecipe::class);
    }

    /** @return HasMany<Export, $this> */
    public function exports(): HasMany
    {
        return $this->hasMany(Export::class);
    }

    /** @return HasMany<User, $this> */
    public function users(): HasMany
    {
        return $this->hasMany(User::class);
    }

    public function folder(string $name): string
    {
        $base = config('crow.storage');
        assert(is_string($base));
        $folder = "$base/{$this->id}/$name";
        if (! is_dir($folder)) {
            // Two requests may want it at once: whoever comes second finds it there.
            @mkdir($folder, 0o700, true);
        }

        return $folder;
    }
}
