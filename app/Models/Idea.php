<?php

declare(strict_types=1);

namespace App\Models;

use App\Tenancy\ShopScope;
use Illuminate\Database\Eloquent\Attributes\ScopedBy;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * An idea for a design.
 *
 * @property int $id
 * @property int $shop_id
 * @property ?int $print_job_id  the job made from it
 * @property string $words
 * @property string $event
 * @property string $niche
 * @property string $inspired_by
 * @property string $link  where it was seen; nothing is fetched from there
 * @property ?int $asset_id  a picture of the shelf
 * @property-read ?Asset $asset
 */
#[ScopedBy(ShopScope::class)]
final class Idea extends Model
{
    protected $fillable = ['shop_id', 'print_job_id', 'words', 'event', 'niche', 'inspired_by', 'link', 'asset_id'];

    protected $attributes = ['event' => '', 'niche' => '', 'inspired_by' => '', 'link' => ''];

    /** @return BelongsTo<Asset, $this> */
    public function asset(): BelongsTo
    {
        return $this->belongsTo(Asset::class);
    }
}
