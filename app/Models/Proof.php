<?php

declare(strict_types=1);

namespace App\Models;

use App\Tenancy\ShopScope;
use Illuminate\Database\Eloquent\Attributes\ScopedBy;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A document (receipt, terms, letter) stored unchanged with a licence.
 *
 * @property int $id
 * @property int $shop_id
 * @property int $licence_id
 * @property string $sha256
 * @property string $name  original file name
 * @property string $type  its ending
 * @property int $bytes
 * @property Carbon $came_at
 * @property Shop $shop
 */
#[ScopedBy(ShopScope::class)]
final class Proof extends Model
{
    public $timestamps = false;

    protected $fillable = ['shop_id', 'sha256', 'name', 'type', 'bytes', 'came_at'];

    protected $casts = ['bytes' => 'integer', 'came_at' => 'datetime'];

    /** @return BelongsTo<Shop, $this> */
    public function shop(): BelongsTo
    {
        return $this->belongsTo(Shop::class);
    }

    /** @return BelongsTo<LicenceRecord, $this> */
    public function licence(): BelongsTo
    {
        return $this->belongsTo(LicenceRecord::class, 'licence_id');
    }

    public function path(): string
    {
        return $this->shop->folder('proofs')."/$this->sha256";
    }
}
