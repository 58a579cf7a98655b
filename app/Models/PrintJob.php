<?php

declare(strict_types=1);

namespace App\Models;

use App\Tenancy\ShopScope;
use Illuminate\Database\Eloquent\Attributes\ScopedBy;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use TallCrow\Measure\Ppi;
use TallCrow\Measure\PrintArea;

/**
 * A seller's job: its revisions and its print area. `version` is increased with every change of the current
 * revision, so that a save can state which version it started from.
 *
 * @property int $id
 * @property int $shop_id
 * @property string $title
 * @property string $area_name
 * @property int $area_width
 * @property int $area_height
 * @property float $area_ppi
 * @property ?int $head_id
 * @property int $version
 * @property ?list<array{house: int, place: string, mode: string, keep?: list<string>}> $destinations  places of houses that it goes to
 * @property string $judged_by  house and place whose figures the gauges judge by; empty for the strictest
 * @property ?array<string, mixed> $usage  what it is for; null where the shop's usual one holds
 * @property Shop $shop
 * @property ?Revision $head
 * @property \Illuminate\Support\Carbon $updated_at
 */
#[ScopedBy(ShopScope::class)]
final class PrintJob extends Model
{
    protected $fillable = ['title', 'area_name', 'area_width', 'area_height', 'area_ppi', 'head_id', 'version', 'usage', 'destinations', 'judged_by'];

    protected $attributes = ['judged_by' => ''];

    // Database drivers differ in the types they return for numbers.
    protected $casts = ['area_width' => 'integer', 'area_height' => 'integer', 'area_ppi' => 'float', 'version' => 'integer', 'usage' => 'array', 'destinations' => 'array'];

    /** @return BelongsTo<Shop, $this> */
    public function shop(): BelongsTo
    {
        return $this->belongsTo(Shop::class);
    }

    /** @return BelongsTo<Revision, $this> */
    public function head(): BelongsTo
    {
        return $this->belongsTo(Revision::class, 'head_id');
    }

    /** @return HasMany<Revision, $this> */
    public function revisions(): HasMany
    {
        return $this->hasMany(Revision::class);
    }

    /** @return HasMany<Export, $this> */
    public function exports(): HasMany
    {
        return $this->hasMany(Export::class);
    }

    /** @return HasMany<Sale, $this> */
    public function sales(): HasMany
    {
        return $this->hasMany(Sale::class);
    }

    /** @return HasMany<Comment, $this> */
    public function comments(): HasMany
    {
        return $this->hasMany(Comment::class);
    }

    public function area(): PrintArea
    {
        return PrintArea::pixels($this->area_name, $this->area_width, $this->area_height, Ppi::of($this->area_ppi));
    }
}
