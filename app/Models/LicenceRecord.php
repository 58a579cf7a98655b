<?php

declare(strict_types=1);

namespace App\Models;

use App\Tenancy\ShopScope;
use Illuminate\Database\Eloquent\Attributes\ScopedBy;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use TallCrow\Rights\Facts;
use TallCrow\Rights\Licence;

/**
 * A licence of a shop; several assets may be under it.
 *
 * @property int $id
 * @property int $shop_id
 * @property string $name
 * @property string $spdx
 * @property string $licensor
 * @property string $source
 * @property string $order_number
 * @property ?int $seats
 * @property ?Carbon $bought_on
 * @property ?Carbon $begins_on
 * @property ?Carbon $ends_on
 * @property array<string, array<string, mixed>> $facts  by name, those that are stated
 */
#[ScopedBy(ShopScope::class)]
final class LicenceRecord extends Model
{
    protected $table = 'licences';

    protected $fillable = ['name', 'spdx', 'licensor', 'source', 'order_number', 'seats', 'bought_on', 'begins_on', 'ends_on', 'facts'];

    protected $casts = ['seats' => 'integer', 'bought_on' => 'date', 'begins_on' => 'date', 'ends_on' => 'date', 'facts' => 'array'];

    /** @return HasMany<Proof, $this> */
    public function proofs(): HasMany
    {
        return $this->hasMany(Proof::class, 'licence_id');
    }

    /** @return HasMany<Asset, $this> */
    public function assets(): HasMany
    {
        return $this->hasMany(Asset::class, 'licence_id');
    }

    /** @return list<string> titles of the designs that print something held under it */
    public function designs(): array
    {
        $files = $this->assets()->pluck('file');

        return array_values(array_filter(PrintJob::query()->where('shop_id', $this->shop_id)->whereIn('id', JobFile::query()->where('shop_id', $this->shop_id)->where('prints', true)->whereIn('file', $files)->select('print_job_id'))->orderBy('title')->pluck('title')->all(), is_string(...)));
    }

    /** The licence in the core's form; its proofs must be loaded or counted before. */
    public function terms(): Licence
    {
        return new Licence(
            $this->name, $this->spdx, $this->licensor, $this->source, $this->seats,
            $this->begins_on?->toDateTimeImmutable(), $this->ends_on?->toDateTimeImmutable(), Facts::read($this->facts), $this->proofs->count(),
        );
    }
}
