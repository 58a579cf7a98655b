<?php

declare(strict_types=1);

namespace App\Models;

use App\Tenancy\ShopScope;
use Illuminate\Database\Eloquent\Attributes\ScopedBy;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * Shirts of one job sold on a day. Returns have negative units.
 *
 * @property int $id
 * @property int $shop_id
 * @property int $print_job_id
 * @property Carbon $sold_on
 * @property int $units
 * @property string $source  "entered", or the file that it was read from
 * @property string $cloth  that it was printed on; empty where that is not told
 * @property string $house  that printed it
 * @property string $key  the same row of the same report has the same key and counts once
 */
#[ScopedBy(ShopScope::class)]
final class Sale extends Model
{
    protected $fillable = ['shop_id', 'print_job_id', 'sold_on', 'units', 'source', 'key', 'cloth', 'house'];

    protected $casts = ['sold_on' => 'date', 'units' => 'integer'];
}
