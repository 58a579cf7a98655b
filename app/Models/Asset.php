<?php

declare(strict_types=1);

namespace App\Models;

use App\Tenancy\ShopScope;
use Illuminate\Database\Eloquent\Attributes\ScopedBy;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;

/**
 * A font or picture of a shop; build sheets refer to it by `file`.
 *
 * @property int $id
 * @property int $shop_id
 * @property AssetKind $kind
 * @property string $file
 * @property string $title
 * @property string $genre
 * @property string $type
 * @property int $bytes
 * @property ?float $width
 * @property ?float $height
 * @property string $pack  name of the pack that a font came with
 * @property string $cut  which layer of its face it is
 * @property list<string> $features
 * @property list<string> $varies  names of a variable font's axes
 * @property list<string> $left_out  what the file had that is not printed
 * @property bool $favourite
 * @property string $licence_name
 * @property string $licence_author
 * @property string $licence_url
 * @property ?int $licence_id
 * @property string $sha256  of its file
 * @property string $look  how a picture looks, to find the like of it
 * @property ?list<string> $tags
 * @property ?list<string> $languages  that a font has all letters of
 * @property ?list<array{name: string, colour: string}> $colours  of a picture
 * @property ?\Illuminate\Support\Carbon $binned_at  since when it lies in the bin
 * @property ?LicenceRecord $licence
 * @property Shop $shop
 * @property \Illuminate\Support\Carbon $created_at
 */
#[ScopedBy(ShopScope::class)]
final class Asset extends Model
{
    protected $fillable = ['kind', 'file', 'title', 'genre', 'type', 'bytes', 'width', 'height', 'pack', 'cut', 'features', 'varies', 'left_out', 'favourite', 'licence_name', 'licence_author', 'licence_url', 'licence_id', 'sha256', 'look', 'tags', 'languages', 'colours', 'binned_at'];

    protected $casts = ['kind' => AssetKind::class, 'bytes' => 'integer', 'width' => 'float', 'height' => 'float', 'features' => 'array', 'varies' => 'array', 'left_out' => 'array', 'favourite' => 'boolean', 'tags' => 'array', 'languages' => 'array', 'colours' => 'array', 'binned_at' => 'datetime'];

    /** @return BelongsTo<LicenceRecord, $this> */
    public function licence(): BelongsTo
    {
        return $this->belongsTo(LicenceRecord::class, 'licence_id');
    }

    /** @return BelongsToMany<Collection, $this> */
    public function collections(): BelongsToMany
    {
        return $this->belongsToMany(Collection::class, 'collection_pieces');
    }

    /** @return BelongsTo<Shop, $this> */
    public function shop(): BelongsTo
    {
        return $this->belongsTo(Shop::class);
    }
}
