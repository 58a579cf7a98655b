<?php

declare(strict_types=1);

namespace App\Models;

use App\Tenancy\ShopScope;
use Illuminate\Database\Eloquent\Attributes\ScopedBy;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use TallCrow\Rights\Watched;

/**
 * A name, mark or phrase that the shop was warned about.
 *
 * @property int $id
 * @property string $phrase
 * @property string $note
 * @property ?Carbon $warned_on
 */
#[ScopedBy(ShopScope::class)]
final class WatchedPhrase extends Model
{
    protected $fillable = ['phrase', 'note', 'warned_on'];

    protected $casts = ['warned_on' => 'date'];

    public function watched(): Watched
    {
        return new Watched($this->phrase, $this->note, $this->warned_on?->toDateTimeImmutable());
    }
}
