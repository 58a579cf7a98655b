<?php

declare(strict_types=1);

namespace App\Models;

use App\Tenancy\ShopScope;
use Illuminate\Database\Eloquent\Attributes\ScopedBy;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\ArtworkReader;

/**
 * One saved state of a build sheet; immutable.
 *
 * @property int $id
 * @property int $shop_id
 * @property int $print_job_id
 * @property ?int $user_id  who made it
 * @property ?int $parent_id
 * @property string $artwork
 * @property ?string $facts  what a card tells of it; SheetFacts
 * @property PrintJob $job
 * @property ?User $user
 * @property \Illuminate\Support\Carbon $created_at
 */
#[ScopedBy(ShopScope::class)]
final class Revision extends Model
{
    protected $fillable = ['shop_id', 'user_id', 'parent_id', 'artwork'];

    /** @return BelongsTo<PrintJob, $this> */
    public function job(): BelongsTo
    {
        return $this->belongsTo(PrintJob::class, 'print_job_id');
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    public function read(): Artwork
    {
        return ArtworkReader::json($this->artwork);
    }
}
