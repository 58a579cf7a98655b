<?php

declare(strict_types=1);

namespace App\Models;

use App\Tenancy\ShopScope;
use Illuminate\Database\Eloquent\Attributes\ScopedBy;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * The sending of a print file to a house.
 *
 * @property int $id
 * @property int $shop_id
 * @property int $export_id
 * @property ?int $house_id
 * @property string $key  idempotency key, the same at each attempt, so that the house prints the file once
 * @property ParcelState $state
 * @property int $tries
 * @property string $number  the house's own for this file
 * @property ?list<string> $reasons  why the house refuses it
 * @property ?array<string, mixed> $measured  by the house
 * @property string $trouble  of the last try
 * @property ?Carbon $due_at  when it is tried or asked for next
 * @property Carbon $created_at
 * @property Carbon $updated_at
 * @property Export $export
 * @property ?HouseRecord $house
 */
#[ScopedBy(ShopScope::class)]
final class Parcel extends Model
{
    protected $fillable = ['shop_id', 'export_id', 'house_id', 'key', 'state', 'tries', 'number', 'reasons', 'measured', 'trouble', 'due_at'];

    protected $casts = ['state' => ParcelState::class, 'tries' => 'integer', 'reasons' => 'array', 'measured' => 'array', 'due_at' => 'datetime'];

    protected $attributes = ['tries' => 0, 'number' => '', 'trouble' => ''];

    /** @return BelongsTo<Export, $this> */
    public function export(): BelongsTo
    {
        return $this->belongsTo(Export::class);
    }

    /** @return BelongsTo<HouseRecord, $this> */
    public function house(): BelongsTo
    {
        return $this->belongsTo(HouseRecord::class, 'house_id');
    }
}
