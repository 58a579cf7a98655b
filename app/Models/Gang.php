<?php

declare(strict_types=1);

namespace App\Models;

use App\Tenancy\ShopScope;
use Illuminate\Database\Eloquent\Attributes\ScopedBy;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A gang sheet: copies of several designs on film.
 *
 * @property int $id
 * @property int $shop_id
 * @property ExportState $state
 * @property string $stage
 * @property int $progress
 * @property array{film: array{width: float, length: ?float, gap: float, margin: float}, mirrored: bool, marks: bool, pieces: list<array{job: int, revision: int, title: string, width: ?float, count: int, turns: bool}>, card?: ?array{temperature: ?float, unit: string, seconds: ?float, pressure: string, peel: string, source: string}} $asked
 * @property ?array{sheets: list<array{file: string, width: int, height: int, inches: array{float, float}, bytes: int, sha256: string}>, area: float, bound: float, waste: float} $made
 * @property string $trouble
 * @property Carbon $created_at
 * @property Shop $shop
 */
#[ScopedBy(ShopScope::class)]
final class Gang extends Model
{
    protected $fillable = ['state', 'stage', 'progress', 'asked', 'made', 'trouble'];

    protected $casts = ['state' => ExportState::class, 'progress' => 'integer', 'asked' => 'array', 'made' => 'array'];

    /** @return BelongsTo<Shop, $this> */
    public function shop(): BelongsTo
    {
        return $this->belongsTo(Shop::class);
    }

    public function folder(): string
    {
        return $this->shop->folder('gangs')."/$this->id";
    }
}
