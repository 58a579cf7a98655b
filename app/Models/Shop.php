<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property int $id
 * @property string $name
 * @property ?array<string, mixed> $usage  default usage of its designs
 * @property ?array<string, string> $sales_columns  column mapping of sales reports, as last used
 * @property ?array<string, mixed> $calendar  leads and countries, as the seller set them
 * @property ?string $calendar_secret  of the address of its feed; null where it has none
 */
final class Shop extends Model
{
    protected $fillable = ['name', 'usage', 'sales_columns', 'calendar', 'calendar_secret'];

    protected $casts = ['usage' => 'array', 'sales_columns' => 'array', 'calendar' => 'array'];

    protected $hidden = ['calendar_secret'];

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

    /** @return HasMany<Gang, $this> */
    public function gangs(): HasMany
    {
        return $this->hasMany(Gang::class);
    }

    /** @return HasMany<HouseRecord, $this> */
    public function houses(): HasMany
    {
        return $this->hasMany(HouseRecord::class);
    }

    /** @return HasMany<LicenceRecord, $this> */
    public function licences(): HasMany
    {
        return $this->hasMany(LicenceRecord::class);
    }

    /** @return HasMany<Sale, $this> */
    public function sales(): HasMany
    {
        return $this->hasMany(Sale::class);
    }

    /** @return HasMany<Collection, $this> */
    public function collections(): HasMany
    {
        return $this->hasMany(Collection::class);
    }

    /** @return HasMany<WatchedPhrase, $this> */
    public function watched(): HasMany
    {
        return $this->hasMany(WatchedPhrase::class);
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
            // Two requests may create it at the same time; ignore the second one's error.
            @mkdir($folder, 0o700, true);
        }

        return $folder;
    }
}
